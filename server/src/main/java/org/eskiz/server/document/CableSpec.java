package org.eskiz.server.document;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.eskiz.server.catalogue.Provenance;
import org.eskiz.server.catalogue.Source;
import org.eskiz.server.problem.Within;

/**
 * A cable written out instead of named by a key.
 *
 * @param tolerance how far its attenuation may be off, as a fraction; null for that of a data sheet
 */
public record CableSpec(
        @Within(what = Ranges.IMPEDANCE, min = 1, max = 2000)
        Double impedanceOhm,

        @Within(what = "velocity factor", min = 0.3, max = 1)
        Double velocityFactor,

        @Valid AttenuationRequest attenuation,
        @Valid RatingsRequest ratings,

        @Within(what = "tolerance as a fraction", min = 0, max = 0.9)
        Double tolerance) {

    /** Where its losses come from: a sheet, unless it says itself how far they are off. */
    public Source source() {
        return Source.of(Provenance.SHEET).within(tolerance);
    }

    /**
     * What it bears; null where not known.
     *
     * @param averagePowerW average power, at the frequency and temperature given
     * @param frequencyMHz at which the average power is stated, default 30
     * @param ambientC at which it is stated, default 40
     * @param maxOperatingC highest operating temperature; without it the average power says nothing
     * @param peakVoltageV between the conductors
     */
    public record RatingsRequest(
            @Within(what = Ranges.POWER, min = 1e-3, max = 1e6)
            Double averagePowerW,

            @Within(what = Ranges.FREQUENCY, min = 0.1, max = 30_000)
            Double frequencyMHz,

            @Within(what = "temperature of the rating in °C", min = -60, max = 300)
            Double ambientC,

            @Within(what = "highest operating temperature in °C", min = -60, max = 400)
            Double maxOperatingC,

            @Within(what = "peak voltage in V", min = 1, max = 1e6)
            Double peakVoltageV) {}

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
