package org.eskiz.core.choice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.Supplier;
import org.eskiz.core.choice.Reason.Cause;
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
        return reasons.stream().map(r -> r.cause().verdict()).reduce(Verdict.PASS, Verdict::and);
    }

    /**
     * Judges a band at the mean, then at the worst angle and at the unlucky end of the tolerance.
     *
     * @param asked what is asked of this band
     * @param unlucky total loss there; only called where something is met at the mean
     */
    static Judgement of(
            int band,
            RunAssessment assessment,
            BandOutcome mean,
            Supplier<Optional<BandOutcome>> unlucky,
            List<Requirement.OnBand> asked) {
        BandOutcome worstAngle = mean.atTheWorstAngle(assessment);
        boolean isAnyMet = asked.stream().anyMatch(r -> isMet(r, mean));
        Optional<BandOutcome> off = isAnyMet ? unlucky.get() : Optional.empty();
        List<Reason> reasons = new ArrayList<>();
        asked.forEach(r -> reason(band, r, mean, worstAngle, off).ifPresent(reasons::add));
        if (assessment.isExtrapolated()) {
            reasons.add(Reason.extrapolated(band, assessment.conditions().frequencyMHz()));
        }
        reasons.sort(Comparator.comparing(Reason::cause));
        return new Judgement(reasons, leastSpareDb(asked, mean));
    }

    static Judgement tooLossy(int band, double matchedLossDb) {
        return new Judgement(List.of(Reason.tooLossy(band, matchedLossDb)), OptionalDouble.empty());
    }

    static OptionalDouble leastSpareDb(List<Requirement.OnBand> asked, BandOutcome at) {
        return asked.stream().flatMapToDouble(r -> r.spareDb(at).stream()).min();
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
