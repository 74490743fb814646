package org.eskiz.core.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.eskiz.core.bench.Cause.Kind;
import org.eskiz.core.bench.SheetDeviation.Judged;
import org.eskiz.core.bench.Uncertainty.Source;
import org.eskiz.core.unit.NonNegativeFit;
import org.hipparchus.distribution.continuous.ChiSquaredDistribution;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.CholeskyDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;

/**
 * Which faults the readings leave. Every fault, and where no single one will do every pair of them, is fitted to the excess by
 * weighted least squares; those that the readings do not reject (χ² at 5 %) are left, the best first. What the readings have in
 * common, and what a good piece may be off its sheet, is weighed as what it is: alike at all frequencies.
 */
final class Causes {

    /** From fewer frequencies no shape can be told. */
    static final int FEWEST_FREQUENCIES = 4;

    /** A ripple is told from a sweep only. */
    private static final int FEWEST_FOR_A_RIPPLE = 16;

    /** An excess that wavers more than it is high is a ripple. */
    private static final double RIPPLE_SHARE = 0.5;

    /** How often a wavering must cross zero to be one. */
    private static final int FEWEST_CROSSINGS = 4;

    /** One time in twenty a true cause may be rejected; shared among those that are tried. */
    private static final double REJECTED = 0.05;

    /** Five alone, and their ten pairs. */
    private static final int TRIED = 15;

    /** No reading is better than this, nor any model of a sheet, dB. */
    private static final double LEAST_DB = 0.02;

    private static final double LEAST_SHARE = 0.005;

    private static final List<Kind> FITTED =
            List.of(Kind.CONTACT, Kind.PROPORTIONAL, Kind.CONDUCTOR, Kind.DIELECTRIC, Kind.BUMP);

    /** Alike at all frequencies of one test. */
    private static final List<Source> COMMON = List.of(Source.CONNECTING);

    /** Likewise, in proportion to the loss. */
    private static final List<Source> COMMON_SHARE = List.of(Source.CALIBRATION, Source.ESTIMATE);

    private final List<Judged> judged;
    private final double[] excess;
    private final RealMatrix whitening;

    private Causes(List<Judged> judged, Expectation expectation) {
        this.judged = judged;
        this.excess = judged.stream().mapToDouble(Judged::excessDb).toArray();
        this.whitening = whitening(judged, expectation.tolerance());
    }

    /** The causes that are left; none where there are too few frequencies, or where nothing fits. */
    static List<Cause> of(List<Judged> judged, Expectation expectation) {
        long frequencies = judged.stream()
                .mapToDouble(j -> j.measured().frequencyMHz())
                .distinct()
                .count();
        if (frequencies < FEWEST_FREQUENCIES) {
            return List.of();
        }
        return ripple(judged).map(List::of).orElseGet(() -> new Causes(judged, expectation).left());
    }

    private List<Cause> left() {
        List<Cause> singles = FITTED.stream()
                .flatMap(k -> fit(List.of(k)).stream())
                .flatMap(f -> f.causes().stream())
                .sorted(Comparator.comparingDouble(Cause::chiSquare))
                .toList();
        return singles.isEmpty() ? best(pairs()) : withJoints(singles);
    }

    /** Joints that nobody entered are the first rival of whatever looks like a joint. */
    private List<Cause> withJoints(List<Cause> causes) {
        boolean mayBe = judged.stream().anyMatch(j -> j.notEnteredDb() > 0)
                && causes.stream().anyMatch(c -> c.kind() == Kind.CONTACT || c.kind() == Kind.BUMP);
        if (!mayBe) {
            return causes;
        }
        Cause like = causes.stream()
                .filter(c -> c.kind() == Kind.CONTACT || c.kind() == Kind.BUMP)
                .findFirst()
                .orElseThrow();
        List<Cause> all = new ArrayList<>(causes);
        all.add(0, new Cause(Kind.JOINTS_NOT_ENTERED, like.share(), like.amount(), like.chiSquare()));
        return all;
    }

    private Stream<Fit> pairs() {
        return IntStream.range(0, FITTED.size())
                .boxed()
                .flatMap(i -> IntStream.range(0, i).mapToObj(j -> List.of(FITTED.get(j), FITTED.get(i))))
                .flatMap(p -> fit(p).stream());
    }

    /** Of several pairs that fit none is sure: all that is in any of them is a rival, with its share in the best. */
    private List<Cause> best(Stream<Fit> pairs) {
        List<Cause> all = pairs.sorted(Comparator.comparingDouble(Fit::chiSquare))
                .flatMap(f -> f.causes().stream())
                .toList();
        List<Cause> each = new ArrayList<>();
        all.stream()
                .filter(c -> each.stream().noneMatch(e -> e.kind() == c.kind()))
                .forEach(each::add);
        return withJoints(each);
    }

    /** A choice of faults that the readings do not reject. */
    private record Fit(List<Cause> causes, double chiSquare) {}

