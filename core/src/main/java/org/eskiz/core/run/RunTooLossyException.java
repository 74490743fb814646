package org.eskiz.core.run;

import java.util.Locale;

/** The run's matched loss is beyond {@link Run#MAX_MATCHED_LOSS_DB}. */
public final class RunTooLossyException extends IllegalArgumentException {

    private final double matchedLossDb;

    RunTooLossyException(double matchedLossDb, double frequencyMHz) {
        super(String.format(
                Locale.ROOT,
                "the run loses %.0f dB at %s MHz; at most %.0f dB can be assessed",
                matchedLossDb,
                Double.toString(frequencyMHz),
                Run.MAX_MATCHED_LOSS_DB));
        this.matchedLossDb = matchedLossDb;
    }

    /** What the run would lose, in dB. */
    public double matchedLossDb() {
        return matchedLossDb;
    }
}
