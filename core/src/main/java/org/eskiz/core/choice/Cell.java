package org.eskiz.core.choice;

import java.util.Optional;
import org.eskiz.core.run.RunAssessment;

/**
 * One candidate on one band.
 *
 * @param assessment the run with the candidate in it; empty when it loses more than can be assessed
 * @param judgement what the requirements make of it
 */
public record Cell(Optional<RunAssessment> assessment, Judgement judgement) {

    /** Whether anything of it rests on a figure from beyond what is known. */
    public boolean isExtrapolated() {
        return assessment.map(RunAssessment::isExtrapolated).orElse(false);
    }

    /** Infinite where more is lost than can be assessed. */
    double totalLossDb() {
        return assessment.map(RunAssessment::totalLossDb).orElse(Double.POSITIVE_INFINITY);
    }

    /** How much more loss would do, dB; infinite where nothing is asked, negative infinity where all is lost. */
    double spareDb() {
        return judgement
                .leastSpareDb()
                .orElse(assessment.isPresent() ? Double.POSITIVE_INFINITY : Double.NEGATIVE_INFINITY);
    }
}
