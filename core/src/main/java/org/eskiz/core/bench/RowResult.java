package org.eskiz.core.bench;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a row comes to.
 *
 * @param lengthM of the piece that was read; empty where nobody knows it
 * @param point empty where there is not enough in it yet
 * @param expectedDb empty where the type or the length is not known
 * @param trouble what is wrong with it; empty for nothing
 */
public record RowResult(
        OptionalDouble lengthM,
        Optional<LossPoint> point,
        OptionalDouble expectedDb,
        Optional<SheetDeviation.Outcome> outcome,
        Optional<ReadingException> trouble) {

    static RowResult unread(OptionalDouble lengthM, Optional<ReadingException> trouble) {
        return new RowResult(lengthM, Optional.empty(), OptionalDouble.empty(), Optional.empty(), trouble);
    }

    RowResult judged(SheetDeviation.Outcome as) {
        return new RowResult(lengthM, point, expectedDb, Optional.of(as), trouble);
    }

    double frequencyMHz() {
        return point.orElseThrow().frequencyMHz();
    }
}
