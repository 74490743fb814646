package org.eskiz.core.choice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import org.eskiz.core.choice.Reason.Cause;
import org.eskiz.core.run.LineJunction;
import org.eskiz.core.run.MatchingUnit;
import org.eskiz.core.run.RunAssessment;

/**
 * What one band makes of the requirements.
 *
 * @param reasons everything that is the matter, the worst cause first; empty for a pass
 * @param leastSpareDb how much more loss the strictest requirement would bear, dB; negative where it is missed, empty
 *     where nothing is asked that loss could miss, or nothing can be assessed
 */
public record Judgement(List<Reason> reasons, OptionalDouble leastSpareDb) {

    public Judgement {
        reasons = List.copyOf(reasons);
    }

    /** The worst that the reasons bring about; a pass without any. */
    public Verdict verdict() {
        return worstOf(reasons);
    }

    /** Likewise of some reasons; asked for with every comparison of two rows. */
    static Verdict worstOf(List<Reason> reasons) {
        Verdict worst = Verdict.PASS;
        for (Reason reason : reasons) {
            worst = worst.and(reason.cause().verdict());
        }
        return worst;
    }

    /**
     * Judges a band at the mean, then at the worst angle and at the unlucky end of the tolerance; and always what its parts
     * bear, and whether they belong together.
     *
     * @param junctions what meets in the run that does not belong
     * @param asked what is asked of this band
     * @param unlucky total loss there; only called where something is met at the mean
     */
    static Judgement of(
            int band,
            RunAssessment assessment,
            BandOutcome mean,
            Supplier<Optional<BandOutcome>> unlucky,
            List<LineJunction> junctions,
            List<Requirement.OnBand> asked) {
        BandOutcome worstAngle = mean.atTheWorstAngle(assessment);
        Optional<BandOutcome> off = isAnyMet(asked, mean) ? unlucky.get() : Optional.empty();
        List<Reason> reasons = new ArrayList<>();
        asked.forEach(r -> reason(band, r, mean, worstAngle, off).ifPresent(reasons::add));
        reasons.addAll(ratings(band, mean.margins(), asked));
        unit(band, assessment, mean.band().unit()).ifPresent(reasons::add);
        if (!junctions.isEmpty()) {
            junctions.stream()
                    .filter(j -> j.problem() != LineJunction.Problem.OTHER_IMPEDANCE)
                    .findFirst()
                    .ifPresent(j -> reasons.add(Reason.balanced(band, j.element(), j.ohm())));
        }
        assessment
                .extrapolatedElements()
                .forEach(e -> reasons.add(
                        Reason.extrapolated(band, e, assessment.conditions().frequencyMHz())));
        if (reasons.size() > 1) {
            reasons.sort(Comparator.comparing(Reason::cause));
        }
        return new Judgement(reasons, leastSpareDb(asked, mean));
    }

    private static boolean isAnyMet(List<Requirement.OnBand> asked, BandOutcome mean) {
        for (Requirement.OnBand one : asked) {
            if (isMet(one, mean)) {
                return true;
            }
        }
        return false;
    }

    /** An overloaded part fails, asked or not; one that is nearly so is told unless more is asked of it anyway. */
    private static List<Reason> ratings(int band, Margins margins, List<Requirement.OnBand> asked) {
        if (margins.heat().isEmpty() && margins.voltage().isEmpty()) {
            return List.of();
        }
        List<Reason> reasons = new ArrayList<>();
        margins.heat()
                .flatMap(b -> rating(band, b, Cause.TOO_HOT, Cause.NEARLY_TOO_HOT))
                .ifPresent(reasons::add);
        margins.voltage()
                .flatMap(b -> rating(band, b, Cause.TOO_HIGH_VOLTAGE, Cause.NEARLY_TOO_HIGH_VOLTAGE))
                .ifPresent(reasons::add);
        if (isAsked(asked, BandFigure.POWER_MARGIN)) {
            reasons.removeIf(r -> r.cause() == Cause.NEARLY_TOO_HOT);
        }
        if (isAsked(asked, BandFigure.VOLTAGE_MARGIN)) {
            reasons.removeIf(r -> r.cause() == Cause.NEARLY_TOO_HIGH_VOLTAGE);
        }
        return reasons;
    }