    private Optional<Fit> fit(List<Kind> kinds) {
        List<double[]> shapes = kinds.stream()
                .map(k -> judged.stream().mapToDouble(k::shape).toArray())
                .toList();
        NonNegativeFit fit =
                NonNegativeFit.of(shapes.stream().map(whitening::operate).toList(), whitening.operate(excess), 0);
        double chiSquare = fit.residuals().stream().mapToDouble(r -> r * r).sum();
        boolean isWhole = fit.coefficients().stream().allMatch(c -> c > 0);
        return isWhole && chiSquare <= mostChiSquare(kinds.size())
                ? Optional.of(new Fit(causes(kinds, shapes, fit.coefficients(), chiSquare), chiSquare))
                : Optional.empty();
    }

    private double mostChiSquare(int faults) {
        int freedom = Math.max(1, judged.size() - faults);
        return new ChiSquaredDistribution(freedom).inverseCumulativeProbability(1 - REJECTED / TRIED);
    }

    private List<Cause> causes(List<Kind> kinds, List<double[]> shapes, List<Double> k, double chiSquare) {
        double[] parts = IntStream.range(0, kinds.size())
                .mapToDouble(
                        t -> k.get(t) * Arrays.stream(shapes.get(t)).average().orElse(0))
                .toArray();
        double all = Arrays.stream(parts).sum();
        Judged highest = judged.stream()
                .max(Comparator.comparingDouble(j -> j.measured().frequencyMHz()))
                .orElseThrow();
        return IntStream.range(0, kinds.size())
                .mapToObj(t -> new Cause(
                        kinds.get(t),
                        parts[t] / all,
                        kinds.get(t).isPlain()
                                ? k.get(t)
                                : k.get(t) * kinds.get(t).shape(highest),
                        chiSquare))
                .toList();
    }

    /** What no smooth fault explains, and crosses it again and again. */
    static Optional<Cause> ripple(List<Judged> judged) {
        double[] excess = judged.stream().mapToDouble(Judged::excessDb).toArray();
        List<double[]> smooth = FITTED.stream()
                .map(kind -> judged.stream().mapToDouble(kind::shape).toArray())
                .toList();
        NonNegativeFit fit = NonNegativeFit.of(smooth, excess, 0);
        List<Double> r = fit.residuals();
        long crossings = IntStream.range(1, r.size())
                .filter(i -> r.get(i) * r.get(i - 1) < 0)
                .count();
        double meanExcess = Arrays.stream(excess).average().orElse(0);
        double noiseDb = Math.sqrt(judged.stream()
                .mapToDouble(j -> Math.pow(independentDb(j.measured()), 2))
                .average()
                .orElse(0));
        boolean isOne = judged.size() >= FEWEST_FOR_A_RIPPLE
                && crossings >= FEWEST_CROSSINGS
                && crossings < judged.size() / 2
                && fit.rootMeanSquare() > Math.max(2 * noiseDb, RIPPLE_SHARE * Math.max(0, meanExcess));
        return isOne
                ? Optional.of(new Cause(Kind.RIPPLE, 1, 2 * Math.sqrt(2) * fit.rootMeanSquare(), 0))
                : Optional.empty();
    }

    private static double independentDb(LossPoint point) {
        Uncertainty uncertainty = point.uncertainty();
        double lossDb = Math.abs(point.lossDb());
        double common = uncertainty.standardDb(COMMON);
        double share = uncertainty.standardDb(COMMON_SHARE);
        double all = uncertainty.standardDb();
        double own = Math.sqrt(Math.max(0, all * all - common * common - share * share));
        return Math.hypot(LEAST_DB + LEAST_SHARE * lossDb, own);
    }

    /** The inverse of the root of what the readings vary by together, so that what is left varies by one, each for itself. */
    private static RealMatrix whitening(List<Judged> judged, double tolerance) {
        int n = judged.size();
        double[] common = judged.stream()
                .mapToDouble(j -> j.measured().uncertainty().standardDb(COMMON))
                .toArray();
        double[] share = judged.stream()
                .mapToDouble(j -> j.measured().uncertainty().standardDb(COMMON_SHARE))
                .toArray();
        double[] sheet = judged.stream()
                .mapToDouble(j -> tolerance / Uncertainty.EXPANSION * j.cableDb())
                .toArray();
        var covariance = new Array2DRowRealMatrix(n, n);
        for (int i = 0; i < n; i++) {
            for (int j = 0; j < n; j++) {
                covariance.setEntry(i, j, common[i] * common[j] + share[i] * share[j] + sheet[i] * sheet[j]);
            }
            double own = independentDb(judged.get(i).measured());
            covariance.addToEntry(i, i, own * own);
        }
        RealMatrix root = new CholeskyDecomposition(covariance, 1e-9, 0).getL();
        return MatrixUtils.inverse(root);
    }
}
