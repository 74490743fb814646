package org.eskiz.server.catalogue;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import org.eskiz.server.problem.CurrencyCode;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;

/**
 * What an operator says of a cable type of their own; null where it is not known.
 *
 * @param key by which it will be known, when it is new; null to have one made of its name
 * @param revision the one that was changed; not for a new type
 * @param provenance of its attenuation
 * @param mechanicsProvenance of what can be held in the hand; null where it is that of its attenuation
 * @param ratingsProvenance of what it bears; likewise
 * @param averagePowerW average power that it bears, at the frequency and temperature given
 * @param ratedAtMHz default 30
 * @param ratedAtC default 40
 * @param soldInM whole lengths it is sold in, a reel or cut lengths; null for by the metre
 * @param points rows of the data sheet
 */
public record CableTypeRequest(
        @PlainText(max = 64) String key,
        Integer revision,

        @NotNull(message = "must be given") @PlainText(max = 120, blank = false)
        String name,

        @PlainText(max = 120) String family,
        @NotNull(message = "must be given") Provenance provenance,
        @PlainText(max = 300) String sourceTitle,
        LocalDate sourceDate,
        Provenance mechanicsProvenance,
        Provenance ratingsProvenance,

        @NotNull(message = "must be given") @Within(what = "impedance in Ω", min = 1, max = 2000)
        Double impedanceOhm,

        @NotNull(message = "must be given") @Within(what = "velocity factor", min = 0.3, max = 1)
        Double velocityFactor,

        Boolean balanced,

        @Within(what = "outer diameter in mm", min = 0.1, max = 1000)
        Double outerDiameterMm,

        @Within(what = "mass in g per m", min = 0.1, max = 100_000)
        Double massGPerM,

        @Within(what = RADIUS, min = 0.1, max = 1e5) Double bendRadiusOnceMm,
        @Within(what = RADIUS, min = 0.1, max = 1e5) Double bendRadiusRepeatedMm,
        @PlainText(max = 60) String jacket,
        @PlainText(max = 60) String centreConductor,
        @PlainText(max = 60) String shield,
        @PlainText(max = 60) String dielectric,
        @Within(what = TEMPERATURE, min = -100, max = 400) Double minInstallC,
        @Within(what = TEMPERATURE, min = -100, max = 400) Double minOperatingC,
        @Within(what = TEMPERATURE, min = -100, max = 400) Double maxOperatingC,
        Boolean directBurial,
        Boolean sunResistant,
        Flexing flexing,

        @Within(what = "peak voltage in V", min = 1, max = 1e6)
        Double peakVoltageV,

        @Within(what = "average power in W", min = 1e-3, max = 1e6)
        Double averagePowerW,

        @Within(what = "frequency of the rating in MHz", min = 0.1, max = 30_000)
        Double ratedAtMHz,

        @Within(what = "temperature of the rating in °C", min = -60, max = 300)
        Double ratedAtC,

        @Within(what = "price per metre", min = 0, max = 1e6)
        Double pricePerM,

        @CurrencyCode String priceCurrency,
        LocalDate pricedOn,

        @Within(what = "length it is sold in, in m", min = 0.1, max = 10_000)
        Double soldInM,

        @PlainText(max = 2000) String note,

        @NotNull(message = "must be given") @Size(min = 1, max = 200, message = "must be 1 to 200 points")
        List<@Valid @NotNull(message = "must be a point, not null") SheetPointRequest> points) {

    private static final String RADIUS = "bend radius in mm";
    private static final String TEMPERATURE = "temperature in °C";

    /** One row of a data sheet. */
    public record SheetPointRequest(
            @NotNull(message = "must be given") @Within(what = "frequency in MHz", min = 0.1, max = 30_000)
            Double frequencyMHz,

            @NotNull(message = "must be given") @Within(what = "attenuation in dB per 100 m", min = 1e-6, max = 1e5)
            Double attenuationDbPer100m) {}
}
