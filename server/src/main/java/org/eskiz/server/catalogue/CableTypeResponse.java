package org.eskiz.server.catalogue;

import static java.util.Objects.requireNonNullElse;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.CopperFloor;
import org.eskiz.core.cable.SheetCheck;
import org.eskiz.core.cable.ShieldBore;
import org.jspecify.annotations.Nullable;

/** A cable type on the wire, where its groups are one flat object. */
record CableTypeResponse(
        String key,
        boolean builtIn,
        int revision,
        Instant revisedAt,
        String name,
        String family,
        @JsonUnwrapped CableSourceResponse source,
        @JsonUnwrapped Construction construction,
        @JsonUnwrapped Mechanics mechanics,
        @JsonUnwrapped Ratings ratings,
        @JsonUnwrapped Price price,
        @Nullable String note,
        List<PointResponse> points,
        @JsonUnwrapped FittedSheetResponse sheet,

        @Schema(description = "not offered any more") boolean retired,
        boolean favourite) {

    record PointResponse(double frequencyMHz, double attenuationDbPer100m) {}

    /** Where its figures come from, each said for itself. */
    record CableSourceResponse(
            Provenance provenance,
            @Nullable String sourceTitle,
            @Nullable LocalDate sourceDate,
            Provenance mechanicsProvenance,
            Provenance ratingsProvenance,
            @Nullable Double withinPercent) {

        private static CableSourceResponse of(Source s) {
            return new CableSourceResponse(
                    s.provenance(), s.sourceTitle(), s.sourceDate(), s.ofMechanics(), s.ofRatings(), s.withinPercent());
        }
    }

    /** What the core makes of its data sheet. */
    record FittedSheetResponse(
            FitResponse fit,

            @Schema(
                    description =
                            "least k1 that copper allows at its size; null where size is not known, and for balanced line")
            @Nullable
            Double floorK1,

            @Nullable ShieldBoreResponse floorBore,

            @Schema(description = "some row of its sheet loses less than copper of its size allows")
            boolean tooGoodToBeTrue) {

        private static FittedSheetResponse of(CableType type) {
            Attenuation law = type.fittedCable().attenuation();
            Double floorK1 = CableTypeResponse.floorK1(type.facts());
            return new FittedSheetResponse(
                    new FitResponse(law.k1(), law.k2(), type.worstRelativeResidual()),
                    floorK1,
                    CableTypeResponse.shieldBore(type.facts())
                            .map(b -> new ShieldBoreResponse(b.mm(), b.known()))
                            .orElse(null),
                    floorK1 != null && SheetCheck.isBelowTheFloor(type.facts().points(), floorK1));
        }
    }

    /** How wide the shield is within, for the floor, and where that figure comes from. */
    record ShieldBoreResponse(double mm, ShieldBore.Known known) {}

    record FitResponse(double k1, double k2, double worstRelativeResidual) {}

    static CableTypeResponse of(CableType type, Catalogue catalogue) {
        CableType.Facts facts = type.facts();
        return new CableTypeResponse(
                type.key(),
                type.builtIn(),
                type.revision(),
                type.revisedAt(),
                facts.name(),
                facts.family(),
                CableSourceResponse.of(facts.source()),
                facts.construction(),
                facts.mechanics(),
                facts.ratings(),
                requireNonNullElse(facts.price(), Price.UNKNOWN),
                facts.note(),
                facts.points().stream()
                        .map(p -> new PointResponse(p.frequencyMHz(), p.attenuationDbPer100m()))
                        .toList(),
                FittedSheetResponse.of(type),
                catalogue.isRetired(type.key()),
                catalogue.isFavourite(type.key()));
    }

    static Double floorK1(CableType.Facts facts) {
        Construction made = facts.construction();
        return shieldBore(facts)
                .map(bore -> CopperFloor.ofCoax(made.impedanceOhm(), made.velocityFactor(), bore))
                .orElse(null);
    }

    private static Optional<ShieldBore> shieldBore(CableType.Facts facts) {
        Construction made = facts.construction();
        return made.balanced()
                ? Optional.empty()
                : ShieldBore.of(
                        optional(made.shieldBoreMm()),
                        optional(facts.mechanics().outerDiameterMm()),
                        requireNonNullElse(made.shield(), ""));
    }

    private static OptionalDouble optional(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}
