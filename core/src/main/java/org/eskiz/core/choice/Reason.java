package org.eskiz.core.choice;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * Why a verdict is not a plain pass, with its number.
 *
 * @param cause what is the matter
 * @param band index of the band where it is; empty for the run as a whole
 * @param requirement the requirement it concerns; empty where it concerns the figure as such
 * @param reached what stands against the requirement, in its unit; for {@link Cause#TOO_LOSSY} the matched loss in dB, for
 *     {@link Cause#EXTRAPOLATED} the frequency in MHz; empty for {@link Cause#UNKNOWN}
 */
public record Reason(Cause cause, OptionalInt band, Optional<Requirement> requirement, OptionalDouble reached) {

    /** What can be the matter, worst first. */
    public enum Cause {
        /** The run loses more than can be assessed. */
        TOO_LOSSY(Verdict.FAIL),
        /** The requirement is missed. */
        MISSED(Verdict.FAIL),
        /** Met at the mean, missed at the worst angle of the load. */
        MISSED_AT_WORST_ANGLE(Verdict.MARGINAL),
        /** Met at the mean, missed at the unlucky end of the tolerance. */
        MISSED_AT_TOLERANCE(Verdict.MARGINAL),
        /** Met with little to spare. */
        LITTLE_TO_SPARE(Verdict.MARGINAL),
        /** Met by a figure from beyond the data sheet. */
        EXTRAPOLATED(Verdict.MARGINAL),
        /** Neither met nor missed: a figure that it takes is not known. */
        UNKNOWN(Verdict.MARGINAL);

        private final Verdict verdict;

        Cause(Verdict verdict) {
            this.verdict = verdict;
        }

        /** The verdict that this cause alone brings about. */
        public Verdict verdict() {
            return verdict;
        }
    }

    static Reason onBand(Cause cause, int band, Requirement requirement, OptionalDouble reached) {
        return new Reason(cause, OptionalInt.of(band), Optional.of(requirement), reached);
    }

    static Reason ofRun(Cause cause, Requirement requirement, OptionalDouble reached) {
        return new Reason(cause, OptionalInt.empty(), Optional.of(requirement), reached);
    }

    static Reason tooLossy(int band, double matchedLossDb) {
        return of(Cause.TOO_LOSSY, band, matchedLossDb);
    }

    static Reason extrapolated(int band, double frequencyMHz) {
        return of(Cause.EXTRAPOLATED, band, frequencyMHz);
    }

    private static Reason of(Cause cause, int band, double figure) {
        return new Reason(cause, OptionalInt.of(band), Optional.empty(), OptionalDouble.of(figure));
    }
}
