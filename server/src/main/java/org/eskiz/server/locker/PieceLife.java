package org.eskiz.server.locker;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.eskiz.core.bench.TestAgain;
import org.eskiz.core.bench.Upkeep;
import org.eskiz.server.bench.PieceTest;
import org.jspecify.annotations.Nullable;

/**
 * What tests and outings say of a piece, in short: all that it takes to tell how it stands, whatever day it is.
 *
 * @param referenceMHz the frequency at which its tests are compared; null where it was never tested
 * @param tests that were read there, the earliest first
 * @param newest test that counts; null where it was never tested
 * @param outings that were noted, the earliest first
 * @param outSince null while it is in
 * @param outTo null where nobody said
 */
record PieceLife(
        @Nullable Double referenceMHz,
        List<Upkeep.Tested> tests,
        @Nullable PieceTest newest,
        List<TestAgain.Outing> outings,
        @Nullable LocalDate outSince,
        @Nullable String outTo) {

    /**
     * Of all that was noted.
     *
     * @param tests that count, the earliest first
     * @param outings the earliest first
     */
    static PieceLife of(List<PieceTest> tests, List<OutingEntity> outings) {
        OptionalDouble reference = Upkeep.referenceMHz(tests.stream()
                .map(t -> t.figures().stream()
                        .map(f -> f.measured().frequencyMHz())
                        .toList())
                .toList());
        Optional<OutingEntity> underWay =
                outings.stream().filter(o -> o.putAwayOn == null).findFirst();
        return new PieceLife(
                reference.isEmpty() ? null : reference.getAsDouble(),
                tests.stream()
                        .flatMap(t -> at(reference.orElse(0), t).stream())
                        .sorted(Comparator.comparing(Upkeep.Tested::on))
                        .toList(),
                tests.isEmpty() ? null : tests.get(tests.size() - 1),
                outings.stream()
                        .map(o -> new TestAgain.Outing(o.takenOn, o.isHard()))
                        .toList(),
                underWay.map(o -> o.takenOn).orElse(null),
                underWay.map(o -> o.takenTo).orElse(null));
    }

    /** What a test shows at the reference frequency; empty where it was not read there. */
    Optional<Upkeep.Tested> atReference(PieceTest test) {
        return referenceMHz == null ? Optional.empty() : at(referenceMHz, test);
    }

    private static Optional<Upkeep.Tested> at(double referenceMHz, PieceTest test) {
        return test.figures().stream()
                .filter(f -> f.measured().frequencyMHz() == referenceMHz
                        && f.measured().lossDb() > 0)
                .findFirst()
                .map(f -> new Upkeep.Tested(
                        test.on(),
                        f.measured().lossDb(),
                        f.expectedDb().map(OptionalDouble::of).orElse(OptionalDouble.empty())));
    }
}
