package org.eskiz.core.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.stream.IntStream;
import org.apache.commons.numbers.complex.Complex;
import org.hipparchus.transform.DftNormalization;
import org.hipparchus.transform.FastFourierTransformer;
import org.hipparchus.transform.TransformType;

/** Reflections at even steps. */
record EvenSweep(double firstHz, double stepHz, List<Complex> values) {

    private static final int ZERO_PADDING = 8;

    /** Steps may be so many times the mean one, for the straight line between two points to be a fair guess. */
    private static final double DENSE_ENOUGH = 2;

    /** Steps that are even but for the digits they were written in. */
    private static final double EVEN = 1e-3;

    static boolean isEven(Sweep.OnePort sweep) {
        List<Double> f = sweep.frequenciesMHz();
        double mean = (f.get(f.size() - 1) - f.get(0)) / (f.size() - 1);
        return IntStream.range(1, f.size()).allMatch(i -> Math.abs(f.get(i) - f.get(i - 1) - mean) <= EVEN * mean);
    }

    /** As it was swept, where its steps are even; else on the straight lines between its points. */
    static EvenSweep of(Sweep.OnePort sweep) {
        return isEven(sweep) ? asSwept(sweep) : resampled(sweep);
    }

    private static EvenSweep asSwept(Sweep.OnePort sweep) {
        List<Double> f = sweep.frequenciesMHz();
        int n = f.size();
        return new EvenSweep(f.get(0) * 1e6, (f.get(n - 1) - f.get(0)) * 1e6 / (n - 1), sweep.reflections());
    }

    /** On the straight lines between the points, where they lie densely enough for that. */
    private static EvenSweep resampled(Sweep.OnePort sweep) {
        List<Double> f = sweep.frequenciesMHz();
        int n = f.size();
        double mean = (f.get(n - 1) - f.get(0)) / (n - 1);
        if (sweep.largestStepMHz() > DENSE_ENOUGH * mean) {
            throw new SweepException(String.format(
                    Locale.ROOT,
                    "the steps are too uneven to tell distances: up to %.4g MHz, where %.4g MHz would be even",
                    sweep.largestStepMHz(),
                    mean));
        }
        List<Complex> values = new ArrayList<>(n);
        int before = 0;
        for (int i = 0; i < n; i++) {
            double at = f.get(0) + i * mean;
            while (before < n - 2 && f.get(before + 1) <= at) {
                before++;
            }
            double share = (at - f.get(before)) / (f.get(before + 1) - f.get(before));
            var a = sweep.reflections().get(before);
            var b = sweep.reflections().get(before + 1);
            values.add(a.multiply(1 - share).add(b.multiply(share)));
        }
        return new EvenSweep(f.get(0) * 1e6, mean * 1e6, values);
    }

    /** Reflection over time, each step as long as the padded transform makes it: magnitudes, 1 for all of it. */
    double[] magnitudes(double[] weights) {
        int size = Integer.highestOneBit(ZERO_PADDING * values.size() - 1) << 1;
        double[][] parts = new double[2][size];
        for (int i = 0; i < values.size(); i++) {
            parts[0][i] = values.get(i).real() * weights[i];
            parts[1][i] = values.get(i).imag() * weights[i];
        }
        FastFourierTransformer.transformInPlace(parts, DftNormalization.STANDARD, TransformType.INVERSE);
        double scale = size / Arrays.stream(weights).sum();
        return IntStream.range(0, size)
                .mapToDouble(i -> Math.hypot(parts[0][i], parts[1][i]) * scale)
                .toArray();
    }
}
