package org.eskiz.core.run;

import java.util.List;
import java.util.stream.IntStream;
import org.apache.commons.numbers.complex.Complex;

/**
 * The states that a boundary of a run may be in, in plain numbers: every cell of a ledger goes through all of them several
 * times, and objects for complex numbers take most of its time.
 */
final class EndStates {

    private final double[] voltageReal;
    private final double[] voltageImag;
    private final double[] currentReal;
    private final double[] currentImag;
    private final double[] power;

    private EndStates(int count) {
        voltageReal = new double[count];
        voltageImag = new double[count];
        currentReal = new double[count];
        currentImag = new double[count];
        power = new double[count];
    }

    static EndStates of(List<PortState> states) {
        EndStates plain = new EndStates(states.size());
        for (int k = 0; k < states.size(); k++) {
            Complex voltage = states.get(k).voltage();
            Complex current = states.get(k).current();
            plain.set(k, voltage.real(), voltage.imag(), current.real(), current.imag());
        }
        return plain;
    }

    /** The one state at a resistor. */
    static EndStates atResistance(double ohm) {
        return of(List.of(PortState.atImpedance(Complex.ofCartesian(ohm, 0))));
    }

    private void set(int k, double vr, double vi, double ir, double ii) {
        voltageReal[k] = vr;
        voltageImag[k] = vi;
        currentReal[k] = ir;
        currentImag[k] = ii;
        power[k] = vr * ir + vi * ii;
    }

    /** The states on the radio side of a two-port that stands before them. */
    EndStates before(TwoPort port) {
        double ar = port.a().real();
        double ai = port.a().imag();
        double br = port.b().real();
        double bi = port.b().imag();
        double cr = port.c().real();
        double ci = port.c().imag();
        double dr = port.d().real();
        double di = port.d().imag();
        EndStates before = new EndStates(power.length);
        for (int k = 0; k < power.length; k++) {
            double vr = voltageReal[k];
            double vi = voltageImag[k];
            double ir = currentReal[k];
            double ii = currentImag[k];
            before.set(
                    k,
                    ar * vr - ai * vi + br * ir - bi * ii,
                    ar * vi + ai * vr + br * ii + bi * ir,
                    cr * vr - ci * vi + dr * ir - di * ii,
                    cr * vi + ci * vr + dr * ii + di * ir);
        }
        return before;
    }

    List<PortState> states() {
        return IntStream.range(0, power.length).mapToObj(this::state).toList();
    }

    PortState state(int k) {
        return new PortState(
                Complex.ofCartesian(voltageReal[k], voltageImag[k]),
                Complex.ofCartesian(currentReal[k], currentImag[k]));
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

    double voltage(int k) {
        return Math.sqrt(squared(voltageReal[k], voltageImag[k]));
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

    /** Share of the power that comes back in one of them, in a real reference impedance. */
    double reflectedShare(int k, double ohm) {
        return backward(k, ohm) / forward(k, ohm);
    }

    /** |V + I·R|² in one of them: what goes toward the antenna, times 4·R. */
    double forward(int k, double ohm) {
        return squared(voltageReal[k] + ohm * currentReal[k], voltageImag[k] + ohm * currentImag[k]);
    }

    /** |V − I·R|² in one of them: what comes back, likewise. */
    double backward(int k, double ohm) {
        return squared(voltageReal[k] - ohm * currentReal[k], voltageImag[k] - ohm * currentImag[k]);
    }

    private static double squared(double real, double imag) {
        return real * real + imag * imag;
    }
}
