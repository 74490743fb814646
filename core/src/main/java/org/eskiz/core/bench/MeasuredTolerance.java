package org.eskiz.core.bench;

import java.util.Arrays;
import java.util.OptionalDouble;
import org.hipparchus.stat.descriptive.rank.Median;

/** How far the loss of a cable may be off what was measured of it: as its readings are, in the middle. */
public final class MeasuredTolerance {

    /** No bench knows better, and none that knows less has measured anything. */
    private static final double LEAST = 0.001;

    private static final double MOST = 0.9;

    private MeasuredTolerance() {}

    /**
     * Of some readings.
     *
     * @param shares expanded uncertainty of each as a share of what was measured; others than positive numbers do not count
     * @return a fraction; empty where none counts
     */
    public static OptionalDouble of(double[] shares) {
        double[] known =
                Arrays.stream(shares).filter(s -> s > 0 && s < Double.MAX_VALUE).toArray();
        return known.length == 0
                ? OptionalDouble.empty()
                : OptionalDouble.of(Math.min(MOST, Math.max(LEAST, new Median().evaluate(known))));
    }
}
