package org.eskiz.core.bench;

import java.util.List;
import java.util.OptionalDouble;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.core.unit.Decibels;
import org.eskiz.core.unit.Require;

/**
 * What a piece should lose by what is known of its type: {@code A(f, T)·l/100} and the joints that were measured with it.
 *
 * @param type law of its type
 * @param lengthM of the piece
 * @param temperatureC of the test
 * @param joints mated pairs and adapters within what was measured
 * @param tolerance share of it that a good piece may be off by: 0.1 for typical figures, 0.05 for a data sheet
 * @param notEntered joints that may be in it all the same, where nobody entered any
 * @param reflecting joints whose reflections meet at a phase that nobody knows
 */
public record Expectation(
        Attenuation type,
        double lengthM,
        double temperatureC,
        List<InsertionLoss> joints,
        double tolerance,
        List<InsertionLoss> notEntered,
        List<TestJoint> reflecting) {

    /** With every joint in it entered. */
    public Expectation(
            Attenuation type, double lengthM, double temperatureC, List<InsertionLoss> joints, double tolerance) {
        this(type, lengthM, temperatureC, joints, tolerance, List.of(), List.of());
    }

    public Expectation {
        Require.positive("length in m", lengthM);
        Require.notNegative("tolerance", tolerance);
        joints = List.copyOf(joints);
        notEntered = List.copyOf(notEntered);
        reflecting = List.copyOf(reflecting);
    }

    /** Where radios transmit that could be on a bench. */
    private static final List<Double> IN_USE_MHZ = List.of(14.0, 28.0, 50.0, 145.0, 433.0, 1296.0);

    /** What no test on a bench can tell apart, dB. */
    static final double ALWAYS_ALLOWED_DB = 0.1;

    /** The same with its joints, entered or not, as something else than their own sum. */
    Expectation withJointsSeenAs(InsertionLoss together) {
        return new Expectation(
                type,
                lengthM,
                temperatureC,
                joints.isEmpty() ? joints : List.of(together),
                tolerance,
                notEntered.isEmpty() ? notEntered : List.of(together),
                reflecting);
    }

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

    /** By which a good piece may be off, to either side, dB. */
    double allowedDb(double frequencyMHz) {
        return tolerance * lossDb(frequencyMHz) + ALWAYS_ALLOWED_DB;
    }

    /** Where readings this uncertain are good enough to tell something; empty where no frequency in use is high enough. */
    OptionalDouble tellingFromMHz(Uncertainty uncertainty) {
        double expandedDb = uncertainty.expandedDb();
        return IN_USE_MHZ.stream()
                .mapToDouble(f -> f)
                .filter(f -> expandedDb <= Math.max(allowedDb(f), lossDb(f) / 2))
                .findFirst();
    }

    /** By which the reflections of two joints add or cancel, to either side, dB: weakened by the way there and back. */
    double reflectedDb(double frequencyMHz) {
        double bothDb = reflecting.stream()
                .mapToDouble(j -> j.reflectedDb(frequencyMHz))
                .sum();
        return reflecting.size() < 2 ? 0 : bothDb * Decibels.fractionLeft(cableDb(frequencyMHz));
    }

    /** What joints may lose that nobody entered, dB. */
    double notEnteredDb(double frequencyMHz) {
        return InsertionLoss.sumDb(notEntered, frequencyMHz);
    }

    /** Expected loss, dB. */
    public double lossDb(double frequencyMHz) {
        return cableDb(frequencyMHz) + InsertionLoss.sumDb(joints, frequencyMHz);
    }

    /** Of that what is lost in the cable, dB. */
    double cableDb(double frequencyMHz) {
        return type.dbPer100m(frequencyMHz, temperatureC) * lengthM / 100;
    }
}
