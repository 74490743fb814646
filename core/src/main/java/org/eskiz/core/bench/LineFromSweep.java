package org.eskiz.core.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.unit.Decibels;
import org.hipparchus.stat.descriptive.rank.Median;

/** Makes a line of its sweeps: from one end to the other, from one end with the far one open and shorted, or one of the two. */
public final class LineFromSweep {

    /** Standard deviation over median of the magnitudes, and that of a median over that of a mean: of the normal distribution. */
    private static final double NORMAL_PER_MEDIAN = 1.4826;

    private static final double MEDIAN_OVER_MEAN = 1.2533;

    /** One frequency written in two units, of nine digits. */
    private static final double AS_WRITTEN = 1e-8;

    private LineFromSweep() {}

    /**
     * From one end to the other: ABCD from S, {@code e^{γl} = (A + D)/2 + √(B·C)} of magnitude above 1, {@code Z0 = √(B/C)}.
     */
    public static MeasuredLine through(Sweep.TwoPort sweep) {
        List<MeasuredLine.Point> points = new ArrayList<>();
        double[] phase = new double[sweep.frequenciesMHz().size()];
        for (int i = 0; i < phase.length; i++) {
            Chained chained = Chained.of(sweep.scattering().get(i), sweep.referenceOhm());
            Complex growth = chained.growth();
            phase[i] = growth.arg();
            points.add(new MeasuredLine.Point(
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
        List<MeasuredLine.Point> points = new ArrayList<>();
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
            points.add(new MeasuredLine.Point(
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
        double[] halves = IntStream.range(0, f.length)
                .mapToDouble(i -> sweep.returnLossDb(i) / 2)
                .toArray();
        for (int i = 0; i < f.length; i++) {
            requireFinite(f[i], halves[i]);
        }
        double[] smooth = OverRipple.mean(f, halves, MeasuredLine.rippleMHz(electricalLengthM));
        List<MeasuredLine.Point> points = IntStream.range(0, f.length)
                .mapToObj(i -> new MeasuredLine.Point(f[i], smooth[i], halves[i], null))
                .toList();
        return new MeasuredLine(
                points,
                OptionalDouble.empty(),
                electricalLengthM,
                noise(points),
                new MeasuredLine.Certainty(0, Phase.lengthUncertainty(f, oneWay)),
                true);
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

    private static MeasuredLine of(List<MeasuredLine.Point> points, double[] phase, boolean isEstimate) {
        double[] f =
                points.stream().mapToDouble(MeasuredLine.Point::frequencyMHz).toArray();
        double[] upper = Phase.upperHalf(
                f,
                points.stream().mapToDouble(MeasuredLine.Point::resistanceOhm).toArray());
        points.forEach(p -> requireFinite(p.frequencyMHz(), p.matchedLossDb(), p.plainLossDb(), p.resistanceOhm()));
        return new MeasuredLine(
                points,
                OptionalDouble.of(new Median().evaluate(upper)),
                requireTurning(Phase.electricalLength(f, phase)),
                noise(points),
                new MeasuredLine.Certainty(middleSpread(upper), Phase.lengthUncertainty(f, phase)),
                isEstimate);
    }

    /**
     * How much a point differs from the middle of its neighbours, which a smooth curve hardly does: a robust standard deviation.
     */
    private static double noise(List<MeasuredLine.Point> points) {
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
