package org.eskiz.core.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.unit.Decibels;
import org.eskiz.core.unit.Physics;
import org.eskiz.core.unit.Require;
import org.hipparchus.complex.Complex;
import org.hipparchus.transform.DftNormalization;
import org.hipparchus.transform.FastFourierTransformer;
import org.hipparchus.transform.TransformType;

/**
 * Where along a line something reflects, from a sweep of complex reflections at its near end: the inverse Fourier transform
 * of the windowed sweep tells how long each reflection was on its way.
 *
 * @param places reflection over distance, rising, given back the loss of the way there and back
 * @param peaks what stands out, by distance
 * @param resolutionM two reflections nearer together than this look like one, and a single one may lie this far off, m
 * @param farthestM beyond this distances begin again from zero, m
 * @param isResampled whether the sweep was brought to even steps first
 */
public record DistanceToFault(
        List<ReplaceableRun> places, List<Peak> peaks, double resolutionM, double farthestM, boolean isResampled) {

    /** Less prominent than this is a ripple of the window, dB. */
    private static final double PROMINENT_DB = 6;

    /** So many times the middle of all magnitudes is more than noise. */
    private static final double ABOVE_NOISE = 4;

    /** A top must stand so far above the ripple of a stronger one. */
    private static final double LOBE_MARGIN_DB = 3;

    private static final int ZERO_PADDING = 8;

    /** Steps may be so many times the mean one, for the straight line between two points to be a fair guess. */
    private static final double DENSE_ENOUGH = 2;

    private static final int FEWEST_POINTS = 16;

    /** Loss of the way grows smoothly with distance; so many support points are enough. */
    private static final int SUPPORTS = 64;

    /** Steps that are even but for the digits they were written in. */
    private static final double EVEN = 1e-3;

    /** At one distance. */
    public record ReplaceableRun(double distanceM, double reflection) {}

    /**
     * Something that stands out.
     *
     * @param reflection magnitude, 1 for all of it
     * @param echoOfM distance of the stronger peak that it is a multiple of; empty for none
     */
    public record Peak(double distanceM, double reflection, Kind kind, OptionalDouble echoOfM) {

        /** Return loss of it alone, dB. */
        public double returnLossDb() {
            return -20 * Math.log10(reflection);
        }
    }

    /** What a peak is taken for. */
    public enum Kind {
        /** The strongest where the line ends. */
        END,
        /** Where a joint is known to be, or the plug at the near end. */
        JOINT,
        /** At a multiple of a stronger one: there and back twice. */
        ECHO,
        /** Something else changes here: a kink, a crush, water, another cable. */
        CHANGE
    }

    /** What weights the sweep, so that a strong reflection does not hide a weak one beside it. */
    public enum Window {
        /** Kaiser's, β = 6. */
        KAISER(2, -44),
        HANN(2, -31),
        /** The finest resolution, and the largest ripple beside a peak. */
        NONE(1.3, -13);

        private static final double BETA = 6;
        private static final double FAR_LOBE_DB = -34;

        private final double widening;
        private final double sideLobeDb;

        Window(double widening, double sideLobeDb) {
            this.widening = widening;
            this.sideLobeDb = sideLobeDb;
        }

        /**
         * The highest ripple that it leaves beside a peak, dB under it. Without a window it falls with distance, though not
         * for ever, since the loss of a line over frequency is a window too; with one it is low enough everywhere.
         *
         * @param cells distance from the peak, in the finest resolution there is
         */
        private double sideLobeDb(double cells) {
            return this == NONE ? Math.max(FAR_LOBE_DB, -20 * Math.log10(Math.PI * Math.max(1, cells))) : sideLobeDb;
        }

        private double[] weights(int n) {
            return IntStream.range(0, n)
                    .mapToDouble(i -> weight(2.0 * i / (n - 1) - 1))
                    .toArray();
        }

        private double weight(double x) {
            return switch (this) {
                case KAISER -> bessel(BETA * Math.sqrt(Math.max(0, 1 - x * x))) / bessel(BETA);
                case HANN -> (1 + Math.cos(Math.PI * x)) / 2;
                case NONE -> 1;
            };
        }

        /** I0 by its power series, which settles quickly below ten. */
        private static double bessel(double x) {
            double term = 1;
            double sum = 1;
            for (int k = 1; term > 1e-16 * sum; k++) {
                term *= x * x / (4.0 * k * k);
                sum += term;
            }
            return sum;
        }
    }

    /**
     * What is known of the line.
     *
     * @param velocityFactor of it
     * @param attenuation to give a far reflection back what the way took; empty to leave it
     * @param lengthM where it ends; empty where not known
     * @param jointsM distances of the joints in it
     */
    public record Line(
            double velocityFactor, Optional<Attenuation> attenuation, OptionalDouble lengthM, List<Double> jointsM) {

        public Line {
            Require.positive("velocity factor", velocityFactor);
            jointsM = List.copyOf(jointsM);
        }
    }

    public DistanceToFault {
        places = List.copyOf(places);
        peaks = List.copyOf(peaks);
    }

    /**
     * Looks along a line.
     *
     * @throws IllegalArgumentException when the sweep has too few points, or too uneven ones
     */
    public static DistanceToFault of(Sweep.OnePort sweep, Window window, Line line) {
        if (sweep.frequenciesMHz().size() < FEWEST_POINTS) {
            throw new IllegalArgumentException(String.format(
                    Locale.ROOT,
                    "%d points are too few to tell distances; at least %d are needed",
                    sweep.frequenciesMHz().size(),
                    FEWEST_POINTS));
        }
        boolean isEven = isEven(sweep);
        Grid grid = isEven ? Grid.of(sweep) : Grid.resampled(sweep);
        double[] weights = window.weights(grid.values.length);
        double[] magnitudes = grid.magnitudes(weights);
        double perBin = line.velocityFactor * Physics.SPEED_OF_LIGHT / (2 * grid.stepHz * magnitudes.length);
        double farthestM = perBin * magnitudes.length;
        double resolutionM = window.widening
                * line.velocityFactor
                * Physics.SPEED_OF_LIGHT
                / (2 * grid.stepHz * (grid.values.length - 1));
        // the last stretch holds what leaked from before zero
        int shown = (int) Math.min(magnitudes.length, Math.floor((farthestM - resolutionM) / perBin));
        double[] wayBack = wayBack(line, grid, weights, shown, perBin);
        List<ReplaceableRun> places = IntStream.range(0, shown)
                .mapToObj(k -> new ReplaceableRun(k * perBin, magnitudes[k] * wayBack[k]))
                .toList();
        double noise = median(magnitudes) * ABOVE_NOISE;
        List<Peak> peaks = new Peaks(places, magnitudes, noise, window, resolutionM, line).found();
        return new DistanceToFault(places, peaks, resolutionM, farthestM, !isEven);
    }

    private static boolean isEven(Sweep.OnePort sweep) {
        List<Double> f = sweep.frequenciesMHz();
        double mean = (f.get(f.size() - 1) - f.get(0)) / (f.size() - 1);
        return IntStream.range(1, f.size()).allMatch(i -> Math.abs(f.get(i) - f.get(i - 1) - mean) <= EVEN * mean);
    }

    /** By what a reflection at each distance was weakened on its way, the other way round. */
    private static double[] wayBack(Line line, Grid grid, double[] weights, int shown, double perBin) {
        double[] back = new double[shown];
        Arrays.fill(back, 1);
        if (line.attenuation.isEmpty()) {
            return back;
        }
        Attenuation law = line.attenuation.get();
        double[] nepersPerM = IntStream.range(0, weights.length)
                .mapToDouble(i -> law.dbPer100m((grid.firstHz + i * grid.stepHz) / 1e6, Attenuation.SHEET_TEMPERATURE_C)
                        / 100
                        / Decibels.PER_NEPER)
                .toArray();
        double all = Arrays.stream(weights).sum();
        double[] support = IntStream.rangeClosed(0, SUPPORTS)
                .mapToDouble(s -> {
                    double distanceM = perBin * shown * s / SUPPORTS;
                    double left = IntStream.range(0, weights.length)
                            .mapToDouble(i -> weights[i] * Math.exp(-2 * nepersPerM[i] * distanceM))
                            .sum();
                    return Math.log(all / left);
                })
                .toArray();
        for (int k = 0; k < shown; k++) {
            double at = (double) k * SUPPORTS / shown;
            int s = (int) at;
            back[k] = Math.exp(support[s] + (at - s) * (support[s + 1] - support[s]));
        }
        return back;
    }

    private static double median(double[] values) {
        double[] sorted = values.clone();
        Arrays.sort(sorted);
        return sorted[sorted.length / 2];
    }

    /** Reflections at even steps. */
    private record Grid(double firstHz, double stepHz, Complex[] values) {

        static Grid of(Sweep.OnePort sweep) {
            List<Double> f = sweep.frequenciesMHz();
            int n = f.size();
            return new Grid(
                    f.get(0) * 1e6,
                    (f.get(n - 1) - f.get(0)) * 1e6 / (n - 1),
                    sweep.reflections().stream()
                            .map(c -> new Complex(c.real(), c.imag()))
                            .toArray(Complex[]::new));
        }

        /** On the straight lines between the points, where they lie densely enough for that. */
        static Grid resampled(Sweep.OnePort sweep) {
            List<Double> f = sweep.frequenciesMHz();
            int n = f.size();
            double mean = (f.get(n - 1) - f.get(0)) / (n - 1);
            if (sweep.largestStepMHz() > DENSE_ENOUGH * mean) {
                throw new IllegalArgumentException(String.format(
                        Locale.ROOT,
                        "the steps are too uneven to tell distances: up to %.4g MHz, where %.4g MHz would be even",
                        sweep.largestStepMHz(),
                        mean));
            }
            Complex[] values = new Complex[n];
            int before = 0;
            for (int i = 0; i < n; i++) {
                double at = f.get(0) + i * mean;
                while (before < n - 2 && f.get(before + 1) <= at) {
                    before++;
                }
                double share = (at - f.get(before)) / (f.get(before + 1) - f.get(before));
                var a = sweep.reflections().get(before);
                var b = sweep.reflections().get(before + 1);
                var c = a.multiply(1 - share).add(b.multiply(share));
                values[i] = new Complex(c.real(), c.imag());
            }
            return new Grid(f.get(0) * 1e6, mean * 1e6, values);
        }

        double[] magnitudes(double[] weights) {
            int size = Integer.highestOneBit(ZERO_PADDING * values.length - 1) << 1;
            Complex[] padded = new Complex[size];
            Arrays.fill(padded, Complex.ZERO);
            for (int i = 0; i < values.length; i++) {
                padded[i] = values[i].multiply(weights[i]);
            }
            Complex[] inTime =
                    new FastFourierTransformer(DftNormalization.STANDARD).transform(padded, TransformType.INVERSE);
            double scale = size / Arrays.stream(weights).sum();
            return Arrays.stream(inTime).mapToDouble(c -> c.norm() * scale).toArray();
        }
    }

    /** Finds and names what stands out. */
    private record Peaks(
            List<ReplaceableRun> places,
            double[] magnitudes,
            double noise,
            Window window,
            double resolutionM,
            Line line) {

        List<Peak> found() {
            double[] db = places.stream()
                    .mapToDouble(p -> 20 * Math.log10(Math.max(p.reflection(), 1e-12)))
                    .toArray();
            List<Integer> tops = IntStream.range(0, db.length)
                    .filter(k -> isTop(db, k) && magnitudes[k] > noise && prominence(db, k) >= PROMINENT_DB)
                    .boxed()
                    .sorted(Comparator.comparingDouble(k -> -magnitudes[k]))
                    .toList();
            List<Integer> kept = new ArrayList<>();
            for (int k : tops) {
                boolean isSideLobe = kept.stream().anyMatch(s -> isBeside(s, k));
                if (!isSideLobe) {
                    kept.add(k);
                }
            }
            return named(kept).stream()
                    .sorted(Comparator.comparingDouble(Peak::distanceM))
                    .toList();
        }

        /** Whether a weaker top is no more than the ripple of a stronger one, or the same one. */
        private boolean isBeside(int stronger, int weaker) {
            double apartM = Math.abs(
                    places.get(stronger).distanceM() - places.get(weaker).distanceM());
            double cells = apartM * window.widening / resolutionM;
            double underDb = 20 * Math.log10(magnitudes[weaker] / magnitudes[stronger]);
            return apartM < resolutionM / 2 || underDb < window.sideLobeDb(cells) + LOBE_MARGIN_DB;
        }

        private List<Peak> named(List<Integer> strongestFirst) {
            List<Peak> peaks = new ArrayList<>();
            for (int k : strongestFirst) {
                double distance = refined(k);
                double reflection = places.get(k).reflection();
                boolean hasEnd = peaks.stream().anyMatch(p -> p.kind() == Kind.END);
                if (!hasEnd && line.lengthM.isPresent() && isNear(distance, line.lengthM.getAsDouble())) {
                    peaks.add(new Peak(distance, reflection, Kind.END, OptionalDouble.empty()));
                } else if (isAtAJoint(distance)) {
                    peaks.add(new Peak(distance, reflection, Kind.JOINT, OptionalDouble.empty()));
                } else {
                    OptionalDouble of = echoOf(distance, peaks);
                    peaks.add(new Peak(distance, reflection, of.isPresent() ? Kind.ECHO : Kind.CHANGE, of));
                }
            }
            return peaks;
        }

        private boolean isAtAJoint(double distance) {
            return distance < resolutionM || line.jointsM.stream().anyMatch(j -> isNear(distance, j));
        }

        private boolean isNear(double distance, double other) {
            return Math.abs(distance - other) <= resolutionM;
        }

        /** The stronger peak that this one is a multiple of; those at the near end have no multiples. */
        private OptionalDouble echoOf(double distance, List<Peak> stronger) {
            return stronger.stream()
                    .mapToDouble(Peak::distanceM)
                    .filter(d -> d > 2 * resolutionM)
                    .filter(d -> {
                        double times = distance / d;
                        return Math.rint(times) >= 2 && Math.abs(distance - Math.rint(times) * d) <= resolutionM;
                    })
                    .findFirst();
        }

        private static boolean isTop(double[] db, int k) {
            return (k == 0 || db[k] > db[k - 1]) && (k == db.length - 1 || db[k] >= db[k + 1]);
        }

        /** How far one must go down from a top before one can go up to a higher one. */
        private static double prominence(double[] db, int k) {
            return db[k] - Math.max(saddle(db, k, -1), saddle(db, k, 1));
        }

        /** The lowest point on the way to a higher top, or to the end; nothing before the first place. */
        private static double saddle(double[] db, int k, int way) {
            double lowest = db[k];
            int i = k + way;
            if (i < 0) {
                return Double.NEGATIVE_INFINITY;
            }
            for (; i >= 0 && i < db.length; i += way) {
                if (db[i] > db[k]) {
                    return lowest;
                }
                lowest = Math.min(lowest, db[i]);
            }
            return lowest;
        }

        /** Where a parabola through the top and its neighbours has its crest. */
        private double refined(int k) {
            double here = places.get(k).distanceM();
            if (k == 0 || k == places.size() - 1) {
                return here;
            }
            double a = places.get(k - 1).reflection();
            double b = places.get(k).reflection();
            double c = places.get(k + 1).reflection();
            double bend = a - 2 * b + c;
            double step = here - places.get(k - 1).distanceM();
            return bend < 0 ? here + step * (a - c) / (2 * bend) : here;
        }
    }
}
