package org.eskiz.core.run;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;

/**
 * What happens along a run: voltage, current, power, SWR and heat inside every line, and the voltage at every joint.
 *
 * <p>The scale is that of the power which enters the run in the matching mode at hand. Where the load's angle is unknown
 * every angle is followed, each with the power that enters at it, and the smallest and largest are given.
 *
 * @param lines one for every line of the run, in order
 * @param pads one for every joint and device, in order
 */
public record RunProfile(List<LineProfile> lines, List<PadProfile> pads) {

    public RunProfile {
        lines = List.copyOf(lines);
        pads = List.copyOf(pads);
    }

    /**
     * A joint or device.
     *
     * @param element its index in the run
     * @param voltageRms larger one of its two sides, at the worst angle of the load
     * @param equivalentMatchedPowerW the matched power that would drive as large a current through it, in its own
     *     impedance
     */
    public record PadProfile(int element, double voltageRms, double equivalentMatchedPowerW) {}

    /**
     * Follows the waves along a run that has been assessed.
     *
     * @throws IllegalArgumentException for a receiver, which sends nothing
     */
    public static RunProfile of(RunAssessment assessment) {
        return of(assessment, true);
    }

    /** The same without the points along its lines, which take most of the work: only the worst places. */
    public static RunProfile worstPlacesOf(RunAssessment assessment) {
        return of(assessment, false);
    }

    private static RunProfile of(RunAssessment assessment, boolean withPoints) {
        if (assessment.radio().powerW().isEmpty()) {
            throw new IllegalArgumentException("a receiver sends nothing: there is no voltage along its run");
        }
        List<Element> elements = assessment.run().elements();
        List<List<PortState>> boundaries = assessment.scaledBoundaries();
        List<LineProfile> lines = new ArrayList<>();
        List<PadProfile> pads = new ArrayList<>();
        double fromRadioM = 0;
        for (int i = 0; i < elements.size(); i++) {
            int here = i;
            if (elements.get(i) instanceof Element.Line line) {
                List<PortState> antennaEnds =
                        boundaries.stream().map(b -> b.get(here + 1)).toList();
                lines.add(
                        new LineTracer(line, assessment.conditions(), antennaEnds, fromRadioM).profile(i, withPoints));
                fromRadioM += line.lengthM();
            } else if (elements.get(i) instanceof Element.Pad pad) {
                double ohm = pad.impedanceOhm().orElse(assessment.radio().impedanceOhm());
                pads.add(pad(i, ohm, boundaries));
            }
        }
        return new RunProfile(lines, pads);
    }

    private static PadProfile pad(int element, double ohm, List<List<PortState>> boundaries) {
        return new PadProfile(
                element,
                worst(element, boundaries, s -> s.voltage().abs()),
                worst(element, boundaries, s -> s.current().norm() * ohm));
    }

    /** The larger one on its two sides, at the worst angle. */
    private static double worst(int element, List<List<PortState>> boundaries, ToDoubleFunction<PortState> figure) {
        return boundaries.stream()
                .flatMap(b -> b.subList(element, element + 2).stream())
                .mapToDouble(figure)
                .max()
                .orElseThrow();
    }

    /** Follows the waves along one line, for every angle of the load. */
    private static final class LineTracer {

        /** Points on each half wavelength, so that a drawn standing wave is smooth. */
        private static final int POINTS_PER_HALF_WAVE = 16;

        private static final int LEAST_POINTS = 65;
        private static final int MOST_POINTS = 721;

        private final Element.Line line;
        private final LineConstants constants;
        private final List<LineWaves> waves;
        private final double startM;
        private final double heatPerMatchedWatt;

        LineTracer(Element.Line line, Conditions at, List<PortState> antennaEnds, double startM) {
            this.line = line;
            this.constants = LineConstants.of(line.cable(), at.frequencyMHz(), at.ambientC());
            this.waves =
                    antennaEnds.stream().map(s -> LineWaves.on(constants, s)).toList();
            this.startM = startM;
            this.heatPerMatchedWatt = 2 * constants.gamma().real();
        }

        LineProfile profile(int element, boolean withPoints) {
            LineProfile.Peak heat = peak(LineWaves::heat, w -> w);
            return new LineProfile(
                    element,
                    withPoints ? points() : List.of(),
                    peak(LineWaves::voltageSquared, Math::sqrt),
                    peak(LineWaves::currentSquared, Math::sqrt),
                    heat,
                    heatPerMatchedWatt > 0 ? heat.value() / heatPerMatchedWatt : 0,
                    constants.gamma().imag() * line.lengthM() / (2 * Math.PI),
                    1e9 * line.lengthM() / line.cable().speed());
        }

        private List<LineProfile.Point> points() {
            double halfWaves = line.lengthM() / halfWaveM();
            int count = (int)
                    Math.min(MOST_POINTS, Math.max(LEAST_POINTS, Math.ceil(POINTS_PER_HALF_WAVE * halfWaves) + 1));
            return IntStream.range(0, count)
                    .mapToObj(i -> point(line.lengthM() * i / (count - 1)))
                    .toList();
        }

        private LineProfile.Point point(double fromRadioEndM) {
            double zM = line.lengthM() - fromRadioEndM;
            double ohm = line.cable().impedanceOhm();
            List<PortState> states = waves.stream().map(w -> w.at(zM)).toList();
            return new LineProfile.Point(
                    startM + fromRadioEndM,
                    over(states, PortState::power),
                    over(states, s -> s.voltage().abs()),
                    over(states, s -> s.current().abs()),
                    over(states, s -> StandingWave.swrOf(s.reflection(ohm))),
                    over(states, waves.get(0)::heatWPerM));
        }

        private static Range over(List<PortState> states, ToDoubleFunction<PortState> figure) {
            return Range.of(states.stream().mapToDouble(figure).toArray());
        }

        private LineProfile.Peak peak(Function<LineWaves, Ripple> figure, DoubleUnaryOperator shown) {
            Ripple.Greatest worst = waves.stream()
                    .map(w -> figure.apply(w).greatest(line.lengthM()))
                    .max(Comparator.comparingDouble(Ripple.Greatest::value))
                    .orElseThrow();
            return new LineProfile.Peak(
                    shown.applyAsDouble(worst.value()),
                    waves.size() > 1
                            ? OptionalDouble.empty()
                            : OptionalDouble.of(startM + line.lengthM() - worst.zM()));
        }

        private double halfWaveM() {
            return Math.PI / constants.gamma().imag();
        }
    }
}
