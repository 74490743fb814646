package org.eskiz.core.bench;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.bench.Uncertainty.Source;
import org.eskiz.core.bench.Uncertainty.Term;
import org.eskiz.core.unit.Physics;
import org.hipparchus.stat.descriptive.moment.StandardDeviation;
import org.jspecify.annotations.Nullable;

/**
 * A line as a sweep shows it: what it loses matched, its impedance, and how long it is for a wave.
 *
 * @param points one for each frequency
 * @param impedanceOhm median of the real part over the upper half of the sweep; empty for an estimate from one end only
 * @param electricalLengthM the length of empty space in which a wave takes as long, from the slope of the phase over the
 *     upper half of the sweep: below that, internal inductance slows real cables
 * @param noiseDb by which the loss wavers from point to point, as a standard uncertainty, dB
 * @param certainty of the impedance and of the length
 * @param isEstimate whether it rests on half the return loss of one end alone
 */
public record MeasuredLine(
        List<Point> points,
        OptionalDouble impedanceOhm,
        double electricalLengthM,
        double noiseDb,
        Certainty certainty,
        boolean isEstimate) {

    /**
     * How well a line is known as a whole, as expanded uncertainties.
     *
     * @param impedanceOhm 0 where there is none
     * @param electricalLengthM of the length for a wave
     */
    public record Certainty(double impedanceOhm, double electricalLengthM) {}

    /**
     * One frequency.
     *
     * @param matchedLossDb real part of γl, in dB
     * @param plainLossDb what a scalar instrument would say: −20·log|S21|, or a quarter of the two return losses, dB
     * @param z0 characteristic impedance, Ω; null for an estimate
     */
    public record Point(
            double frequencyMHz,
            double matchedLossDb,
            double plainLossDb,
            @Nullable Complex z0) {

        double resistanceOhm() {
            return z0 == null ? Double.NaN : z0.real();
        }
    }

    /** Standard uncertainties: of connecting in dB, of a calibration as a share of the loss, and both for an estimate. */
    private static final double CONNECTING_DB = 0.015;

    private static final double CALIBRATION_SHARE = 0.005;
    static final double ESTIMATE_DB = 0.05;
    static final double ESTIMATE_SHARE = 0.05;

    public MeasuredLine {
        points = List.copyOf(points);
    }

    /** How far apart in frequency the tops of a ripple lie that both ends make between them. */
    double rippleMHz() {
        return rippleMHz(electricalLengthM);
    }

    /** The same of a line of a length for a wave. */
    static double rippleMHz(double electricalLengthM) {
        return Physics.SPEED_OF_LIGHT / (2 * electricalLengthM) / 1e6;
    }

    /** Standard deviation of what ripples as both ends would make it, dB. */
    double rippleDb() {
        MeasuredLine smooth = withoutRipple();
        double[] about = IntStream.range(0, points.size())
                .mapToDouble(i ->
                        points.get(i).matchedLossDb() - smooth.points().get(i).matchedLossDb())
                .toArray();
        return about.length < 2 ? 0 : new StandardDeviation().evaluate(about);
    }

    /** The same with every loss the mean over a ripple of both ends. */
    MeasuredLine withoutRipple() {
        double[] f = points.stream().mapToDouble(Point::frequencyMHz).toArray();
        double[] loss = points.stream().mapToDouble(Point::matchedLossDb).toArray();
        double[] mean = OverRipple.mean(f, loss, rippleMHz());
        return new MeasuredLine(
                IntStream.range(0, f.length)
                        .mapToObj(i -> new Point(
                                f[i],
                                mean[i],
                                points.get(i).plainLossDb(),
                                points.get(i).z0()))
                        .toList(),
                impedanceOhm,
                electricalLengthM,
                noiseDb,
                certainty,
                isEstimate);
    }

    /** How long it is, where its velocity factor is known, m. */
    public double lengthM(double velocityFactor) {
        return velocityFactor * electricalLengthM;
    }

    /** Its velocity factor, where its length is known. */
    public double velocityFactor(double lengthM) {
        return lengthM / electricalLengthM;
    }

    /**
     * Loss between two points of the sweep, on the straight line through them.
     *
     * @return empty outside the sweep
     */
    public OptionalDouble lossDbAt(double frequencyMHz) {
        return at(frequencyMHz, Point::matchedLossDb);
    }

    /**
     * The same with what connecting, cables and calibration of an analyser leave unknown, 0.03 dB and 1 %, for an estimate 0.1 dB
     * and 10 %, and the noise of the trace.
     */
    public Optional<LossPoint> measuredAt(double frequencyMHz) {
        OptionalDouble lossDb = lossDbAt(frequencyMHz);
        return lossDb.isEmpty() ? Optional.empty() : Optional.of(measured(frequencyMHz, lossDb.getAsDouble()));
    }

    /**
     * Points spread evenly over the sweep.
     *
     * @param most of them
     */
    public List<LossPoint> spread(int most) {
        return evenly(points, most).stream()
                .map(p -> measured(p.frequencyMHz(), p.matchedLossDb()))
                .toList();
    }

    /** Every so-manieth of a list, its first and its last among them, so that no more than {@code most} are left. */
    public static <T> List<T> evenly(List<T> all, int most) {
        int n = Math.min(all.size(), most);
        return n < 2
                ? all.subList(0, n)
                : IntStream.range(0, n)
                        .mapToObj(i -> all.get((int) ((long) i * (all.size() - 1) / (n - 1))))
                        .toList();
    }

    private LossPoint measured(double frequencyMHz, double lossDb) {
        double share = isEstimate ? ESTIMATE_SHARE : CALIBRATION_SHARE;
        return new LossPoint(
                frequencyMHz,
                lossDb,
                Uncertainty.of(
                        new Term(Source.CONNECTING, isEstimate ? ESTIMATE_DB : CONNECTING_DB),
                        new Term(isEstimate ? Source.ESTIMATE : Source.CALIBRATION, share * Math.abs(lossDb)),
                        new Term(Source.NOISE, noiseDb)));
    }

    /** The plain loss, likewise. */
    public OptionalDouble plainLossDbAt(double frequencyMHz) {
        return at(frequencyMHz, Point::plainLossDb);
    }

    private OptionalDouble at(double frequencyMHz, ToDoubleFunction<Point> figure) {
        for (int i = 0; i < points.size(); i++) {
            Point here = points.get(i);
            if (here.frequencyMHz() == frequencyMHz) {
                return OptionalDouble.of(figure.applyAsDouble(here));
            }
            if (i > 0 && here.frequencyMHz() > frequencyMHz && points.get(i - 1).frequencyMHz() < frequencyMHz) {
                Point before = points.get(i - 1);
                double share = (frequencyMHz - before.frequencyMHz()) / (here.frequencyMHz() - before.frequencyMHz());
                return OptionalDouble.of(
                        figure.applyAsDouble(before) * (1 - share) + figure.applyAsDouble(here) * share);
            }
        }
        return OptionalDouble.empty();
    }
}
