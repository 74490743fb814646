package org.eskiz.core.bench;

import java.util.stream.IntStream;
import org.eskiz.core.unit.Physics;
import org.hipparchus.stat.regression.SimpleRegression;

/**
 * How far a wave turns along a line over frequency, and how long that makes it. Only the upper half of a sweep is read: below that,
 * internal inductance slows real cables.
 */
final class Phase {

    private Phase() {}

    /** Of values over frequency those in the upper half of the sweep. */
    static double[] upperHalf(double[] f, double[] values) {
        return IntStream.range(0, f.length)
                .filter(i -> isUpper(f, f[i]))
                .mapToDouble(i -> values[i])
                .toArray();
    }

    private static boolean isUpper(double[] f, double frequencyMHz) {
        return frequencyMHz >= (f[0] + f[f.length - 1]) / 2;
    }

    /** From β·l = 2πf·l/(vf·c). */
    static double electricalLength(double[] f, double[] phase) {
        SimpleRegression slope = slope(f, phase);
        if (slope.getN() < 2) {
            throw new SweepException("a sweep needs at least two points in its upper half, not " + slope.getN());
        }
        return slope.getSlope() * Physics.SPEED_OF_LIGHT / (2 * Math.PI);
    }

    private static SimpleRegression slope(double[] f, double[] phase) {
        SimpleRegression slope = new SimpleRegression();
        for (int i = 0; i < f.length; i++) {
            if (isUpper(f, f[i])) {
                slope.addData(f[i] * 1e6, phase[i]);
            }
        }
        return slope;
    }

    /** A phase that is known up to a period, made continuous. */
    static double[] unwrapped(double[] phase, double period) {
        double[] out = phase.clone();
        for (int i = 1; i < out.length; i++) {
            out[i] -= period * Math.rint((out[i] - out[i - 1]) / period);
        }
        return out;
    }

    /** Of that, expanded; 0 where there are too few points to tell. */
    static double lengthUncertainty(double[] f, double[] phase) {
        SimpleRegression slope = slope(f, phase);
        return slope.getN() < 3
                ? 0
                : Uncertainty.EXPANSION * slope.getSlopeStdErr() * Physics.SPEED_OF_LIGHT / (2 * Math.PI);
    }
}
