package org.eskiz.core.cable;

import java.util.List;
import java.util.Optional;
import org.eskiz.core.unit.Physics;
import org.eskiz.core.unit.Require;

/**
 * A type of transmission line, as far as the computation needs it.
 *
 * @param impedanceOhm nominal characteristic impedance R0, above 0
 * @param velocityFactor speed on the line over the speed of light, above 0, at most 1
 * @param attenuation matched attenuation law
 * @param sheet frequencies that the law was fitted to; empty when the law was given as such
 * @param isCopperCladSteel whether its centre is of copper-clad steel, or may be
 */
public record Cable(
        double impedanceOhm,
        double velocityFactor,
        Attenuation attenuation,
        Optional<SheetRange> sheet,
        boolean isCopperCladSteel) {

    /** Below this the copper on a steel centre is thinner than the skin of the current. */
    private static final double COPPER_CLAD_BELOW_MHZ = 20;

    public Cable {
        Require.positive("impedance in ohm", impedanceOhm);
        Require.positive("velocity factor", velocityFactor);
        if (velocityFactor > 1) {
            throw new IllegalArgumentException("velocity factor must be at most 1, not " + velocityFactor);
        }
    }

    /** A cable whose attenuation is known by its coefficients. */
    public static Cable ofCoefficients(double impedanceOhm, double velocityFactor, Attenuation attenuation) {
        return new Cable(impedanceOhm, velocityFactor, attenuation, Optional.empty(), false);
    }

    /** A cable whose attenuation is fitted to the rows of its data sheet. */
    public static Cable ofSheet(double impedanceOhm, double velocityFactor, List<AttenuationPoint> points) {
        var law = AttenuationFit.of(points).attenuation();
        return new Cable(impedanceOhm, velocityFactor, law, Optional.of(SheetRange.of(points)), false);
    }

    /** Speed of a wave on it, metres per second. */
    public double speed() {
        return velocityFactor * Physics.SPEED_OF_LIGHT;
    }

    /** Whether attenuation at a frequency is an extrapolation beyond the sheet. */
    public boolean isExtrapolatedAt(double frequencyMHz) {
        return sheet.isPresent() && !sheet.get().covers(frequencyMHz);
    }

    /** The same cable with a centre of copper-clad steel. */
    public Cable ofCopperCladSteel() {
        return new Cable(impedanceOhm, velocityFactor, attenuation, sheet, true);
    }

    /** The same cable, its rows followed instead of the law that is fitted to them. */
    public Cable following(List<AttenuationPoint> points) {
        return new Cable(impedanceOhm, velocityFactor, attenuation.following(points), sheet, isCopperCladSteel);
    }

    /** Whether it loses more at a frequency than the square-root law says, for its steel centre. */
    public boolean losesMoreThanTheLawAt(double frequencyMHz) {
        return isCopperCladSteel && frequencyMHz < COPPER_CLAD_BELOW_MHZ && !attenuation.isFollowedAt(frequencyMHz);
    }

    /** The same cable with its attenuation off by a factor. */
    public Cable withAttenuationScaledBy(double factor) {
        return new Cable(impedanceOhm, velocityFactor, attenuation.scaledBy(factor), sheet, isCopperCladSteel);
    }
}
