package org.eskiz.core.choice;

import java.util.function.DoublePredicate;
import java.util.function.DoubleUnaryOperator;

/**
 * How far a cable goes on a band and still meets what is asked.
 *
 * @param kind whether there is such a length
 * @param lengthM the smallest length at which a requirement fails, m; 0 where even none is too much, and the farthest that
 *     is looked at where nothing fails
 */
public record Reach(Kind kind, double lengthM) {

    /** Whether there is a length at which it begins to fail. */
    public enum Kind {
        UP_TO,
        NOT_EVEN_NONE,
        BEYOND
    }

    /** Nobody plans a longer run. */
    public static final double FARTHEST_M = 1000;

    /** Steps in half a wavelength: the loss may ripple with it, and a step of 1/64 wavelength misses no ripple. */
    private static final int STEPS = 32;

    /**
     * Where the ripple dies away as it should, the first failure lies within two periods of the last safe trough. Where what is
     * to spare first grows with length, no more are gone through step by step: at 30 GHz there are half a million of them.
     */
    private static final int PERIODS_SCANNED = 5;

    private static final double ROUNDING_DB = 1e-9;

    /** Relative agreement to which the length is found. */
    private static final double RELATIVE = 1e-9;

    /**
     * Finds the first length at which nothing is to spare.
     *
     * <p>What is to spare falls steadily with length, but for a ripple of half a wavelength's period, from the elements
     * before the cable or from reflection at the radio; the ripple dies away with length and keeps its phase. So the first
     * failure lies in the first period whose trough fails, or in the one before it.
     *
     * @param spareDb what is to spare over the length in m, dB; negative infinity where nothing can be assessed
     * @param halfWaveM half a wavelength on the cable, m
     */
    static Reach search(DoubleUnaryOperator spareDb, double halfWaveM) {
        if (isMissed(spareDb, 0)) {
            return new Reach(Kind.NOT_EVEN_NONE, 0);
        }
        double trough = troughM(spareDb, halfWaveM);
        long periods = (long) Math.ceil(FARTHEST_M / halfWaveM);
        long safe = lastSafePeriod(spareDb, trough, halfWaveM, periods);
        double step = halfWaveM / STEPS;
        double from = Math.max(0, (safe - 1) * halfWaveM);
        double to = Math.min(FARTHEST_M, from + PERIODS_SCANNED * halfWaveM);
        for (double l = from; l < to; l += step) {
            double next = Math.min(to, l + step);
            if (isMissed(spareDb, next)) {
                return new Reach(Kind.UP_TO, bisected(spareDb, l, next));
            }
        }
        return to >= FARTHEST_M || !isMissed(spareDb, FARTHEST_M)
                ? new Reach(Kind.BEYOND, FARTHEST_M)
                : new Reach(Kind.UP_TO, bisected(spareDb, to, FARTHEST_M));
    }

    /** What is met exactly is met. */
    private static boolean isMissed(DoubleUnaryOperator spareDb, double lengthM) {
        return spareDb.applyAsDouble(lengthM) < -ROUNDING_DB;
    }

    /** Finds the first length at which something fails that, once failed, stays so. */
    static Reach ofMonotone(DoublePredicate isMet) {
        if (!isMet.test(0)) {
            return new Reach(Kind.NOT_EVEN_NONE, 0);
        }
        return isMet.test(FARTHEST_M)
                ? new Reach(Kind.BEYOND, FARTHEST_M)
                : new Reach(Kind.UP_TO, bisected(l -> isMet.test(l) ? 0 : -1, 0, FARTHEST_M));
    }

    /** Where in the first half wavelength least is to spare, its steady fall taken out. */
    private static double troughM(DoubleUnaryOperator spareDb, double halfWaveM) {
        double fall = spareDb.applyAsDouble(halfWaveM) - spareDb.applyAsDouble(0);
        double trough = 0;
        double least = Double.POSITIVE_INFINITY;
        for (int i = 0; i < STEPS; i++) {
            double way = (double) i / STEPS;
            double level = spareDb.applyAsDouble(way * halfWaveM) - way * fall;
            if (level < least) {
                least = level;
                trough = way * halfWaveM;
            }
        }
        return trough;
    }

    /** The last period whose trough still has something to spare; troughs fall steadily. */
    private static long lastSafePeriod(DoubleUnaryOperator spareDb, double trough, double halfWaveM, long periods) {
        long safe = -1;
        long failing = periods + 1;
        while (failing - safe > 1) {
            long middle = safe + (failing - safe) / 2;
            if (spareDb.applyAsDouble(trough + middle * halfWaveM) < 0) {
                failing = middle;
            } else {
                safe = middle;
            }
        }
        return safe;
    }

    private static double bisected(DoubleUnaryOperator spareDb, double passing, double failing) {
        double low = passing;
        double high = failing;
        while (high - low > RELATIVE * high) {
            double middle = (low + high) / 2;
            if (spareDb.applyAsDouble(middle) < 0) {
                high = middle;
            } else {
                low = middle;
            }
        }
        return high;
    }
}
