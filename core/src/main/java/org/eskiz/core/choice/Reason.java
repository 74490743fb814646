package org.eskiz.core.choice;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * Why a verdict is not a plain pass, with its number.
 *
 * @param cause what is the matter
 * @param band index of the band where it is; empty for the run as a whole
 * @param element index in the run of the part that it is about; empty for none, and for the matching unit
 * @param requirement the requirement it concerns; empty where it concerns the figure as such
 * @param limit the number that stands in place of a requirement's; empty where there is one, or none
 * @param reached what stands against the requirement or the limit, in its unit; for {@link Cause#TOO_LOSSY} the matched loss in
 *     dB, for {@link Cause#EXTRAPOLATED} the frequency in MHz, for what a part bears how many times over it does; empty for {@link
 *     Cause#UNKNOWN}
 */
public record Reason(
        Cause cause,
        OptionalInt band,
        OptionalInt element,
        Optional<Requirement> requirement,
        OptionalDouble limit,
        OptionalDouble reached) {

    /** What can be the matter, worst first. */
    public enum Cause {
        /** The run loses more than can be assessed. */
        TOO_LOSSY(Verdict.FAIL),
        /** A part gets hotter than it may. */
        TOO_HOT(Verdict.FAIL),
        /** More voltage stands across a part than it bears. */
        TOO_HIGH_VOLTAGE(Verdict.FAIL),
        /** The matching unit does not cope with the SWR; the operator has said with which it does. */
        BEYOND_MATCHING_UNIT(Verdict.FAIL),
        /** The requirement is missed. */
        MISSED(Verdict.FAIL),
        /** Met at the mean, missed at the worst angle of the load. */
        MISSED_AT_WORST_ANGLE(Verdict.MARGINAL),
        /** Met at the mean, missed at the unlucky end of the tolerance. */
        MISSED_AT_TOLERANCE(Verdict.MARGINAL),
        /** A part bears the heat only just. */
        NEARLY_TOO_HOT(Verdict.MARGINAL),
        /** A part bears the voltage only just. */
        NEARLY_TOO_HIGH_VOLTAGE(Verdict.MARGINAL),
        /** The matching unit would not cope with the SWR, if it is as is assumed. */
        BEYOND_ASSUMED_MATCHING_UNIT(Verdict.MARGINAL),
        /** The matching unit copes with the SWR at the mean, not at the worst angle of the load. */
        BEYOND_MATCHING_UNIT_AT_WORST_ANGLE(Verdict.MARGINAL),
        /** A balanced line meets what is not, without a transformer or a balanced unit between. */
        BALANCED_MEETS_UNBALANCED(Verdict.MARGINAL),
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

    /** Whether it speaks of what arrives, which is another in each run that is alike on paper. */
    boolean isOfWhatArrives() {
        return requirement.isPresent()
                && requirement.get() instanceof Requirement.OnBand asked
                && !asked.figure().isMargin();
    }

    static Reason onBand(Cause cause, int band, Requirement requirement, OptionalDouble reached) {
        return new Reason(
                cause,
                OptionalInt.of(band),
                OptionalInt.empty(),
                Optional.of(requirement),
                OptionalDouble.empty(),
                reached);
    }

    static Reason ofRun(Cause cause, Requirement requirement, OptionalDouble reached) {
        return new Reason(
                cause,
                OptionalInt.empty(),
                OptionalInt.empty(),
                Optional.of(requirement),
                OptionalDouble.empty(),
                reached);
    }

    static Reason tooLossy(int band, double matchedLossDb) {
        return ofFigure(Cause.TOO_LOSSY, band, OptionalInt.empty(), OptionalDouble.empty(), matchedLossDb);
    }

    static Reason extrapolated(int band, int element, double frequencyMHz) {
        return ofFigure(Cause.EXTRAPOLATED, band, OptionalInt.of(element), OptionalDouble.empty(), frequencyMHz);
    }

    /** Of what a part bears: how many times over, of once at least. */
    static Reason ofRating(Cause cause, int band, OptionalInt element, double margin) {
        return ofFigure(cause, band, element, OptionalDouble.of(1), margin);
    }

    static Reason ofUnit(Cause cause, int band, double swr, double upToSwr) {
        return ofFigure(cause, band, OptionalInt.empty(), OptionalDouble.of(upToSwr), swr);
    }

    static Reason balanced(int band, int element, double ohm) {
        return ofFigure(Cause.BALANCED_MEETS_UNBALANCED, band, OptionalInt.of(element), OptionalDouble.empty(), ohm);
    }

    private static Reason ofFigure(Cause cause, int band, OptionalInt element, OptionalDouble limit, double reached) {
        return new Reason(cause, OptionalInt.of(band), element, Optional.empty(), limit, OptionalDouble.of(reached));
    }
}
