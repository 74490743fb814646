package org.eskiz.core.bench;

import java.util.List;
import java.util.Optional;

/**
 * Measured losses of a piece against what its type promises.
 *
 * @param judged one for each measured loss
 * @param outcome the worst of them, where worse than promised is worse than better than can be
 * @param cause of what is lost too much; empty where nothing is, or where nothing can be claimed
 */
public record SheetDeviation(List<Judged> judged, Outcome outcome, Optional<Cause> cause) {

    /** How a measured loss stands to the sheet. */
    public enum Outcome {
        /** Within its tolerance, as far as the reading can tell. */
        AS_THE_SHEET,
        /** Above it. */
        WORSE,
        /** Below it: better than it can be, so that length, type or baseline must be wrong. */
        BETTER_THAN_IT_CAN_BE
    }

    /**
     * One measured loss.
     *
     * @param expectedDb by the sheet
     * @param allowedDb by which it may be off, to either side
     */
    public record Judged(LossPoint measured, double expectedDb, double allowedDb, Outcome outcome) {

        /** What is lost more than expected, dB; below 0 for less. */
        public double excessDb() {
            return measured.lossDb() - expectedDb;
        }
    }

    public SheetDeviation {
        judged = List.copyOf(judged);
    }

    /**
     * Judges.
     *
     * @param points at least one
     */
    public static SheetDeviation of(List<LossPoint> points, Expectation expectation) {
        List<Judged> judged = points.stream().map(p -> judged(p, expectation)).toList();
        Outcome outcome = worst(judged);
        return new SheetDeviation(judged, outcome, outcome == Outcome.WORSE ? Cause.of(judged) : Optional.empty());
    }

    private static Judged judged(LossPoint point, Expectation expectation) {
        double expected = expectation.lossDb(point.frequencyMHz());
        double allowed = expectation.tolerance() * expected + Expectation.ALWAYS_ALLOWED_DB;
        Outcome outcome = Outcome.AS_THE_SHEET;
        if (point.leastDb() - expected > allowed) {
            outcome = Outcome.WORSE;
        } else if (point.mostDb() - expected < -allowed) {
            outcome = Outcome.BETTER_THAN_IT_CAN_BE;
        }
        return new Judged(point, expected, allowed, outcome);
    }

    private static Outcome worst(List<Judged> judged) {
        if (judged.stream().anyMatch(j -> j.outcome == Outcome.WORSE)) {
            return Outcome.WORSE;
        }
        return judged.stream().anyMatch(j -> j.outcome == Outcome.BETTER_THAN_IT_CAN_BE)
                ? Outcome.BETTER_THAN_IT_CAN_BE
                : Outcome.AS_THE_SHEET;
    }
}
