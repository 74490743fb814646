package org.eskiz.core.choice;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.core.choice.Confidence.Input;
import org.eskiz.core.run.Draws;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.Run;

/**
 * What nobody knows exactly of a run itself, in standard deviations: one for each type of cable, one for all joints, one for each
 * length, and one for the day.
 *
 * @param inputs in their order
 * @param elements that each is of; none for the day
 * @param standard deviation of the loss of each element, or of its cable, as a fraction
 */
record Unknowns(List<Input> inputs, List<List<Integer>> elements, List<Double> standard) {

    /** A tolerance is what 95 of 100 keep within. */
    private static final double DEVIATIONS_OF_A_TOLERANCE = 2;

    private static final double JOINTS = 0.25;
    private static final double LENGTH = 0.01;
    private static final double AMBIENT_C = 10;

    /** No cable loses nothing, and nothing gains. */
    private static final double LEAST_FACTOR = 0.02;

    /**
     * Of a run.
     *
     * @param tolerances of each element that is a line, as a fraction; of no matter for others
     * @param isJoint whether an element is a joint
     */
    static Unknowns of(Run run, List<Double> tolerances, List<Boolean> isJoint) {
        List<Element> all = run.elements();
        List<Integer> lines = IntStream.range(0, all.size())
                .filter(i -> all.get(i) instanceof Element.Line line && !line.isAbsent())
                .boxed()
                .toList();
        Map<Cable, List<Integer>> types = new LinkedHashMap<>();
        lines.forEach(i -> types.computeIfAbsent(((Element.Line) all.get(i)).cable(), c -> new ArrayList<>())
                .add(i));
        List<Integer> joints = IntStream.range(0, all.size())
                .filter(i -> isJoint.get(i) && all.get(i) instanceof Element.Pad)
                .boxed()
                .toList();
        List<Input> inputs = new ArrayList<>();
        List<List<Integer>> elements = new ArrayList<>();
        types.values().forEach(t -> {
            inputs.add(Input.CABLE);
            elements.add(t);
        });
        inputs.add(Input.JOINTS);
        elements.add(joints);
        lines.forEach(i -> {
            inputs.add(Input.LENGTH);
            elements.add(List.of(i));
        });
        inputs.add(Input.AMBIENT);
        elements.add(List.of());
        List<Double> standard = IntStream.range(0, all.size())
                .mapToObj(i -> joints.contains(i) ? JOINTS : tolerances.get(i) / DEVIATIONS_OF_A_TOLERANCE)
                .toList();
        return new Unknowns(inputs, elements, standard);
    }

    int count() {
        return inputs.size();
    }

    /**
     * Runs that deviate.
     *
     * @param deviations of each input, in standard deviations; its draws stand in a row
     */
    Draws draws(double[][] deviations, int count) {
        double[] asSaid = new double[count];
        Arrays.fill(asSaid, 1);
        double[][] loss = new double[standard.size()][];
        double[][] length = new double[standard.size()][];
        Arrays.fill(loss, asSaid);
        Arrays.fill(length, asSaid);
        double[] warmerC = new double[count];
        for (int i = 0; i < inputs.size(); i++) {
            double[] z = deviations[i];
            switch (inputs.get(i)) {
                case CABLE -> elements.get(i).forEach(e -> loss[e] = factors(z, standard.get(e), LEAST_FACTOR));
                case JOINTS -> elements.get(i).forEach(e -> loss[e] = factors(z, standard.get(e), 0));
                case LENGTH -> elements.get(i).forEach(e -> length[e] = factors(z, LENGTH, LEAST_FACTOR));
                default -> Arrays.setAll(warmerC, k -> AMBIENT_C * z[k]);
            }
        }
        return new Draws(count, loss, length, warmerC);
    }

    private static double[] factors(double[] deviations, double standard, double least) {
        return Arrays.stream(deviations)
                .map(z -> Math.max(least, 1 + standard * z))
                .toArray();
    }

    /** One run that deviates by one input alone. */
    Run deviating(Run run, int input, double deviations) {
        double[][] z = new double[inputs.size()][1];
        z[input][0] = deviations;
        Draws one = draws(z, 1);
        return run.with(IntStream.range(0, standard.size())
                .mapToObj(i -> deviating(run.elements().get(i), one.loss()[i][0], one.length()[i][0]))
                .toList());
    }

    private static Element deviating(Element element, double loss, double length) {
        if (loss == 1 && length == 1) {
            return element;
        }
        if (element instanceof Element.Line line) {
            return new Element.Line(line.cable().withAttenuationScaledBy(loss), line.lengthM() * length);
        }
        Element.Pad pad = (Element.Pad) element;
        return new Element.Pad(new Scaled(pad.loss(), loss), pad.impedanceOhm(), pad.bump());
    }

    /** How much warmer the day is by one deviation of an input, °C. */
    double warmerC(int input, double deviations) {
        return inputs.get(input) == Input.AMBIENT ? AMBIENT_C * deviations : 0;
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
