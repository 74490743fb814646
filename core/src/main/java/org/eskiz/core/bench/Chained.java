package org.eskiz.core.bench;

import org.apache.commons.numbers.complex.Complex;

/** The ABCD matrix of a two-port, from its S (Microwave Engineering, 4th edition, table 4.2). */
record Chained(Complex a, Complex b, Complex c, Complex d) {

    static Chained of(Sweep.Scattering s, double ohm) {
        Complex both = s.s12().multiply(s.s21());
        Complex twice = s.s21().multiply(2);
        Complex in = Complex.ONE.add(s.s11());
        Complex inLess = Complex.ONE.subtract(s.s11());
        Complex out = Complex.ONE.add(s.s22());
        Complex outLess = Complex.ONE.subtract(s.s22());
        return new Chained(
                in.multiply(outLess).add(both).divide(twice),
                in.multiply(out).subtract(both).multiply(ohm).divide(twice),
                inLess.multiply(outLess).subtract(both).divide(twice.multiply(ohm)),
                inLess.multiply(out).add(both).divide(twice));
    }

    /** e^{γl}: of the two eigenvalues the one that grows toward the near end. */
    Complex growth() {
        Complex mean = a.add(d).divide(2);
        Complex root = b.multiply(c).sqrt();
        Complex one = mean.add(root);
        Complex other = mean.subtract(root);
        return one.abs() >= other.abs() ? one : other;
    }

    Complex impedance() {
        return passive(b.divide(c).sqrt());
    }

    /** Of the two roots the one of a line, which loses. */
    static Complex passive(Complex root) {
        return root.real() < 0 ? root.negate() : root;
    }
}
