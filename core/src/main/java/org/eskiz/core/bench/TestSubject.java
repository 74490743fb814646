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
 * @param joints mated pairs and adapters within what was measured
 */
public record TestSubject(
        Optional<TypeSheet> type, OptionalDouble lengthM, double temperatureC, List<InsertionLoss> joints) {

    public TestSubject {
        joints = List.copyOf(joints);
    }

    /** What its type promises for a length; empty where the type or the length is not known. */
    public Optional<Expectation> expectation(OptionalDouble ofM) {
        return ofM.isEmpty() ? Optional.empty() : type.map(t -> expectation(t, ofM.getAsDouble()));
    }

    /** What any type would promise for a length of it. */
    public Expectation expectation(TypeSheet ofType, double ofM) {
        return new Expectation(ofType.cable().attenuation(), ofM, temperatureC, joints, ofType.tolerance());
    }
}
