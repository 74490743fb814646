package org.eskiz.server.document;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.eskiz.server.problem.Within;

/**
 * A device as it was measured: scattering over frequency, port 1 toward the radio.
 *
 * @param referenceOhm in which it was measured
 */
public record TwoPortSpec(
        @NotNull(message = "must be given") @Within(what = "reference in ohm", min = 1, max = 2000)
        Double referenceOhm,

        @NotNull(message = "must be given") @Size(min = 1, max = MOST, message = "must be {min} to {max} points")
        List<@Valid @NotNull(message = "must be a point, not null") PointSpec> points) {

    static final int MOST = 401;

    /** Each as real and imaginary part. */
    public record PointSpec(
            @NotNull(message = "must be given") @Within(what = Ranges.FREQUENCY, min = 0.1, max = 30_000)
            Double frequencyMHz,

            @NotNull(message = "must be given") @Size(min = 2, max = 2, message = PAIR)
            List<@NotNull @Within(what = PART, min = -2, max = 2) Double> s11,

            @NotNull(message = "must be given") @Size(min = 2, max = 2, message = PAIR)
            List<@NotNull @Within(what = PART, min = -2, max = 2) Double> s21,

            @NotNull(message = "must be given") @Size(min = 2, max = 2, message = PAIR)
            List<@NotNull @Within(what = PART, min = -2, max = 2) Double> s12,

            @NotNull(message = "must be given") @Size(min = 2, max = 2, message = PAIR)
            List<@NotNull @Within(what = PART, min = -2, max = 2) Double> s22) {}

    private static final String PAIR = "must be a real and an imaginary part";
    private static final String PART = "part of a scattering parameter";
}
