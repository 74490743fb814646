package org.eskiz.core.run;

import java.util.ArrayList;
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
 * @param pads one for every joint, device and transformer, in order
 */
public record RunProfile(List<LineProfile> lines, List<PadProfile> pads) {

    public RunProfile {
        lines = List.copyOf(lines);
        pads = List.copyOf(pads);
    }

    /**
     * A joint, device or transformer.
     *
     * @param element its index in the run
     * @param voltageRms larger one of its two sides, at the worst angle of the load
     * @param equivalentMatchedPowerW the matched power that would strain it as much, W: {@code P_in·(1 + |ρ|²)/(1 − |ρ|²)} at
     *     the worst angle, with P_in that enters the run and ρ of the standing wave where it sits, in its impedance
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
            } else {
                pads.add(pad(i, assessment, boundaries));
            }
        }
        return new RunProfile(lines, pads);
    }

    private static PadProfile pad(int element, RunAssessment assessment, List<List<PortState>> boundaries) {
        double radioSideOhm =
                assessment.run().standingOhm(element, assessment.radio().impedanceOhm());
        double antennaSideOhm = assessment.run().elements().get(element) instanceof Element.Transformer t
                ? radioSideOhm * t.impedanceRatio()
                : radioSideOhm;
        double volts = 0;
        double watts = 0;
        for (List<PortState> along : boundaries) {
            PortState radioSide = along.get(element);
            PortState antennaSide = along.get(element + 1);
            double rho = Math.max(radioSide.reflection(radioSideOhm), antennaSide.reflection(antennaSideOhm));
            watts = Math.max(watts, along.get(0).power() * (1 + rho * rho) / (1 - rho * rho));
            volts = Math.max(
                    volts,
                    Math.max(radioSide.voltage().abs(), antennaSide.voltage().abs()));
        }
        return new PadProfile(element, volts, watts);
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
            Ripple.Greatest worst = new Ripple.Greatest(0, Double.NEGATIVE_INFINITY);
            for (LineWaves wave : waves) {
                Ripple along = figure.apply(wave);
                // most angles cannot be the worst, which is seen without looking for their crests
                if (along.atMost(line.lengthM()) > worst.value()) {
                    worst = along.greatest(line.lengthM()).orIfGreater(worst);
                }
            }
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
