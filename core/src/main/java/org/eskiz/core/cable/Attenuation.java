package org.eskiz.core.cable;

import org.eskiz.core.unit.Require;

/**
 * Matched attenuation {@code A(f) = k1·√f + k2·f} in dB per 100 m at 20 °C, f in MHz.
 *
 * <p>It is the low-loss line's {@code α = R/(2·Z0) + G·Z0/2} (Microwave Engineering, 4th edition, section 2.7): R is skin
 * resistance and grows with √f, G is the loss of the dielectric and grows with f.
 *
 * @param k1 conductor term (skin effect), dB per 100 m and √MHz, at least 0
 * @param k2 dielectric term, dB per 100 m and MHz, at least 0
 */
public record Attenuation(double k1, double k2) {

    /** Temperature at which data sheets state attenuation, °C. */
    public static final double SHEET_TEMPERATURE_C = 20;

    /** Rise of copper's resistivity per °C at 20 °C (IEC 60028). Skin resistance follows its square root. */
    private static final double COPPER_PER_C = 0.00393;

    public Attenuation {
        Require.notNegative("k1", k1);
        Require.notNegative("k2", k2);
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

    /** The conductor's part of {@link #dbPer100m}: √f, and growing with temperature. */
    public double conductorDbPer100m(double frequencyMHz, double ambientC) {
        return k1 * Math.sqrt(frequencyMHz) * conductorFactor(ambientC);
    }

    /** The dielectric's part of {@link #dbPer100m}: proportional to f, taken as steady with temperature. */
    public double dielectricDbPer100m(double frequencyMHz) {
        return k2 * frequencyMHz;
    }

    /**
     * The same cable when its sheet is off by a factor.
     *
     * @param factor 1.1 for ten percent more loss than the sheet says
     */
    public Attenuation scaledBy(double factor) {
        return new Attenuation(k1 * factor, k2 * factor);
    }

    private static double conductorFactor(double ambientC) {
        return Math.sqrt(1 + COPPER_PER_C * (ambientC - SHEET_TEMPERATURE_C));
    }
}
