package org.eskiz.core.run;

import java.util.List;
import java.util.function.IntFunction;
import java.util.stream.IntStream;
import org.apache.commons.numbers.complex.Complex;

/**
 * A load made concrete: every state that the antenna end may be in.
 *
 * <p>One state where impedance is known, up to 72 where only an SWR is. They belong to the antenna and not to the run,
 * so a reading taken through the present cable can be carried over to any other.
 */
public final class AntennaStates {

    private static final int ANGLES = 72;

    private final EndStates states;
    private final boolean angleKnown;

    private AntennaStates(List<PortState> states, boolean angleKnown) {
        this.states = EndStates.of(states);
        this.angleKnown = angleKnown;
    }

    /**
     * What the antenna may be.
     *
     * @param load what is known of it
     * @param run the run that is up now; an SWR read at the radio was read through it, unless it says through which other
     * @throws ImpossibleReadingException when that run cannot show the SWR read at the radio
     * @throws ReadingSaysNothingException when a matching unit at the antenna hides it
     */
    public static AntennaStates of(Load load, Run run, Radio radio, Conditions conditions) {
        if (load instanceof Load.Impedance z) {
            Complex ohm = Complex.ofCartesian(z.resistanceOhm(), z.reactanceOhm());
            return new AntennaStates(List.of(PortState.atImpedance(ohm)), true);
        }
        if (load instanceof Load.SwrAtAntenna s) {
            return ofSwr(s.swr(), s.referenceOhm().orElse(radio.impedanceOhm()));
        }
        return readAtRadio((Load.SwrAtRadio) load, run, radio, conditions);
    }

    /** How many states there are. */
    public int count() {
        return states.count();
    }

    /**
     * One of them, taken for sure.
     *
     * @param turn which: 0 to below 1, from the first to the last
     */
    public AntennaStates at(double turn) {
        return new AntennaStates(List.of(states.state((int) (turn * count()))), true);
    }

    List<PortState> states() {
        return states.states();
    }

    EndStates ends() {
        return states;
    }

    /** Whether the antenna's impedance is known, angle and all. */
    public boolean isAngleKnown() {
        return angleKnown;
    }

    /** Mean magnitude of the reflection, in a real reference impedance. */
    double meanReflection(double referenceOhm) {
        return states.meanReflection(referenceOhm);
    }

    private static AntennaStates ofSwr(double swr, double referenceOhm) {
        return new AntennaStates(atAllAngles(swr, referenceOhm), swr == 1);
    }

    private static AntennaStates readAtRadio(Load.SwrAtRadio reading, Run run, Radio radio, Conditions conditions) {
        if (radio.matching() == Matching.AT_ANTENNA) {
            throw new ReadingSaysNothingException(reading.swr());
        }
        double referenceOhm = reading.referenceOhm().orElse(radio.impedanceOhm());
        Run readThrough = reading.through().orElse(run).on(conditions.branch());
        TwoPort whole = Chain.of(readThrough, conditions, radio.impedanceOhm()).whole();
        List<PortState> passive = atAllAngles(reading.swr(), referenceOhm).stream()
                .map(whole::towardAntenna)
                .filter(s -> s.power() > 0)
                .toList();
        if (passive.isEmpty()) {
            var shown = whole.passiveLoadsSeenFromRadio(referenceOhm);
            throw new ImpossibleReadingException(
                    reading.swr(), StandingWave.swrOf(shown.least()), StandingWave.swrOf(shown.greatest()));
        }
        return new AntennaStates(passive, reading.swr() == 1);
    }

    private static List<PortState> atAllAngles(double swr, double referenceOhm) {
        double reflection = StandingWave.reflectionOf(swr);
        IntFunction<PortState> atAngle =
                k -> PortState.atReflection(Complex.ofPolar(reflection, 2 * Math.PI * k / ANGLES), referenceOhm);
        return IntStream.range(0, reflection == 0 ? 1 : ANGLES)
                .mapToObj(atAngle)
                .toList();
    }
}
