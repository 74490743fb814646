package org.eskiz.core.bench;

import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import org.eskiz.core.bench.SheetDeviation.Judged;
import org.eskiz.core.unit.NonNegativeFit;

/**
 * What the shape of an excess over frequency speaks for. The excess is fitted by what different faults would add, none of
 * them negative; the one with the largest share speaks.
 *
 * @param kind the fault
 * @param share of the excess that it explains, 0 to 1
 * @param amount of it: dB for {@link Kind#CONTACT}, share of the expected loss for {@link Kind#PROPORTIONAL}, the height of
 *     the ripple in dB for {@link Kind#RIPPLE}; else dB at the highest frequency measured
 */
public record Cause(Kind kind, double share, double amount) {

    /** From fewer frequencies no shape can be told. */
    static final int FEWEST_FREQUENCIES = 4;

    /** A ripple is told from a sweep only. */
    private static final int FEWEST_FOR_A_RIPPLE = 16;

    /** An excess that wavers more than it is high is a ripple. */
    private static final double RIPPLE_SHARE = 0.5;

    /** How often a wavering must cross zero to be one. */
    private static final int FEWEST_CROSSINGS = 4;

    /** The faults that leave a shape. */
    public enum Kind {
        /** Flat over frequency: a resistive joint or contact. */
        CONTACT(j -> 1),
        /** As the whole expected loss: length, type or temperature is another. */
        PROPORTIONAL(Judged::expectedDb),
        /** As √f: the conductor or the shield. */
        CONDUCTOR(j -> Math.sqrt(j.measured().frequencyMHz())),
        /** As f: water, or the dielectric. */
        DIELECTRIC(j -> j.measured().frequencyMHz()),
        /** As f²: a connector or a bump of impedance. */
        BUMP(j -> Math.pow(j.measured().frequencyMHz(), 2)),
        /** Up and down over frequency: a mismatch inside. */
        RIPPLE(j -> 0);

        private final ToDoubleFunction<Judged> shape;

        Kind(ToDoubleFunction<Judged> shape) {
            this.shape = shape;
        }
    }

    private static final List<Kind> FITTED =
            List.of(Kind.CONTACT, Kind.PROPORTIONAL, Kind.CONDUCTOR, Kind.DIELECTRIC, Kind.BUMP);

    /** The likely cause; empty where there are too few frequencies. */
    static Optional<Cause> of(List<Judged> judged) {
        long frequencies = judged.stream()
                .mapToDouble(j -> j.measured().frequencyMHz())
                .distinct()
                .count();
        if (frequencies < FEWEST_FREQUENCIES) {
            return Optional.empty();
        }
        List<double[]> terms = FITTED.stream()
                .map(kind -> judged.stream().mapToDouble(kind.shape).toArray())
                .toList();
        double[] excess = judged.stream().mapToDouble(Judged::excessDb).toArray();
        double explained = Math.sqrt(judged.stream()
                .mapToDouble(j -> Math.pow(j.measured().halfWidthDb() / 2, 2))
                .average()
                .orElse(0));
        NonNegativeFit fit = NonNegativeFit.of(terms, excess, explained);
        double meanExcess = Arrays.stream(excess).average().orElse(0);
        return isRipple(fit, judged.size(), meanExcess)
                ? Optional.of(new Cause(Kind.RIPPLE, 1, 2 * Math.sqrt(2) * fit.rootMeanSquare()))
                : largest(fit, terms, judged);
    }

    private static boolean isRipple(NonNegativeFit fit, int points, double meanExcess) {
        List<Double> r = fit.residuals();
        long crossings = IntStream.range(1, r.size())
                .filter(i -> r.get(i) * r.get(i - 1) < 0)
                .count();
        return points >= FEWEST_FOR_A_RIPPLE
                && crossings >= FEWEST_CROSSINGS
                && crossings < points / 2
                && fit.rootMeanSquare() > RIPPLE_SHARE * Math.max(0, meanExcess);
    }

    private static Optional<Cause> largest(NonNegativeFit fit, List<double[]> terms, List<Judged> judged) {
        double[] parts = IntStream.range(0, terms.size())
                .mapToDouble(t -> fit.coefficients().get(t)
                        * Arrays.stream(terms.get(t)).average().orElse(0))
                .toArray();
        double all = Arrays.stream(parts).sum();
        if (!(all > 0)) {
            return Optional.empty();
        }
        int which = IntStream.range(0, parts.length)
                .boxed()
                .max(Comparator.comparingDouble(t -> parts[t]))
                .orElseThrow();
        Kind kind = FITTED.get(which);
        double k = fit.coefficients().get(which);
        Judged highest = judged.stream()
                .max(Comparator.comparingDouble(j -> j.measured().frequencyMHz()))
                .orElseThrow();
        boolean isPlain = kind == Kind.CONTACT || kind == Kind.PROPORTIONAL;
        return Optional.of(new Cause(kind, parts[which] / all, isPlain ? k : k * kind.shape.applyAsDouble(highest)));
    }
}
