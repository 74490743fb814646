package org.eskiz.server.catalogue;

import io.swagger.v3.oas.annotations.media.Schema;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.server.http.OrNull;

/** A cable type on the wire. */
record CableTypeResponse(
        String key,
        boolean builtIn,
        int revision,
        Instant revisedAt,
        String name,
        String family,
        Provenance provenance,
        double impedanceOhm,
        double velocityFactor,
        boolean balanced,
        @OrNull Double outerDiameterMm,
        @OrNull Double massGPerM,
        @OrNull Double bendRadiusOnceMm,
        @OrNull Double bendRadiusRepeatedMm,
        @OrNull String jacket,
        @OrNull String centreConductor,
        @OrNull String shield,
        @OrNull String dielectric,
        @OrNull Double minInstallC,
        @OrNull Double minOperatingC,
        @OrNull Double maxOperatingC,
        @OrNull Boolean directBurial,
        @OrNull Boolean sunResistant,
        @OrNull Flexing flexing,
        @OrNull Double peakVoltageV,
        @OrNull Double averagePower30MHzW,

        @Schema(description = "decimal; null where not known") @OrNull
        BigDecimal pricePerM,

        @OrNull String priceCurrency,

        @Schema(description = "an invented price to try things with") @OrNull
        Boolean priceIsSample,

        @OrNull LocalDate pricedOn,
        @OrNull String note,
        List<PointResponse> points,
        FitResponse fit) {

    record PointResponse(double frequencyMHz, double attenuationDbPer100m) {}

    record FitResponse(double k1, double k2, double worstRelativeResidual) {}

    static CableTypeResponse of(CableType type) {
        CableType.Facts facts = type.facts();
        CableType.Mechanics m = facts.mechanics();
        CableType.Price price = facts.price();
        return new CableTypeResponse(
                type.key(),
                type.builtIn(),
                type.revision(),
                type.revisedAt(),
                facts.name(),
                facts.family(),
                facts.provenance(),
                facts.impedanceOhm(),
                facts.velocityFactor(),
                facts.balanced(),
                m.outerDiameterMm(),
                m.massGPerM(),
                m.bendRadiusOnceMm(),
                m.bendRadiusRepeatedMm(),
                m.jacket(),
                m.centreConductor(),
                m.shield(),
                m.dielectric(),
                m.minInstallC(),
                m.minOperatingC(),
                m.maxOperatingC(),
                m.directBurial(),
                m.sunResistant(),
                m.flexing(),
                facts.ratings().peakVoltageV(),
                facts.ratings().averagePower30MHzW(),
                price == null ? null : price.perM(),
                price == null ? null : price.currency(),
                price == null ? null : price.sample(),
                price == null ? null : price.on(),
                facts.note(),
                facts.points().stream()
                        .map(p -> new PointResponse(p.frequencyMHz(), p.attenuationDbPer100m()))
                        .toList(),
                fit(type));
    }

    private static FitResponse fit(CableType type) {
        Attenuation law = type.fittedCable().attenuation();
        return new FitResponse(law.k1(), law.k2(), type.worstRelativeResidual());
    }
}
