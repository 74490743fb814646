package org.eskiz.server.assessment;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.eskiz.server.http.Within;

/** A cable written out instead of named by a key. */
public record CableRequest(
        @Within(what = Ranges.IMPEDANCE, min = 1, max = 2000)
        Double impedanceOhm,

        @Within(what = "velocity factor", min = 0.3, max = 1)
        Double velocityFactor,

        @Valid AttenuationRequest attenuation) {

    /** Either both coefficients or data-sheet points. */
    public record AttenuationRequest(
            @Within(what = "k1", min = 0, max = 1e4) Double k1,
            @Within(what = "k2", min = 0, max = 1e4) Double k2,

            @Size(min = 1, max = 200, message = "must be 1 to 200 points")
            List<@Valid @NotNull(message = "must be a point, not null") PointRequest> points) {}

    /** One row of a data sheet. */
    public record PointRequest(
            @Within(what = Ranges.FREQUENCY, min = 0.1, max = 30_000)
            Double frequencyMHz,

            @Within(what = "attenuation in dB per 100 m", min = 1e-6, max = 1e5)
            Double attenuationDbPer100m) {}
}
