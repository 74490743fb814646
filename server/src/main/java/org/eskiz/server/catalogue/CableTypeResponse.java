package org.eskiz.server.catalogue;

import static java.util.Objects.requireNonNullElse;

import io.swagger.v3.oas.annotations.media.Schema;
import java.math.BigDecimal;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.CopperFloor;
import org.eskiz.core.cable.SheetCheck;
import org.eskiz.server.problem.OrNull;

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
        @OrNull Double averagePowerW,
        double ratedAtMHz,
        double ratedAtC,

        @Schema(description = "decimal; null where not known") @OrNull
        BigDecimal pricePerM,

        @OrNull String priceCurrency,

        @Schema(description = "an invented price to try things with") @OrNull
        Boolean priceIsSample,

        @OrNull LocalDate pricedOn,

        @Schema(description = "whole lengths it is sold in; null for by the metre") @OrNull
        Double soldInM,

        @OrNull String sourceTitle,
        @OrNull LocalDate sourceDate,
        Provenance mechanicsProvenance,
        Provenance ratingsProvenance,
        @OrNull String note,
        List<PointResponse> points,
        FitResponse fit,

        @Schema(
                description =
                        "least k1 that copper allows at its size; null where size is not known, and for balanced line")
        @OrNull
        Double floorK1,

        @Schema(description = "some row of its sheet loses less than copper of its size allows")
        boolean tooGoodToBeTrue,

        @Schema(description = "not offered any more") boolean retired,
        boolean favourite) {

    record PointResponse(double frequencyMHz, double attenuationDbPer100m) {}

    record FitResponse(double k1, double k2, double worstRelativeResidual) {}

    static CableTypeResponse of(CableType type, Catalogue catalogue) {
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
                facts.ratings().averagePowerW(),
                facts.ratings().atMHz(),
                facts.ratings().atC(),
                price == null ? null : price.perM(),
                price == null ? null : price.currency(),
                price == null ? null : price.sample(),
                price == null ? null : price.on(),
                price == null ? null : price.soldInM(),
                facts.source().title(),
                facts.source().date(),
                requireNonNullElse(facts.source().mechanics(), facts.provenance()),
                requireNonNullElse(facts.source().ratings(), facts.provenance()),
                facts.note(),
                facts.points().stream()
                        .map(p -> new PointResponse(p.frequencyMHz(), p.attenuationDbPer100m()))
                        .toList(),
                fit(type),
                floorK1(facts),
                isTooGoodToBeTrue(facts),
                catalogue.isRetired(type.key()),
                catalogue.isFavourite(type.key()));
    }

    private static boolean isTooGoodToBeTrue(CableType.Facts facts) {
        Double floorK1 = floorK1(facts);
        return floorK1 != null && SheetCheck.isBelowTheFloor(facts.points(), floorK1);
    }

    static Double floorK1(CableType.Facts facts) {
        Double across = facts.mechanics().outerDiameterMm();
        return facts.balanced() || across == null
                ? null
                : CopperFloor.ofCoax(facts.impedanceOhm(), facts.velocityFactor(), across);
    }

    private static FitResponse fit(CableType type) {
        Attenuation law = type.fittedCable().attenuation();
        return new FitResponse(law.k1(), law.k2(), type.worstRelativeResidual());
    }
}
