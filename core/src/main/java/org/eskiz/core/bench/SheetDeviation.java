package org.eskiz.core.bench;

import java.util.List;
import org.eskiz.core.bench.Uncertainty.Source;
import org.hipparchus.distribution.continuous.NormalDistribution;

/**
 * Measured losses of a piece against what its type promises.
 *
 * @param judged one for each measured loss
 * @param outcome of all of them: worse where any is, else better where any is, else as the sheet where any can tell
 * @param causes of what is lost too much: one where the readings leave one, several where they leave rivals, none where nothing
 *     is lost too much or nothing fits
 */
public record SheetDeviation(List<Judged> judged, Outcome outcome, List<Cause> causes) {

    /** How a measured loss stands to the sheet. */
    public enum Outcome {
        /** Within its tolerance, and the reading is good enough to say so. */
        AS_THE_SHEET,
        /** Above it. */
        WORSE,
        /** Below it: better than it can be, so that length, type or baseline must be wrong. */
        BETTER_THAN_IT_CAN_BE,
        /** The reading is wider than what is asked of it. */
        CANNOT_TELL
    }

    /**
     * One measured loss.
     *
     * @param expectedDb by the sheet
     * @param cableDb of that in the cable, without its joints
     * @param allowedDb by which it may be off, to either side
     * @param uncertainty of the comparison: of the reading, and of joints that nobody entered
     * @param notEnteredDb half of what those may lose: where their share lies on the mean
     */
    public record Judged(
            LossPoint measured,
            double expectedDb,
            double cableDb,
            double allowedDb,
            Uncertainty uncertainty,
            double notEnteredDb,
            Outcome outcome) {

        /** What is lost more than expected, dB; below 0 for less. */
        public double excessDb() {
            return measured.lossDb() - expectedDb;
        }
    }

    /** One good piece in so many may look like a bad one by chance. */
    private static final double FALSE_ALARM = 0.0455;

    public SheetDeviation {
        judged = List.copyOf(judged);
        causes = List.copyOf(causes);
    }

    /**
     * Judges.
     *
     * @param points at least one
     */
    public static SheetDeviation of(List<LossPoint> points, Expectation expectation) {
        double expansion = expansion(points.size());
        List<Judged> judged = Scatter.widened(points).stream()
                .map(p -> judged(p, expectation, expansion))
                .toList();
        Outcome outcome = together(judged);
        return new SheetDeviation(
                judged, outcome, outcome == Outcome.WORSE ? Causes.of(judged, expectation) : List.of());
    }

    private static Judged judged(LossPoint point, Expectation expectation, double expansion) {
        double expected = expectation.lossDb(point.frequencyMHz());
        double allowed = expectation.allowedDb(point.frequencyMHz());
        double notEntered = expectation.notEnteredDb(point.frequencyMHz()) / 2;
        Uncertainty uncertainty = point.uncertainty()
                .with(Source.JOINTS_NOT_ENTERED, Uncertainty.ofHalfWidth(notEntered))
                .with(Source.RIPPLE, expectation.reflectedDb(point.frequencyMHz()) / Math.sqrt(2));
        return new Judged(
                point,
                expected,
                expectation.cableDb(point.frequencyMHz()),
                allowed,
                uncertainty,
                notEntered,
                outcome(point.lossDb() - expected - notEntered, uncertainty, expansion, expected, allowed));
    }

    /** Of many readings one is sooner off by chance than of one; so it must be off farther to count. */
    private static double expansion(int readings) {
        double each = 1 - Math.pow(1 - FALSE_ALARM, 1.0 / readings);
        return new NormalDistribution().inverseCumulativeProbability(1 - each / 2);
    }

    private static Outcome outcome(
            double excess, Uncertainty uncertainty, double expansion, double expected, double allowed) {
        double farDb = expansion * uncertainty.standardDb();
        if (excess - farDb > allowed) {
            return Outcome.WORSE;
        }
        if (excess + farDb < -allowed) {
            return Outcome.BETTER_THAN_IT_CAN_BE;
        }
        double expanded = uncertainty.expandedDb();
        return expanded <= Math.max(allowed, expected / 2) ? Outcome.AS_THE_SHEET : Outcome.CANNOT_TELL;
    }

    private static Outcome together(List<Judged> judged) {
        return List.of(Outcome.WORSE, Outcome.BETTER_THAN_IT_CAN_BE, Outcome.AS_THE_SHEET).stream()
                .filter(o -> judged.stream().anyMatch(j -> j.outcome == o))
                .findFirst()
                .orElse(Outcome.CANNOT_TELL);
    }
}
