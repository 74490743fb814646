package org.eskiz.core.bench;

/** Takes out of a curve over frequency what ripples as reflections at both ends of a line make it. */
final class OverRipple {

    private OverRipple() {}

    /** Each value the mean of those within its reach; their running sum makes it quick for long sweeps. */
    static double[] mean(double[] f, double[] values, double rippleMHz) {
        double[] sums = new double[values.length + 1];
        for (int i = 0; i < values.length; i++) {
            sums[i + 1] = sums[i] + values[i];
        }
        double[] out = new double[values.length];
        int from = 0;
        int to = 0;
        for (int i = 0; i < values.length; i++) {
            double reach = reach(f, i, rippleMHz);
            // toward the upper end the reach shrinks again, but its lower bound never goes back
            while (f[from] < f[i] - reach) {
                from++;
            }
            while (to < f.length && f[to] <= f[i] + reach) {
                to++;
            }
            out[i] = (sums[to] - sums[from]) / (to - from);
        }
        return out;
    }

    /** Half a ripple to either side, and less at the ends, so that as much lies below a point as above it. */
    private static double reach(double[] f, int i, double rippleMHz) {
        return Math.min(rippleMHz / 2, Math.min(f[i] - f[0], f[f.length - 1] - f[i]));
    }
}
