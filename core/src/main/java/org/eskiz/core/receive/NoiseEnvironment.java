package org.eskiz.core.receive;

import org.eskiz.core.unit.Physics;

/**
 * How noisy a place is: {@code F_am = c − d·log10 f} dB, f in MHz, with the c and d of median man-made and galactic noise
 * (ITU-R P.372-8, 2003, table 1, curves A to E), their powers added, and an antenna temperature for high bands.
 */
public enum NoiseEnvironment {
    CITY(76.8, 27.7, 600),
    RESIDENTIAL(72.5, 27.7, 300),
    RURAL(67.2, 27.7, 150),
    QUIET_RURAL(53.6, 28.6, 80);

    /** Below this P.372 gives no figure, MHz. */
    public static final double FROM_MHZ = 0.3;

    /** Above this noise from the sky and the ground counts, as a temperature, MHz. */
    public static final double TEMPERATURE_FROM_MHZ = 250;

    private static final double GALACTIC_C = 52;
    private static final double GALACTIC_D = 23;

    private final double c;
    private final double d;
    private final double usualTemperatureK;

    NoiseEnvironment(double c, double d, double usualTemperatureK) {
        this.c = c;
        this.d = d;
        this.usualTemperatureK = usualTemperatureK;
    }

    /** Antenna temperature above 250 MHz where nobody knows better, K. */
    public double usualTemperatureK() {
        return usualTemperatureK;
    }

    /**
     * External noise factor f_a, of a lossless antenna.
     *
     * @param frequencyMHz at least 0.3
     * @param antennaTemperatureK what counts above 250 MHz
     */
    public double noiseFactor(double frequencyMHz, double antennaTemperatureK) {
        if (!(frequencyMHz >= FROM_MHZ)) {
            throw new IllegalArgumentException(
                    "outside noise is known from %s MHz on, not at %s MHz".formatted(FROM_MHZ, frequencyMHz));
        }
        if (frequencyMHz > TEMPERATURE_FROM_MHZ) {
            return antennaTemperatureK / Physics.REFERENCE_TEMPERATURE_K;
        }
        double log = Math.log10(frequencyMHz);
        return fromDb(c - d * log) + fromDb(GALACTIC_C - GALACTIC_D * log);
    }

    private static double fromDb(double db) {
        return Math.pow(10, db / 10);
    }
}
