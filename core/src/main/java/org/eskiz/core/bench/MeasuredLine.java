package org.eskiz.core.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.bench.Uncertainty.Source;
import org.eskiz.core.bench.Uncertainty.Term;
import org.eskiz.core.unit.Decibels;
import org.eskiz.core.unit.Physics;
import org.hipparchus.stat.descriptive.moment.StandardDeviation;
import org.hipparchus.stat.descriptive.rank.Median;
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

        private double resistanceOhm() {
            return z0 == null ? Double.NaN : z0.real();
        }
    }

    /** Standard uncertainties: of connecting in dB, of a calibration as a share of the loss, and both for an estimate. */
    private static final double CONNECTING_DB = 0.015;

    private static final double CALIBRATION_SHARE = 0.005;
    static final double ESTIMATE_DB = 0.05;
    static final double ESTIMATE_SHARE = 0.05;

    /** Standard deviation over median of the magnitudes, and that of a median over that of a mean: of the normal distribution. */
    private static final double NORMAL_PER_MEDIAN = 1.4826;

    private static final double MEDIAN_OVER_MEAN = 1.2533;

    /** One frequency written in two units, of nine digits. */
    private static final double AS_WRITTEN = 1e-8;

    public MeasuredLine {
        points = List.copyOf(points);
    }

    /**
     * From one end to the other: ABCD from S, {@code e^{γl} = (A + D)/2 + √(B·C)} of magnitude above 1, {@code Z0 = √(B/C)}.
     */
    public static MeasuredLine through(Sweep.TwoPort sweep) {
        List<Point> points = new ArrayList<>();
        double[] phase = new double[sweep.frequenciesMHz().size()];
        for (int i = 0; i < phase.length; i++) {
            Chained chained = Chained.of(sweep.scattering().get(i), sweep.referenceOhm());
            Complex growth = chained.growth();
            phase[i] = growth.arg();
            points.add(new Point(
                    sweep.frequenciesMHz().get(i),
                    Math.log(growth.abs()) * Decibels.PER_NEPER,
                    sweep.insertionLossDb(i),
                    chained.impedance()));
        }
        return of(points, Phase.unwrapped(phase, 2 * Math.PI), false);
    }

    /**
     * From one end, with the far end open and then shorted: {@code Z0 = √(Zo·Zs)}, {@code tanh γl = √(Zs/Zo)}.
     *
     * @throws SweepException when the two are not of the same frequencies
     */
    public static MeasuredLine openAndShorted(Sweep.OnePort open, Sweep.OnePort shorted) {
        requireSameGrid(open, shorted);
        List<Point> points = new ArrayList<>();
        double[] phase = new double[open.frequenciesMHz().size()];
        for (int i = 0; i < phase.length; i++) {
            Complex zo = open.impedance(i);
            Complex zs = shorted.impedance(i);
            // of the two roots the one that loses, since a line does
            Complex tanh = Chained.passive(zs.divide(zo).sqrt());
            Complex gammaL = Complex.ONE
                    .add(tanh)
                    .divide(Complex.ONE.subtract(tanh))
                    .log()
                    .divide(2);
            phase[i] = gammaL.imag();
            points.add(new Point(
                    open.frequenciesMHz().get(i),
                    gammaL.real() * Decibels.PER_NEPER,
                    (open.returnLossDb(i) + shorted.returnLossDb(i)) / 4,
                    Chained.passive(zo.multiply(zs).sqrt())));
        }
        return of(points, Phase.unwrapped(phase, Math.PI), false);
    }

    /** From one end with the far end open or shorted, not both: half the return loss, smoothed over a ripple. An estimate. */
    public static MeasuredLine fromOneEnd(Sweep.OnePort sweep) {
        double[] f = sweep.frequenciesMHz().stream().mapToDouble(d -> d).toArray();
        double[] phase = IntStream.range(0, f.length)
                .mapToDouble(i -> -sweep.reflections().get(i).arg())
                .toArray();
        // there and back: the reflection turns twice as fast as the wave on its way
        double[] turned = Phase.unwrapped(phase, 2 * Math.PI);
        double[] oneWay =
                IntStream.range(0, f.length).mapToDouble(i -> turned[i] / 2).toArray();
        double electricalLengthM = requireTurning(Phase.electricalLength(f, oneWay));
        double rippleMHz = Physics.SPEED_OF_LIGHT / (2 * electricalLengthM) / 1e6;
        double[] halves = IntStream.range(0, f.length)
                .mapToDouble(i -> sweep.returnLossDb(i) / 2)
                .toArray();
        for (int i = 0; i < f.length; i++) {
            requireFinite(f[i], halves[i]);
        }
        double[] smooth = smoothed(f, halves, rippleMHz);
        List<Point> points = IntStream.range(0, f.length)
                .mapToObj(i -> new Point(f[i], smooth[i], halves[i], null))
                .toList();
        return new MeasuredLine(
                points,
                OptionalDouble.empty(),
                electricalLengthM,
                noise(points),
                new Certainty(0, Phase.lengthUncertainty(f, oneWay)),
                true);
    }

    /** Each value the mean of those within its reach; their running sum makes it quick for long sweeps. */
    static double[] smoothed(double[] f, double[] values, double rippleMHz) {
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

    /** How far apart in frequency the tops of a ripple lie that both ends make between them. */
    double rippleMHz() {
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
        double[] mean = smoothed(f, loss, rippleMHz());
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

    /**
     * The longest line that steps of a sweep can follow: with longer ones the phase turns too far between two points.
     *
     * <p>The phase may turn by half a circle at most from one point to the next: through a line {@code 2π·Δf·l/(vf·c) ≤ π},
     * and from one end, where the wave goes there and back, half of that.
     */
    public static double longestLengthM(Sweep sweep, double velocityFactor) {
        int turns = sweep instanceof Sweep.TwoPort ? 2 : 4;
        return velocityFactor * Physics.SPEED_OF_LIGHT / (turns * sweep.largestStepMHz() * 1e6);
    }

    /**
     * Refuses a sweep whose steps are too coarse for a line.
     *
     * @throws SweepException with the step there is and the step it takes
     */
    public static void requireFineEnough(Sweep sweep, double lengthM, double velocityFactor) {
        double longestM = longestLengthM(sweep, velocityFactor);
        if (lengthM > longestM) {
            throw new SweepException(String.format(
                    Locale.ROOT,
                    "the steps of %.4g MHz are too coarse for %.4g m: they can follow %.4g m; take steps of at most %.3g MHz",
                    sweep.largestStepMHz(),
                    lengthM,
                    longestM,
                    sweep.largestStepMHz() * longestM / lengthM));
        }
    }

    /** A sweep of something else than a cable may have a phase that does not turn. */
    private static double requireTurning(double electricalLengthM) {
        if (!(electricalLengthM > 0) || Double.isInfinite(electricalLengthM)) {
            throw new SweepException(
                    "the phase of this sweep does not turn as it does along a cable; was the cable connected?");
        }
        return electricalLengthM;
    }

    /** Or values without end. */
    private static void requireFinite(double frequencyMHz, double... values) {
        if (!Arrays.stream(values).allMatch(Double::isFinite)) {
            throw new SweepException(
                    "at %s MHz nothing comes through, or nothing comes back: that is no cable, or a plug is off"
                            .formatted(frequencyMHz));
        }
    }

    private static MeasuredLine of(List<Point> points, double[] phase, boolean isEstimate) {
        double[] f = points.stream().mapToDouble(Point::frequencyMHz).toArray();
        double[] upper = Phase.upperHalf(
                f, points.stream().mapToDouble(Point::resistanceOhm).toArray());
        points.forEach(p -> requireFinite(p.frequencyMHz(), p.matchedLossDb(), p.plainLossDb(), p.resistanceOhm()));
        return new MeasuredLine(
                points,
                OptionalDouble.of(new Median().evaluate(upper)),
                requireTurning(Phase.electricalLength(f, phase)),
                noise(points),
                new Certainty(middleSpread(upper), Phase.lengthUncertainty(f, phase)),
                isEstimate);
    }

    /**
     * How much a point differs from the middle of its neighbours, which a smooth curve hardly does: a robust standard deviation.
     */
    private static double noise(List<Point> points) {
        double[] off = IntStream.range(1, points.size() - 1)
                .mapToDouble(i -> Math.abs(points.get(i).matchedLossDb()
                        - (points.get(i - 1).matchedLossDb() + points.get(i + 1).matchedLossDb()) / 2))
                .toArray();
        return off.length == 0 ? 0 : NORMAL_PER_MEDIAN * new Median().evaluate(off) / Math.sqrt(1.5);
    }

    /** Of a median: the spread of its values, robust, over the root of their number, expanded. */
    private static double middleSpread(double[] values) {
        double middle = new Median().evaluate(values);
        double[] off = Arrays.stream(values).map(v -> Math.abs(v - middle)).toArray();
        return Uncertainty.EXPANSION
                * MEDIAN_OVER_MEAN
                * NORMAL_PER_MEDIAN
                * new Median().evaluate(off)
                / Math.sqrt(values.length);
    }

    private static void requireSameGrid(Sweep.OnePort open, Sweep.OnePort shorted) {
        boolean isSame =
                open.frequenciesMHz().size() == shorted.frequenciesMHz().size()
                        && IntStream.range(0, open.frequenciesMHz().size())
                                .allMatch(i -> Math.abs(open.frequenciesMHz().get(i)
                                                - shorted.frequenciesMHz().get(i))
                                        <= AS_WRITTEN * open.frequenciesMHz().get(i));
        if (!isSame) {
            throw new SweepException(String.format(
                    Locale.ROOT,
                    "the open sweep has %d points from %s to %s MHz, the shorted one %d from %s to %s MHz; both must have the same",
                    open.frequenciesMHz().size(),
                    open.frequenciesMHz().get(0),
                    open.frequenciesMHz().get(open.frequenciesMHz().size() - 1),
                    shorted.frequenciesMHz().size(),
                    shorted.frequenciesMHz().get(0),
                    shorted.frequenciesMHz().get(shorted.frequenciesMHz().size() - 1)));
        }
    }
}
