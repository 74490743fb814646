package org.eskiz.core.bench;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import org.eskiz.core.bench.Uncertainty.Source;
import org.eskiz.core.unit.NonNegativeFit;

/**
 * Whether readings of a wattmeter hang together. What a cable loses rises smoothly over frequency, whatever is wrong with it; where
 * losses lie about such a curve more widely than their readings allow, the radio drifted more than is usual, and every reading is
 * taken to be that much less certain (the ratio of Birge, Physical Review 40, 1932, pages 207 to 227).
 */
final class Scatter {

    /** Parameters of the curve, and two readings more. */
    private static final int FEWEST = 6;

    private static final int PARAMETERS = 4;

    private Scatter() {}

    /** The losses, with what they scatter more than their readings allow. */
    static List<LossPoint> widened(List<LossPoint> points) {
        boolean isDrifting = points.stream()
                .anyMatch(p -> p.uncertainty().terms().stream().anyMatch(t -> t.source() == Source.DRIFT));
        if (!isDrifting || points.size() < FEWEST) {
            return points;
        }
        double ratio = ratio(points);
        return ratio <= 1
                ? points
                : points.stream()
                        .map(p -> new LossPoint(
                                p.frequencyMHz(),
                                p.lossDb(),
                                p.uncertainty()
                                        .with(
                                                Source.SCATTER,
                                                p.uncertainty().standardDb() * Math.sqrt(ratio * ratio - 1))))
                        .toList();
    }

    private static double ratio(List<LossPoint> points) {
        double[] weight = points.stream()
                .mapToDouble(p -> 1 / p.uncertainty().standardDb())
                .toArray();
        double[] f = points.stream().mapToDouble(LossPoint::frequencyMHz).toArray();
        NonNegativeFit curve = NonNegativeFit.of(
                List.of(
                        weighted(weight, Arrays.stream(f).map(x -> 1).toArray()),
                        weighted(weight, Arrays.stream(f).map(Math::sqrt).toArray()),
                        weighted(weight, f),
                        weighted(weight, Arrays.stream(f).map(x -> x * x).toArray())),
                weighted(weight, points.stream().mapToDouble(LossPoint::lossDb).toArray()),
                0);
        double squares = curve.residuals().stream().mapToDouble(r -> r * r).sum();
        return Math.sqrt(squares / (points.size() - PARAMETERS));
    }

    private static double[] weighted(double[] weight, double[] values) {
        return IntStream.range(0, values.length)
                .mapToDouble(i -> weight[i] * values[i])
                .toArray();
    }
}
