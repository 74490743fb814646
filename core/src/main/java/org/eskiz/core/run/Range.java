package org.eskiz.core.run;

import java.util.Arrays;

/**
 * Smallest and largest of one figure over the angles of a load; both are the same where the angle is known.
 *
 * @param min the smallest
 * @param max the largest
 */
public record Range(double min, double max) {

    static Range of(double[] values) {
        var statistics = Arrays.stream(values).summaryStatistics();
        return new Range(statistics.getMin(), statistics.getMax());
    }
}
