package org.eskiz.core.cable;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What of a cable can be held in the hand; empty where nobody has said.
 *
 * @param outerDiameterMm over the jacket
 * @param massGPerM grams per metre
 * @param bendRadiusOnceMm smallest radius for a bend that stays
 * @param bendRadiusRepeatedMm smallest radius for a bend made again and again
 * @param minInstallC coldest at which it may be unrolled, °C
 * @param sunResistant whether its jacket bears the sun
 * @param keepsWaterOut whether its jacket bears standing in the wet
 * @param directBurial whether it may lie in the ground without a duct
 * @param flexesRepeatedly whether it is made to be moved again and again
 */
public record Mechanics(
        OptionalDouble outerDiameterMm,
        OptionalDouble massGPerM,
        OptionalDouble bendRadiusOnceMm,
        OptionalDouble bendRadiusRepeatedMm,
        OptionalDouble minInstallC,
        Optional<Boolean> sunResistant,
        Optional<Boolean> keepsWaterOut,
        Optional<Boolean> directBurial,
        Optional<Boolean> flexesRepeatedly) {

    /** Nobody has said anything. */
    public static final Mechanics UNKNOWN = weighing(OptionalDouble.empty());

    /** Only what a metre weighs is known, if that. */
    public static Mechanics weighing(OptionalDouble massGPerM) {
        return new Mechanics(
                OptionalDouble.empty(),
                massGPerM,
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                OptionalDouble.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
    }
}
