package org.eskiz.core.choice;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.eskiz.core.choice.Reason.Cause;
import org.eskiz.core.run.RunAssessment;

/**
 * What one band makes of the requirements.
 *
 * @param reasons everything that is the matter, the worst cause first; empty for a pass
 * @param leastSpareDb how much more loss the strictest requirement would bear, dB; negative where it is missed, empty
 *     where nothing is asked or nothing can be assessed
 */
public record Judgement(List<Reason> reasons, OptionalDouble leastSpareDb) {

    public Judgement {
        reasons = List.copyOf(reasons);
    }

    /** The worst that the reasons bring about; a pass without any. */
    public Verdict verdict() {
        return reasons.stream().map(r -> r.cause().verdict()).reduce(Verdict.PASS, Verdict::and);
    }

    static Judgement of(int band, RunAssessment assessment, List<Requirement> requirements) {
        List<Reason> reasons = new ArrayList<>();
        requirements.forEach(r -> judge(band, r, assessment, reasons));
        if (assessment.isExtrapolated()) {
            reasons.add(Reason.extrapolated(band, assessment.conditions().frequencyMHz()));
        }
        reasons.sort((a, b) -> a.cause().compareTo(b.cause()));
        var spare =
                requirements.stream().mapToDouble(r -> r.spareDb(assessment)).min();
        return new Judgement(reasons, spare);
    }

    static Judgement tooLossy(int band, double matchedLossDb) {
        return new Judgement(List.of(Reason.tooLossy(band, matchedLossDb)), OptionalDouble.empty());
    }

    /** A missed requirement says nothing further; a met one may be met at the mean only, or only just. */
    private static void judge(int band, Requirement asked, RunAssessment assessment, List<Reason> reasons) {
        double mean = asked.reached(assessment.totalLossDb(), assessment);
        double worst = asked.reached(assessment.totalLossAtWorstAngleDb(), assessment);
        if (!asked.isMetBy(mean)) {
            reasons.add(Reason.of(Cause.MISSED, band, asked, mean));
        } else if (!asked.isMetBy(worst)) {
            reasons.add(Reason.of(Cause.MISSED_AT_WORST_ANGLE, band, asked, worst));
        } else if (asked.isLittleToSpare(mean)) {
            reasons.add(Reason.of(Cause.LITTLE_TO_SPARE, band, asked, mean));
        }
    }
}
