package org.eskiz.core.choice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.IntStream;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.core.choice.Confidence.Input;
import org.eskiz.core.run.AntennaStates;
import org.eskiz.core.run.Conditions;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.Load;
import org.eskiz.core.run.Run;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.core.run.RunTooLossyException;
import org.eskiz.core.unit.Decibels;
import org.hipparchus.distribution.continuous.NormalDistribution;
import org.hipparchus.random.SobolSequenceGenerator;

/**
 * One run with all that is not known of it exactly, to be drawn from. Its deviations are counted in standard deviations, one for
 * each type of cable, one for all joints, one for each length, one for the day, and on each band one for the SWR, and an angle.
 */
final class Sampling {

    /** A tolerance is what 95 of 100 keep within. */
    private static final double DEVIATIONS_OF_A_TOLERANCE = 2;

    private static final double JOINTS = 0.25;
    private static final double SWR = 0.1;
    private static final double LENGTH = 0.01;
    private static final double AMBIENT_C = 10;

    /** No cable loses nothing, and nothing gains. */
    private static final double LEAST_FACTOR = 0.02;

    private static final double[] NO_DEVIATION = {};

    private final List<Element> elements;
    private final List<Double> tolerances;
    private final List<Boolean> isJoint;
    private final List<Band> bands;
    private final List<AntennaStates> antennas;
    private final List<Input> inputs = new ArrayList<>();
    private final List<List<Integer>> of = new ArrayList<>();
    private final NormalDistribution normal = new NormalDistribution();

    /**
     * Prepares.
     *
     * @param tolerances of each element that is a line, as a fraction; 0 for others
     * @param isJoint whether an element is a joint
     * @param antennas what the antenna may be on each band
     */
    Sampling(Run run, List<Double> tolerances, List<Boolean> isJoint, List<Band> bands, List<AntennaStates> antennas) {
        this.elements = run.elements();
        this.tolerances = tolerances;
        this.isJoint = isJoint;
        this.bands = bands;
        this.antennas = antennas;
        Map<Cable, List<Integer>> types = new LinkedHashMap<>();
        lines().forEach(i -> types.computeIfAbsent(((Element.Line) elements.get(i)).cable(), c -> new ArrayList<>())
                .add(i));
        types.values().forEach(t -> add(Input.CABLE, t));
        List<Integer> joints =
                IntStream.range(0, elements.size()).filter(isJoint::get).boxed().toList();
        add(Input.JOINTS, joints);
        lines().forEach(i -> add(Input.LENGTH, List.of(i)));
        add(Input.AMBIENT, List.of());
    }

    private void add(Input input, List<Integer> elementsOf) {
        inputs.add(input);
        of.add(elementsOf);
    }

    private List<Integer> lines() {
        return IntStream.range(0, elements.size())
                .filter(i -> elements.get(i) instanceof Element.Line line && !line.isAbsent())
                .boxed()
                .toList();
    }

    /** What asks of a band's outcome. */
    interface Asked {
        boolean isMet(int band, BandOutcome outcome);
    }

    /** Draws; from a Sobol sequence, so that the same run always draws the same. */
    Confidence drawn(int points, Asked asked) {
        int common = inputs.size();
        var sequence = new SobolSequenceGenerator(common + 2 * bands.size());
        // a whole net of them: as many points on, from as many
        sequence.skipTo(points);
        double[][] lossDb = new double[bands.size()][points];
        int met = 0;
        for (int p = 0; p < points; p++) {
            double[] u = sequence.nextVector();
            double[] z = new double[common + bands.size()];
            for (int i = 0; i < z.length; i++) {
                z[i] = normal.inverseCumulativeProbability(u[i]);
            }
            boolean isMet = true;
            Run run = deviating(z);
            for (int b = 0; b < bands.size(); b++) {
                double turn = u[common + bands.size() + b];
                Optional<RunAssessment> a = assessed(run, b, z, antenna(b, z[common + b], turn));
                lossDb[b][p] = a.map(RunAssessment::totalLossDb).orElse(Double.POSITIVE_INFINITY);
                int band = b;
                isMet &= a.map(x -> asked.isMet(band, BandOutcome.atTheMean(bands.get(band), x, Margins.UNKNOWN)))
                        .orElse(false);
            }
            met += isMet ? 1 : 0;
        }
        return new Confidence(
                (double) met / points,
                IntStream.range(0, bands.size())
                        .mapToObj(b -> new Confidence.OnBand(
                                Confidence.Quantiles.of(shares(lossDb[b])),
                                Confidence.Quantiles.of(lossDb[b]),
                                shares(b)))
                        .toList());
    }

    private static double[] shares(double[] lossDb) {
        double[] shares = new double[lossDb.length];
        for (int i = 0; i < shares.length; i++) {
            shares[i] = Double.isFinite(lossDb[i]) ? Decibels.fractionLeft(lossDb[i]) : 0;
        }
        return shares;
    }

