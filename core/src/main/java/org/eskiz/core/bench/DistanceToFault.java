package org.eskiz.core.bench;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.unit.Decibels;
import org.eskiz.core.unit.Physics;
import org.eskiz.core.unit.Require;

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
        List<Place> places, List<Peak> peaks, double resolutionM, double farthestM, boolean isResampled) {

    private static final int FEWEST_POINTS = 16;

    /** Loss of the way grows smoothly with distance; so many support points are enough. */
    private static final int SUPPORTS = 64;

    /** At one distance. */
    public record Place(double distanceM, double reflection) {}

    /**
     * Something that stands out.
     *
     * @param reflection magnitude, 1 for all of it
     * @param echoOfM distance of the stronger peak that it comes from; empty for none
     */
    public record Peak(double distanceM, double reflection, Kind kind, OptionalDouble echoOfM) {

        /** Return loss of it alone, dB. */
        public double returnLossDb() {
            return -Decibels.ofAmplitude(reflection);
        }
    }

    /** What a peak is taken for. */
    public enum Kind {
        /** The strongest where the line ends. */
        END,
        /** Where a joint is known to be, or the plug at the near end. */
        JOINT,
        /** Of a stronger one: there and back once more between two reflections. */
        ECHO,
        /** Something else changes here: a kink, a crush, water, another cable. */
        CHANGE
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
            throw new SweepException(String.format(
                    Locale.ROOT,
                    "%d points are too few to tell distances; at least %d are needed",
                    sweep.frequenciesMHz().size(),
                    FEWEST_POINTS));
        }
        EvenSweep grid = EvenSweep.of(sweep);
        double[] weights = window.weights(grid.values().size());
        double[] magnitudes = grid.magnitudes(weights);
        double perBin = line.velocityFactor * Physics.SPEED_OF_LIGHT / (2 * grid.stepHz() * magnitudes.length);
        double farthestM = perBin * magnitudes.length;
        double resolutionM = window.widening
                * line.velocityFactor
                * Physics.SPEED_OF_LIGHT
                / (2 * grid.stepHz() * (grid.values().size() - 1));
        // the last stretch holds what leaked from before zero
        int shown = (int) Math.min(magnitudes.length, Math.floor((farthestM - resolutionM) / perBin));
        double[] wayBack = wayBack(line, grid, weights, shown, perBin);
        List<Place> places = IntStream.range(0, shown)
                .mapToObj(k -> new Place(k * perBin, magnitudes[k] * wayBack[k]))
                .toList();
        List<Peak> peaks = new PeakFinder(places, magnitudes, window, resolutionM, line).found();
        return new DistanceToFault(places, peaks, resolutionM, farthestM, !EvenSweep.isEven(sweep));
    }

    /** By what a reflection at each distance was weakened on its way, the other way round. */
    private static double[] wayBack(Line line, EvenSweep grid, double[] weights, int shown, double perBin) {
        double[] back = new double[shown];
        Arrays.fill(back, 1);
        if (line.attenuation.isEmpty()) {
            return back;
        }
        Attenuation law = line.attenuation.get();
        double[] nepersPerM = IntStream.range(0, weights.length)
                .mapToDouble(i ->
                        law.dbPer100m((grid.firstHz() + i * grid.stepHz()) / 1e6, Attenuation.SHEET_TEMPERATURE_C)
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
}
