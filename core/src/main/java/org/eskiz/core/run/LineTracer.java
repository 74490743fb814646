package org.eskiz.core.run;

import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import java.util.function.Function;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;

/** Follows the waves along one line, for every angle of the load. */
final class LineTracer {

    /** Points on each half wavelength, so that a drawn standing wave is smooth. */
    private static final int POINTS_PER_HALF_WAVE = 16;

    private static final int LEAST_POINTS = 65;
    private static final int MOST_POINTS = 721;

    private final Element.Line line;
    private final LineConstants constants;
    private final List<LineWaves> waves;
    private final double startM;
    private final double heatPerMatchedWatt;

    static LineTracer along(RunAssessment assessment, int element, double startM) {
        return new LineTracer(
                (Element.Line) assessment.run().elements().get(element),
                assessment.conditions(),
                assessment.statesAt(element + 1),
                startM);
    }

    private LineTracer(Element.Line line, Conditions at, List<PortState> antennaEnds, double startM) {
        this.line = line;
        this.constants = LineConstants.of(line.cable(), at.frequencyMHz(), at.ambientC());
        this.waves = antennaEnds.stream().map(s -> LineWaves.on(constants, s)).toList();
        this.startM = startM;
        this.heatPerMatchedWatt = 2 * constants.gamma().real();
    }

    LineProfile profile(int element) {
        LineProfile.Peak heat = peak(LineWaves::heat, w -> w);
        return new LineProfile(
                element,
                points(),
                peak(LineWaves::voltageSquared, Math::sqrt),
                peak(LineWaves::currentSquared, Math::sqrt),
                heat,
                matchedPowerW(heat.value()),
                constants.gamma().imag() * line.lengthM() / (2 * Math.PI),
                1e9 * line.lengthM() / line.cable().speed());
    }

    private double matchedPowerW(double heatWPerM) {
        return heatPerMatchedWatt > 0 ? heatWPerM / heatPerMatchedWatt : 0;
    }

    private List<LineProfile.Point> points() {
        double halfWaves = line.lengthM() / halfWaveM();
        int count =
                (int) Math.min(MOST_POINTS, Math.max(LEAST_POINTS, Math.ceil(POINTS_PER_HALF_WAVE * halfWaves) + 1));
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
        Ripple.Greatest worst = greatest(figure);
        return new LineProfile.Peak(
                shown.applyAsDouble(worst.value()),
                waves.size() > 1 ? OptionalDouble.empty() : OptionalDouble.of(startM + line.lengthM() - worst.zM()));
    }

    private Ripple.Greatest greatest(Function<LineWaves, Ripple> figure) {
        return waves.stream()
                .map(w -> figure.apply(w).greatest(line.lengthM()))
                .max(Comparator.comparingDouble(Ripple.Greatest::value))
                .orElseThrow();
    }

    private double halfWaveM() {
        return Math.PI / constants.gamma().imag();
    }
}
