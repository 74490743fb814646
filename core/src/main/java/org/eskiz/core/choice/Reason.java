package org.eskiz.core.choice;

import java.util.Optional;

/**
 * Why a verdict is not a plain pass, with its number.
 *
 * @param cause what is the matter
 * @param band index of the band where it is
 * @param requirement the requirement it concerns; empty where it concerns the figure as such
 * @param reached what stands against the requirement, in its unit; for {@link Cause#TOO_LOSSY} the matched loss in dB,
 *     for {@link Cause#EXTRAPOLATED} the frequency in MHz
 */
public record Reason(Cause cause, int band, Optional<Requirement> requirement, double reached) {

    /** What can be the matter, worst first. */
    public enum Cause {
        /** The run loses more than can be assessed. */
        TOO_LOSSY(Verdict.FAIL),
        /** The requirement is missed. */
        MISSED(Verdict.FAIL),
        /** Met at the mean, missed at the worst angle of the load. */
        MISSED_AT_WORST_ANGLE(Verdict.MARGINAL),
        /** Met with little to spare. */
        LITTLE_TO_SPARE(Verdict.MARGINAL),
        /** Met by a figure from beyond the data sheet. */
        EXTRAPOLATED(Verdict.MARGINAL);

        private final Verdict verdict;

        Cause(Verdict verdict) {
            this.verdict = verdict;
        }

        /** The verdict that this cause alone brings about. */
        public Verdict verdict() {
            return verdict;
        }
    }

    static Reason of(Cause cause, int band, Requirement requirement, double reached) {
        return new Reason(cause, band, Optional.of(requirement), reached);
    }

    static Reason tooLossy(int band, double matchedLossDb) {
        return new Reason(Cause.TOO_LOSSY, band, Optional.empty(), matchedLossDb);
    }

    static Reason extrapolated(int band, double frequencyMHz) {
        return new Reason(Cause.EXTRAPOLATED, band, Optional.empty(), frequencyMHz);
    }
}
