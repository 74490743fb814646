package org.eskiz.server.catalogue;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.problem.Within;

/**
 * Attenuation of some types at some frequencies.
 *
 * @param lengthM for the loss of a length, default 100
 */
public record CurvesRequest(
        @NotNull(message = "must be given") @Size(max = 64, message = "must be at most {max} types")
        List<@NotNull(message = "must be a key, not null") @PlainText(max = 64) String> keys,

        @NotNull(message = "must be given") @Size(min = 1, max = 401, message = "must be 1 to 401 frequencies")
        List<
                        @NotNull(message = "must be a frequency, not null")
                        @Within(what = "frequency in MHz", min = 0.1, max = 30_000) Double>
                frequenciesMHz,

        @Within(what = "length in m", min = 0, max = 10_000) Double lengthM,

        @Within(what = "ambient temperature in °C", min = -60, max = 120)
        Double ambientC) {

    /** One frequency, as an address says it. */
    public record AtFrequency(
            @Within(what = "frequency in MHz", min = 0.1, max = 30_000)
            double atMHz) {

        /** Refuses one that nobody can ask about. */
        public void require() {
            ValidationErrors.in(this).throwIfAny();
        }
    }
}