    /** By each input alone, what one standard deviation to either side makes of the total loss. */
    private Confidence.Shares shares(int band) {
        List<Input> all = new ArrayList<>(inputs);
        List<List<Integer>> elementsOf = new ArrayList<>(of);
        double[] variances = new double[inputs.size() + 2];
        for (int i = 0; i < inputs.size(); i++) {
            variances[i] = variance(lossDb(band, i, 1), lossDb(band, i, -1));
        }
        all.add(Input.SWR);
        elementsOf.add(List.of());
        variances[inputs.size()] = variance(lossOfSwr(band, 1), lossOfSwr(band, -1));
        all.add(Input.ANGLE);
        elementsOf.add(List.of());
        variances[inputs.size() + 1] = angleVariance(band);
        return Confidence.shares(all, elementsOf, variances);
    }

    private static double variance(double above, double below) {
        double half = (above - below) / 2;
        return Double.isFinite(half) ? half * half : 0;
    }

    private double lossDb(int band, int input, double deviations) {
        double[] z = new double[inputs.size()];
        z[input] = deviations;
        return lossDb(assessed(deviating(z), band, z, antennas.get(band)));
    }

    private double lossOfSwr(int band, double deviations) {
        return lossDb(assessed(deviating(NO_DEVIATION), band, NO_DEVIATION, ofSwr(band, deviations)));
    }

    private static double lossDb(Optional<RunAssessment> assessment) {
        return assessment.map(RunAssessment::totalLossDb).orElse(Double.NaN);
    }

    private double angleVariance(int band) {
        AntennaStates antenna = antennas.get(band);
        if (antenna.isAngleKnown()) {
            return 0;
        }
        double[] losses = IntStream.range(0, antenna.count())
                .mapToDouble(k -> lossDb(assessed(
                        deviating(NO_DEVIATION), band, NO_DEVIATION, antenna.at((double) k / antenna.count()))))
                .toArray();
        double mean = Arrays.stream(losses).average().orElse(0);
        double variance = Arrays.stream(losses)
                .map(l -> (l - mean) * (l - mean))
                .average()
                .orElse(0);
        return Double.isFinite(variance) ? variance : 0;
    }

    private AntennaStates antenna(int band, double deviations, double turn) {
        return ofSwr(band, deviations).at(turn);
    }

    /** Where an SWR is stated, another; anything else is known as it stands. */
    private AntennaStates ofSwr(int band, double deviations) {
        Band at = bands.get(band);
        if (at.load() instanceof Load.SwrAtAntenna s && s.swr() > 1) {
            double swr = 1 + (s.swr() - 1) * Math.max(0, 1 + SWR * deviations);
            return AntennaStates.of(
                    new Load.SwrAtAntenna(swr, s.referenceOhm()), new Run(elements), at.radio(), at.conditions());
        }
        return antennas.get(band);
    }

    private Optional<RunAssessment> assessed(Run run, int band, double[] z, AntennaStates antenna) {
        Conditions at = bands.get(band).conditions();
        var day = new Conditions(at.frequencyMHz(), at.ambientC() + AMBIENT_C * deviation(z, Input.AMBIENT, -1));
        try {
            return Optional.of(RunAssessment.of(run, bands.get(band).radio(), day, antenna));
        } catch (RunTooLossyException e) {
            return Optional.empty();
        }
    }

    private Run deviating(double[] z) {
        return z.length == 0
                ? new Run(elements)
                : new Run(IntStream.range(0, elements.size())
                        .mapToObj(i -> deviating(i, z))
                        .toList());
    }

    private Element deviating(int i, double[] z) {
        Element element = elements.get(i);
        if (element instanceof Element.Line line) {
            double loss = 1 + tolerances.get(i) / DEVIATIONS_OF_A_TOLERANCE * deviation(z, Input.CABLE, i);
            double length = 1 + LENGTH * deviation(z, Input.LENGTH, i);
            return new Element.Line(scaled(line.cable(), loss), line.lengthM() * Math.max(LEAST_FACTOR, length));
        }
        if (isJoint.get(i) && element instanceof Element.Pad pad) {
            double loss = Math.max(0, 1 + JOINTS * deviation(z, Input.JOINTS, i));
            return new Element.Pad(new Scaled(pad.loss(), loss), pad.impedanceOhm(), pad.bump());
        }
        return element;
    }

    private static Cable scaled(Cable cable, double factor) {
        Attenuation law = cable.attenuation().scaledBy(Math.max(LEAST_FACTOR, factor));
        return new Cable(cable.impedanceOhm(), cable.velocityFactor(), law, cable.sheet(), cable.isCopperCladSteel());
    }

    /** Of an input that an element has a part in; −1 for one that is of no element. */
    private double deviation(double[] z, Input input, int element) {
        for (int i = 0; i < Math.min(z.length, inputs.size()); i++) {
            if (inputs.get(i) == input && (element < 0 || of.get(i).contains(element))) {
                return z[i];
            }
        }
        return 0;
    }

    /** A loss that is another by a factor. */
    private record Scaled(InsertionLoss loss, double factor) implements InsertionLoss {

        @Override
        public double lossDb(double frequencyMHz) {
            return factor * loss.lossDb(frequencyMHz);
        }

        @Override
        public boolean isExtrapolatedAt(double frequencyMHz) {
            return loss.isExtrapolatedAt(frequencyMHz);
        }
    }
}
