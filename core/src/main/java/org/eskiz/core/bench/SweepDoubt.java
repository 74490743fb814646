package org.eskiz.core.bench;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.DoublePredicate;
import java.util.stream.IntStream;
import org.eskiz.core.unit.NonNegativeFit;

/**
 * Why a sweep is not to be believed as it stands.
 *
 * @param number that goes with it
 */
public record SweepDoubt(Kind kind, double number) {

    /** A well calibrated analyser may read so much below nothing, dB. */
    private static final double NOISE_DB = 0.1;

    /** Of the points, for a fault to be one of the whole sweep. */
    private static final double WIDESPREAD = 0.05;

    /** More than this, beyond a smooth curve, is no cable, dB. */
    private static final double WILD_DB = 0.5;

    /** The sum of what is reflected and what comes through, over what went in. */
    private static final double MOST_ENERGY = 1.03;

    /** Plain loss and matched loss farther apart than this are worth a word, dB. */
    private static final double APART_DB = 0.1;

    /** What may be the matter. */
    public enum Kind {
        /** Loss below nothing: the calibration is missing or was made with other leads; the number is the least loss, dB. */
        GAIN,
        /** More comes out than went in; the number is the largest sum of both shares. */
        MORE_OUT_THAN_IN,
        /** Up and down over the whole sweep: no calibration, or a bad contact while sweeping; the number is in dB. */
        RIPPLE_EVERYWHERE,
        /** Mismatch makes plain and matched loss differ; the number is the largest difference, dB. */
        MISMATCH_COUNTS
    }

    /** What a sweep shows that nothing passive can, whether a line can be made of it or not. */
    public static List<SweepDoubt> of(Sweep.TwoPort sweep) {
        double[] loss = losses(sweep);
        if (share(loss, x -> x < -NOISE_DB) > WIDESPREAD) {
            return List.of(new SweepDoubt(Kind.GAIN, Arrays.stream(loss).min().orElseThrow()));
        }
        double[] energy = sweep.scattering().stream()
                .mapToDouble(s -> Math.max(
                        s.s11().norm() + s.s21().norm(),
                        s.s22().norm() + s.s12().norm()))
                .toArray();
        return share(energy, x -> x > MOST_ENERGY) > WIDESPREAD
                ? List.of(new SweepDoubt(
                        Kind.MORE_OUT_THAN_IN, Arrays.stream(energy).max().orElseThrow()))
                : List.of();
    }

    /** Doubts about the line that a passive sweep shows. */
    public static List<SweepDoubt> of(Sweep.TwoPort sweep, MeasuredLine line) {
        Optional<SweepDoubt> wild = wildness(line, losses(sweep));
        if (wild.isPresent()) {
            return List.of(wild.get());
        }
        double apart = line.points().stream()
                .mapToDouble(p -> Math.abs(p.plainLossDb() - p.matchedLossDb()))
                .max()
                .orElse(0);
        return apart > APART_DB ? List.of(new SweepDoubt(Kind.MISMATCH_COUNTS, apart)) : List.of();
    }

    private static double[] losses(Sweep.TwoPort sweep) {
        return IntStream.range(0, sweep.frequenciesMHz().size())
                .mapToDouble(sweep::insertionLossDb)
                .toArray();
    }

    /** Doubts about a look into one end, open or shorted: nothing passive sends back more than it gets. */
    public static List<SweepDoubt> of(Sweep.OnePort sweep) {
        double[] returned = IntStream.range(0, sweep.frequenciesMHz().size())
                .mapToDouble(sweep::returnLossDb)
                .toArray();
        return share(returned, x -> x < -2 * NOISE_DB) > WIDESPREAD
                ? List.of(
                        new SweepDoubt(Kind.GAIN, Arrays.stream(returned).min().orElseThrow() / 2))
                : List.of();
    }

    private static Optional<SweepDoubt> wildness(MeasuredLine line, double[] loss) {
        if (loss.length < Causes.FEWEST_FREQUENCIES) {
            return Optional.empty();
        }
        double[] f = line.points().stream()
                .mapToDouble(MeasuredLine.Point::frequencyMHz)
                .toArray();
        NonNegativeFit smooth = NonNegativeFit.of(
                List.of(
                        Arrays.stream(f).map(x -> 1).toArray(),
                        Arrays.stream(f).map(Math::sqrt).toArray(),
                        f),
                loss,
                0);
        double mean = Arrays.stream(loss).average().orElse(0);
        return smooth.rootMeanSquare() > Math.max(WILD_DB, mean / 5)
                ? Optional.of(new SweepDoubt(Kind.RIPPLE_EVERYWHERE, smooth.rootMeanSquare()))
                : Optional.empty();
    }

    private static double share(double[] values, DoublePredicate isBad) {
        return (double) Arrays.stream(values).filter(isBad).count() / values.length;
    }
}
