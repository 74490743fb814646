package org.eskiz.core.run;

import org.apache.commons.numbers.complex.Complex;

/**
 * Voltage and current at one boundary of the run, to one common scale.
 *
 * @param voltage r.m.s. phasor
 * @param current r.m.s. phasor, flowing toward the antenna
 */
record PortState(Complex voltage, Complex current) {

    /** The state at a load of a known impedance, for a current of 1. */
    static PortState atImpedance(Complex ohm) {
        return new PortState(ohm, Complex.ONE);
    }

    /** The state at a reflection coefficient, in a reference impedance, for a forward wave of 1. */
    static PortState atReflection(Complex rho, double referenceOhm) {
        return new PortState(rho.add(1), Complex.ONE.subtract(rho).divide(referenceOhm));
    }

    /** Real power toward the antenna: Re(V·I*). */
    double power() {
        return voltage.real() * current.real() + voltage.imag() * current.imag();
    }

    PortState times(double factor) {
        return new PortState(voltage.multiply(factor), current.multiply(factor));
    }

    Complex impedance() {
        return voltage.divide(current);
    }

    /** Magnitude of the reflection coefficient in a real reference impedance. */
    double reflection(double referenceOhm) {
        Complex scaled = current.multiply(referenceOhm);
        return voltage.subtract(scaled).abs() / voltage.add(scaled).abs();
    }
}