    private static boolean isAsked(List<Requirement.OnBand> asked, BandFigure figure) {
        for (Requirement.OnBand one : asked) {
            if (one.figure() == figure) {
                return true;
            }
        }
        return false;
    }

    private static Optional<Reason> rating(int band, Margins.Bearing worst, Cause over, Cause nearly) {
        if (!Limit.AT_LEAST.isMet(1, worst.margin())) {
            return Optional.of(Reason.ofRating(over, band, worst.element(), worst.margin()));
        }
        return Limit.AT_LEAST.isMet(SpareThreshold.AMPLE_RATING, worst.margin())
                ? Optional.empty()
                : Optional.of(Reason.ofRating(nearly, band, worst.element(), worst.margin()));
    }

    private static Optional<Reason> unit(int band, RunAssessment assessment, MatchingUnit unit) {
        if (assessment.swrAtUnit().isEmpty()) {
            return Optional.empty();
        }
        double swr = assessment.swrAtUnit().getAsDouble();
        double worst = assessment.swrAtUnitAtWorstAngle().getAsDouble();
        if (!Limit.AT_MOST.isMet(unit.upToSwr(), swr)) {
            Cause cause = unit.isRangeStated() ? Cause.BEYOND_MATCHING_UNIT : Cause.BEYOND_ASSUMED_MATCHING_UNIT;
            return Optional.of(Reason.ofUnit(cause, band, swr, unit.upToSwr()));
        }
        return Limit.AT_MOST.isMet(unit.upToSwr(), worst)
                ? Optional.empty()
                : Optional.of(Reason.ofUnit(Cause.BEYOND_MATCHING_UNIT_AT_WORST_ANGLE, band, worst, unit.upToSwr()));
    }

    static Judgement tooLossy(int band, double matchedLossDb) {
        return new Judgement(List.of(Reason.tooLossy(band, matchedLossDb)), OptionalDouble.empty());
    }

    static OptionalDouble leastSpareDb(List<Requirement.OnBand> asked, BandOutcome at) {
        double least = Double.POSITIVE_INFINITY;
        boolean isKnown = false;
        for (Requirement.OnBand one : asked) {
            OptionalDouble spareDb = one.spareDb(at);
            if (spareDb.isPresent()) {
                least = Math.min(least, spareDb.getAsDouble());
                isKnown = true;
            }
        }
        return isKnown ? OptionalDouble.of(least) : OptionalDouble.empty();
    }

    private static boolean isMet(Requirement.OnBand asked, BandOutcome at) {
        OptionalDouble reached = asked.figure().reached(at);
        return reached.isPresent() && asked.isMetBy(reached.getAsDouble());
    }

    /** A missed requirement says nothing further; a met one may be met at the mean only, or only just. */
    private static Optional<Reason> reason(
            int band,
            Requirement.OnBand asked,
            BandOutcome mean,
            BandOutcome worstAngle,
            Optional<BandOutcome> unlucky) {
        OptionalDouble reached = asked.figure().reached(mean);
        if (reached.isEmpty()) {
            return Optional.of(Reason.onBand(Cause.UNKNOWN, band, asked, reached));
        }
        if (!isMet(asked, mean)) {
            return Optional.of(Reason.onBand(Cause.MISSED, band, asked, reached));
        }
        if (!isMet(asked, worstAngle)) {
            return Optional.of(Reason.onBand(
                    Cause.MISSED_AT_WORST_ANGLE, band, asked, asked.figure().reached(worstAngle)));
        }
        if (unlucky.isPresent() && !isMet(asked, unlucky.get())) {
            return Optional.of(Reason.onBand(
                    Cause.MISSED_AT_TOLERANCE, band, asked, asked.figure().reached(unlucky.get())));
        }
        return asked.isLittleToSpare(reached.getAsDouble())
                ? Optional.of(Reason.onBand(Cause.LITTLE_TO_SPARE, band, asked, reached))
                : Optional.empty();
    }
}
