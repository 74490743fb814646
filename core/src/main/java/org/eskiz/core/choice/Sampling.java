package org.eskiz.core.choice;

import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.eskiz.core.run.AntennaStates;
import org.eskiz.core.run.DrawnAntenna;
import org.eskiz.core.run.DrawnBand;
import org.eskiz.core.run.Draws;
import org.eskiz.core.run.Load;
import org.eskiz.core.run.Run;
import org.eskiz.core.unit.Decibels;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.random.SobolSequenceGenerator;

/**
 * Runs in one place, drawn with all that is not known of them exactly. What rows of a ledger have in common is drawn once, so one
 * of these serves a whole ledger. Not for two threads at once.
 */
final class Sampling {

    private static final NormalDistribution NORMAL = new NormalDistribution();

    private final ReplaceableRun place;
    private final List<Band> bands;
    private final List<AntennaStates> antennas;
    private final List<LeastLeft> asked;
    private final int points;
    private final Map<Unknowns, List<DrawnBand>> prepared = new HashMap<>();
    private final Map<Integer, Net> nets = new HashMap<>();

    /**
     * Prepares.
     *
     * @param antennas what the antenna may be on each band
     * @param asked what has to be left on each
     * @param points that are drawn
     */
    Sampling(ReplaceableRun place, List<Band> bands, List<AntennaStates> antennas, List<LeastLeft> asked, int points) {
        this.place = place;
        this.bands = bands;
        this.antennas = antennas;
        this.asked = asked;
        this.points = points;
    }

    /** How sure a filling is, and what that comes from. */
    Confidence confidence(List<Candidate> filling) {
        Run run = place.filledWith(filling);
        Unknowns unknowns = unknowns(run, filling);
        List<DrawnBand.Left> left = left(run, unknowns);
        return new Confidence(
                shareMet(left),
                IntStream.range(0, bands.size())
                        .mapToObj(b -> new Confidence.OnBand(
                                Confidence.Quantiles.of(left.get(b).atAntenna()),
                                Confidence.Quantiles.of(lossesDb(left.get(b).atAntenna())),
                                Sensitivity.shares(run, unknowns, bands.get(b), antennas.get(b)),
                                asked.get(b).mostLossDb()))
                        .toList());
    }

    /** How sure a filling is, and between what its power lies. */
    Chance chance(List<Candidate> filling) {
        Run run = place.filledWith(filling);
        List<DrawnBand.Left> left = left(run, unknowns(run, filling));
        return new Chance(
                shareMet(left),
                left.stream().map(l -> Confidence.Quantiles.of(l.atAntenna())).toList());
    }

    private Unknowns unknowns(Run run, List<Candidate> filling) {
        return Unknowns.of(run, place.tolerances(filling), place.joints());
    }

    private double shareMet(List<DrawnBand.Left> left) {
        int met = 0;
        for (int k = 0; k < points; k++) {
            met += isMet(left, k) ? 1 : 0;
        }
        return (double) met / points;
    }

    private boolean isMet(List<DrawnBand.Left> left, int draw) {
        for (int b = 0; b < left.size(); b++) {
            if (!asked.get(b).isMet(left.get(b).atAntenna()[draw], left.get(b).through()[draw])) {
                return false;
            }
        }
        return true;
    }

    private static double[] lossesDb(double[] left) {
        return Arrays.stream(left).map(l -> -Decibels.ofPower(l)).toArray();
    }

    private List<DrawnBand.Left> left(Run run, Unknowns unknowns) {
        List<DrawnBand> drawn = prepared.computeIfAbsent(unknowns, this::prepare);
        return IntStream.range(0, bands.size())
                .mapToObj(b -> left(run, bands.get(b), drawn.get(b)))
                .toList();
    }

    /** With amplifiers, noise meets what would cost as much before the bare receiver. */
    private static DrawnBand.Left left(Run run, Band band, DrawnBand drawn) {
        DrawnBand.Left left = drawn.left(run);
        if (band.listening().isEmpty() || !run.isAmplifying()) {
            return left;
        }
        return new DrawnBand.Left(
                left.atAntenna(),
                band.listening()
                        .get()
                        .receiver()
                        .equivalentLeft(run.on(band.conditions().branch()), band.radio(), drawn.leftOfEach()));
    }

    private List<DrawnBand> prepare(Unknowns unknowns) {
        Net net = nets.computeIfAbsent(unknowns.count(), this::net);
        Draws draws = unknowns.draws(net.deviations, points);
        return IntStream.range(0, bands.size())
                .mapToObj(
                        b -> new DrawnBand(bands.get(b).radio(), bands.get(b).conditions(), net.antennas.get(b), draws))
                .toList();
    }

    /**
     * Where the draws lie.
     *
     * @param deviations of each unknown of a run, in standard deviations
     * @param antennas one for each band
     */
    private record Net(double[][] deviations, List<DrawnAntenna> antennas) {}

    /** From a Sobol sequence, so that the same run always draws the same. */
    private Net net(int unknowns) {
        double[][] shares = new double[unknowns + 2 * bands.size()][points];
        var sequence = new SobolSequenceGenerator(shares.length);
        // a whole net of them: as many points on, from as many
        sequence.skipTo(points);
        for (int k = 0; k < points; k++) {
            double[] point = sequence.nextVector();
            for (int i = 0; i < point.length; i++) {
                shares[i][k] = point[i];
            }
        }
        double[][] deviations =
                Arrays.stream(shares, 0, unknowns).map(Sampling::deviations).toArray(double[][]::new);
        return new Net(
                deviations,
                IntStream.range(0, bands.size())
                        .mapToObj(b -> antenna(b, shares[unknowns + b], shares[unknowns + bands.size() + b]))
                        .toList());
    }

    private static double[] deviations(double[] shares) {
        return Arrays.stream(shares).map(NORMAL::inverseCumulativeProbability).toArray();
    }

    /** Where an SWR is stated, another at any angle; anything else is known as far as it stands. */
    private DrawnAntenna antenna(int band, double[] shares, double[] turns) {
        Band at = bands.get(band);
        if (at.load() instanceof Load.SwrAtAntenna s && s.swr() > 1) {
            double[] swrs = Arrays.stream(deviations(shares))
                    .map(z -> Sensitivity.swr(s.swr(), z))
                    .toArray();
            return DrawnAntenna.ofSwr(
                    swrs, turns, s.referenceOhm().orElse(at.radio().impedanceOhm()));
        }
        return DrawnAntenna.of(antennas.get(band), turns);
    }
}
