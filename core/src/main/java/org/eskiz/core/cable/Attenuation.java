package org.eskiz.core.cable;

import java.util.Comparator;
import java.util.List;
import org.eskiz.core.unit.Require;

/**
 * Matched attenuation {@code A(f) = k1·√f + k2·f} in dB per 100 m at 20 °C, f in MHz.
 *
 * <p>It is the low-loss line's {@code α = R/(2·Z0) + G·Z0/2} (Microwave Engineering, 4th edition, section 2.7): R is skin
 * resistance and grows with √f, G is the loss of the dielectric and grows with f.
 *
 * @param k1 conductor term (skin effect), dB per 100 m and √MHz, at least 0
 * @param k2 dielectric term, dB per 100 m and MHz, at least 0
 * @param followed rows of a sheet that the law does not fit, by frequency: between them attenuation runs straight over √f, and
 *     only outside of them as the law says; empty where the law is followed everywhere
 */
public record Attenuation(double k1, double k2, List<AttenuationPoint> followed) {

    /** Temperature at which data sheets state attenuation, °C. */
    public static final double SHEET_TEMPERATURE_C = 20;

    /** Rise of copper's resistivity per °C at 20 °C (IEC 60028). Skin resistance follows its square root. */
    private static final double COPPER_PER_C = 0.00393;

    public Attenuation {
        Require.notNegative("k1", k1);
        Require.notNegative("k2", k2);
        followed = followed.stream()
                .sorted(Comparator.comparingDouble(AttenuationPoint::frequencyMHz))
                .toList();
    }

    /** As the law says everywhere. */
    public Attenuation(double k1, double k2) {
        this(k1, k2, List.of());
    }

    /** The same with rows that are followed instead of the law. */
    public Attenuation following(List<AttenuationPoint> points) {
        return new Attenuation(k1, k2, points);
    }

    /** Whether a frequency lies between rows that are followed. */
    public boolean isFollowedAt(double frequencyMHz) {
        return !followed.isEmpty()
                && frequencyMHz >= followed.get(0).frequencyMHz()
                && frequencyMHz <= followed.get(followed.size() - 1).frequencyMHz();
    }

    /**
     * Attenuation, conductor and dielectric together.
     *
     * @param frequencyMHz above 0
     * @param ambientC temperature of the cable in °C
     * @return dB per 100 m
     */
    public double dbPer100m(double frequencyMHz, double ambientC) {
        return conductorDbPer100m(frequencyMHz, ambientC) + dielectricDbPer100m(frequencyMHz);
    }

    /** The conductor's part of {@link #dbPer100m}: √f, and growing with temperature; what rows say beyond the law is its. */
    public double conductorDbPer100m(double frequencyMHz, double ambientC) {
        double cold = isFollowedAt(frequencyMHz)
                ? between(frequencyMHz) - dielectricDbPer100m(frequencyMHz)
                : k1 * Math.sqrt(frequencyMHz);
        return cold * conductorFactor(ambientC);
    }

    /** The dielectric's part of {@link #dbPer100m}: proportional to f, taken as steady with temperature. */
    public double dielectricDbPer100m(double frequencyMHz) {
        double law = k2 * frequencyMHz;
        return isFollowedAt(frequencyMHz) ? Math.min(law, between(frequencyMHz)) : law;
    }

    private double between(double frequencyMHz) {
        AttenuationPoint below = followed.get(0);
        for (AttenuationPoint above : followed) {
            if (above.frequencyMHz() >= frequencyMHz) {
                return straightOverRoot(below, above, frequencyMHz);
            }
            below = above;
        }
        return below.attenuationDbPer100m();
    }

    private static double straightOverRoot(AttenuationPoint below, AttenuationPoint above, double frequencyMHz) {
        double from = Math.sqrt(below.frequencyMHz());
        double span = Math.sqrt(above.frequencyMHz()) - from;
        double way = span == 0 ? 1 : (Math.sqrt(frequencyMHz) - from) / span;
        return below.attenuationDbPer100m() * (1 - way) + above.attenuationDbPer100m() * way;
    }

    /**
     * The same cable when its sheet is off by a factor.
     *
     * @param factor 1.1 for ten percent more loss than the sheet says
     */
    public Attenuation scaledBy(double factor) {
        return new Attenuation(
                k1 * factor,
                k2 * factor,
                followed.stream()
                        .map(p -> new AttenuationPoint(p.frequencyMHz(), p.attenuationDbPer100m() * factor))
                        .toList());
    }

    /** How much more a conductor loses at a temperature than a sheet says. */
    public static double conductorFactor(double ambientC) {
        return Math.sqrt(1 + COPPER_PER_C * (ambientC - SHEET_TEMPERATURE_C));
    }
}
