package org.eskiz.core.run;

import org.apache.commons.numbers.complex.Complex;

/** What an antenna is in each of many draws. */
public final class DrawnAntenna {

    private final DrawnStates states;

    private DrawnAntenna(DrawnStates states) {
        this.states = states;
    }

    DrawnStates states() {
        return states;
    }

    /**
     * One of the states that it may be in.
     *
     * @param turns which, for each draw: 0 to below 1, from the first to the last
     */
    public static DrawnAntenna of(AntennaStates antenna, double[] turns) {
        DrawnStates states = new DrawnStates(turns.length);
        for (int k = 0; k < turns.length; k++) {
            states.set(k, antenna.states().get((int) (turns[k] * antenna.count())));
        }
        return new DrawnAntenna(states);
    }

    /**
     * An SWR at an angle.
     *
     * @param swrs at least 1, one for each draw
     * @param turns of the angle: 0 to below 1
     */
    public static DrawnAntenna ofSwr(double[] swrs, double[] turns, double referenceOhm) {
        DrawnStates states = new DrawnStates(turns.length);
        for (int k = 0; k < turns.length; k++) {
            Complex rho = Complex.ofPolar(StandingWave.reflectionOf(swrs[k]), 2 * Math.PI * turns[k]);
            states.set(k, PortState.atReflection(rho, referenceOhm));
        }
        return new DrawnAntenna(states);
    }

    /** One that is known and the same in every draw. */
    static DrawnAntenna known(double ohm, int count) {
        DrawnStates states = new DrawnStates(count);
        PortState one = PortState.atImpedance(Complex.ofCartesian(ohm, 0));
        for (int k = 0; k < count; k++) {
            states.set(k, one);
        }
        return new DrawnAntenna(states);
    }
}
