package org.eskiz.core.bench;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.eskiz.core.cable.InsertionLoss;

/**
 * What lies on the bench.
 *
 * @param type of cable; empty where nobody knows it
 * @param lengthM as it was stated; empty where nobody measured it
 * @param temperatureC of the test
 * @param joints mated pairs and adapters within what was measured; empty where nobody entered any
 * @param usualJoint of which two may be in it, where nobody entered any
 */
public record TestSubject(
        Optional<TypeSheet> type,
        OptionalDouble lengthM,
        double temperatureC,
        List<TestJoint> joints,
        Optional<TestJoint> usualJoint) {

    public TestSubject {
        joints = List.copyOf(joints);
    }

    /** How joints show: by all that they keep from the load, or as an analyser parts it, by their heat alone. */
    public enum Seen {
        BY_POWER,
        BY_SWEEP
    }

    /** What its type promises for a length; empty where the type or the length is not known. */
    public Optional<Expectation> expectation(OptionalDouble ofM, Seen seen) {
        return ofM.isEmpty() ? Optional.empty() : type.map(t -> expectation(t, ofM.getAsDouble(), seen));
    }

    /** What any type would promise for a length of it. */
    public Expectation expectation(TypeSheet ofType, double ofM, Seen seen) {
        return new Expectation(
                ofType.cable().attenuation(),
                ofM,
                temperatureC,
                joints.stream().map(j -> shown(j, seen)).toList(),
                ofType.tolerance(),
                notEntered().stream()
                        .map(j -> seen == Seen.BY_POWER ? j.seenAtWorst() : j.pad())
                        .toList(),
                seen == Seen.BY_POWER ? joints : List.of());
    }

    /** Joints that may be at its two ends, though nobody entered any. */
    List<TestJoint> notEntered() {
        return joints.isEmpty() ? usualJoint.map(j -> List.of(j, j)).orElse(List.of()) : List.of();
    }

    private static InsertionLoss shown(TestJoint joint, Seen seen) {
        return seen == Seen.BY_POWER ? joint.seenByPower() : joint.pad();
    }
}
