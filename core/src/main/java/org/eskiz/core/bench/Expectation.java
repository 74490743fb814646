package org.eskiz.core.bench;

import java.util.List;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.core.unit.Require;

/**
 * What a piece should lose by what is known of its type: {@code A(f, T)·l/100} and the joints that were measured with it.
 *
 * @param type law of its type
 * @param lengthM of the piece
 * @param temperatureC of the test
 * @param joints mated pairs and adapters within what was measured
 * @param tolerance share of it that a good piece may be off by: 0.1 for typical figures, 0.05 for a data sheet
 */
public record Expectation(
        Attenuation type, double lengthM, double temperatureC, List<InsertionLoss> joints, double tolerance) {

    public Expectation {
        Require.positive("length in m", lengthM);
        Require.notNegative("tolerance", tolerance);
        joints = List.copyOf(joints);
    }

    /** What no test on a bench can tell apart, dB. */
    static final double ALWAYS_ALLOWED_DB = 0.1;

    /** How far measured losses lie from it on the mean, as a share of it; what no bench can tell is not counted. */
    public double meanDistance(List<LossPoint> points) {
        return points.stream()
                .mapToDouble(p -> {
                    double expected = lossDb(p.frequencyMHz());
                    return Math.abs(p.lossDb() - expected) / (expected + ALWAYS_ALLOWED_DB);
                })
                .average()
                .orElse(Double.POSITIVE_INFINITY);
    }

    /** Expected loss, dB. */
    public double lossDb(double frequencyMHz) {
        return type.dbPer100m(frequencyMHz, temperatureC) * lengthM / 100 + InsertionLoss.sumDb(joints, frequencyMHz);
    }
}
