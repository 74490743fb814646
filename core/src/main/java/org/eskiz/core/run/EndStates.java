package org.eskiz.core.run;

import java.util.List;
import org.apache.commons.numbers.complex.Complex;

/**
 * The states that the end of a run may be in, in plain numbers: every cell of a ledger goes through all of them several times,
 * and objects for complex numbers take most of its time.
 */
final class EndStates {

    private final List<PortState> states;
    private final double[] voltageReal;
    private final double[] voltageImag;
    private final double[] currentReal;
    private final double[] currentImag;
    private final double[] power;

    private EndStates(List<PortState> states) {
        this.states = states;
        voltageReal = new double[states.size()];
        voltageImag = new double[states.size()];
        currentReal = new double[states.size()];
        currentImag = new double[states.size()];
        power = new double[states.size()];
        for (int k = 0; k < states.size(); k++) {
            PortState state = states.get(k);
            voltageReal[k] = state.voltage().real();
            voltageImag[k] = state.voltage().imag();
            currentReal[k] = state.current().real();
            currentImag[k] = state.current().imag();
            power[k] = state.power();
        }
    }

    static EndStates of(List<PortState> states) {
        return new EndStates(List.copyOf(states));
    }

    /** The one state at a resistor. */
    static EndStates atResistance(double ohm) {
        return of(List.of(PortState.atImpedance(Complex.ofCartesian(ohm, 0))));
    }

    List<PortState> states() {
        return states;
    }

    int count() {
        return power.length;
    }

    /** Real power toward the antenna in each of them. */
    double[] power() {
        return power;
    }

    double voltageReal(int k) {
        return voltageReal[k];
    }

    double voltageImag(int k) {
        return voltageImag[k];
    }

    double currentReal(int k) {
        return currentReal[k];
    }

    double currentImag(int k) {
        return currentImag[k];
    }

    /** Greatest magnitude of the reflection, in a real reference impedance. */
    double greatestReflection(double ohm) {
        double most = 0;
        for (int k = 0; k < power.length; k++) {
            most = Math.max(most, reflectedShare(k, ohm));
        }
        return Math.sqrt(most);
    }

    /** Mean magnitude of the reflection, in a real reference impedance. */
    double meanReflection(double ohm) {
        double sum = 0;
        for (int k = 0; k < power.length; k++) {
            sum += Math.sqrt(reflectedShare(k, ohm));
        }
        return sum / power.length;
    }

    private double reflectedShare(int k, double ohm) {
        double backwardReal = voltageReal[k] - ohm * currentReal[k];
        double backwardImag = voltageImag[k] - ohm * currentImag[k];
        double forwardReal = voltageReal[k] + ohm * currentReal[k];
        double forwardImag = voltageImag[k] + ohm * currentImag[k];
        return (backwardReal * backwardReal + backwardImag * backwardImag)
                / (forwardReal * forwardReal + forwardImag * forwardImag);
    }
}
