package org.eskiz.server.document;

import jakarta.validation.constraints.NotNull;
import org.eskiz.server.problem.Within;

/** A loss at a frequency; between two of them it is a straight line in dB over the logarithm of frequency. */
public record LossPointSpec(
        @NotNull(message = "must be given") @Within(what = Ranges.FREQUENCY, min = 0.1, max = 30_000)
        Double frequencyMHz,

        @NotNull(message = "must be given") @Within(what = Ranges.LOSS, min = 0, max = 60)
        Double lossDb) {

    /** As many as a sweep of a device needs. */
    static final int MOST = 401;
}
