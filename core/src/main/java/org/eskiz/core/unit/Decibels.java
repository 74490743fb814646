package org.eskiz.core.unit;

/** Decibels of power: {@code 10·log10} of a ratio of two powers, positive for a loss. */
public final class Decibels {

    /** Decibels in one neper: 20 / ln 10, about 8.686. */
    public static final double PER_NEPER = 20 / Math.log(10);

    /** Decibels per 100 m in one neper per m, about 868.6. */
    public static final double PER_100_M = 100 * PER_NEPER;

    private Decibels() {}

    /** Of a ratio of two powers: 10·log10. */
    public static double ofPower(double ratio) {
        return 10 * Math.log10(ratio);
    }

    /** Of a ratio of two voltages, currents or reflections: 20·log10. */
    public static double ofAmplitude(double ratio) {
        return 20 * Math.log10(ratio);
    }

    /**
     * Loss between two powers.
     *
     * @param powerIn power before, in any unit, above 0
     * @param powerOut power after, in the same unit; 0 gives positive infinity
     * @return 10·log10(powerIn / powerOut), in dB
     */
    public static double lossBetween(double powerIn, double powerOut) {
        return ofPower(powerIn / powerOut);
    }

    /**
     * Fraction of power that a loss leaves.
     *
     * @param lossDb loss in dB
     * @return 10^(−lossDb/10): 1 for no loss, 0.5 for about 3.01 dB
     */
    public static double fractionLeft(double lossDb) {
        return Math.pow(10, -lossDb / 10);
    }

    /**
     * Fraction of the range in free space that a loss leaves: field strength falls as one over the distance, so half the
     * power is not half the range.
     *
     * @param lossDb loss in dB
     * @return 10^(−lossDb/20): 1 for no loss, 0.5 for about 6.02 dB
     */
    public static double rangeLeft(double lossDb) {
        return Math.sqrt(fractionLeft(lossDb));
    }

    /** Ratio of powers of a gain or of a noise figure, from dB. */
    public static double ratio(double db) {
        return Math.pow(10, db / 10);
    }
}
