package org.eskiz.core.run;

import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.cable.Bump;
import org.eskiz.core.unit.Decibels;

/**
 * A reciprocal two-port as its ABCD matrix, radio side first: V1 = A·V2 + B·I2, I1 = C·V2 + D·I2, A·D − B·C = 1.
 */
public record TwoPort(Complex a, Complex b, Complex c, Complex d) {

    public static final TwoPort THROUGH = new TwoPort(Complex.ONE, Complex.ZERO, Complex.ZERO, Complex.ONE);

    /**
     * A length of line: A = D = cosh γl, B = Z0·sinh γl, C = sinh γl / Z0 (Microwave Engineering, 4th edition, table 4.1, for a
     * line with loss).
     */
    public static TwoPort line(Complex gammaL, Complex z0) {
        Complex cosh = gammaL.cosh();
        Complex sinh = gammaL.sinh();
        return new TwoPort(cosh, z0.multiply(sinh), sinh.divide(z0), cosh);
    }

    /**
     * A matched pad: a line of no electrical length that loses {@code lossDb} into its own impedance, so {@link #line} with
     * {@code γl = L/8.686} real. It is the symmetrical attenuator: the same matrix as that of a T of resistors.
     */
    public static TwoPort pad(double lossDb, double impedanceOhm) {
        return line(Complex.ofCartesian(lossDb / Decibels.PER_NEPER, 0), Complex.ofCartesian(impedanceOhm, 0));
    }

    /** A short length of another impedance, without loss: {@link #line} with {@code γl = j·2πf·l/c}. */
    public static TwoPort bump(Bump bump, double frequencyMHz) {
        return line(Complex.ofCartesian(0, bump.radians(frequencyMHz)), Complex.ofCartesian(bump.impedanceOhm(), 0));
    }

    /**
     * An ideal transformer.
     *
     * @param impedanceRatio antenna side over radio side
     */
    static TwoPort idealTransformer(double impedanceRatio) {
        double turns = Math.sqrt(impedanceRatio);
        return new TwoPort(
                Complex.ofCartesian(1 / turns, 0), Complex.ZERO, Complex.ZERO, Complex.ofCartesian(turns, 0));
    }

    /** Loss between two terminations of one impedance, dB: −20·log10|S21| (Microwave Engineering, 4th edition, table 4.2). */
    double insertionLossDb(double ohm) {
        Complex s21 = Complex.ofCartesian(2, 0)
                .divide(a.add(b.divide(ohm)).add(c.multiply(ohm)).add(d));
        return -Decibels.ofPower(s21.norm());
    }

    /** This two-port followed, toward the antenna, by another. */
    public TwoPort then(TwoPort next) {
        return new TwoPort(
                a.multiply(next.a).add(b.multiply(next.c)),
                a.multiply(next.b).add(b.multiply(next.d)),
                c.multiply(next.a).add(d.multiply(next.c)),
                c.multiply(next.b).add(d.multiply(next.d)));
    }

    /** The state on the radio side, from the state on the antenna side. */
    PortState towardRadio(PortState antennaSide) {
        Complex v = antennaSide.voltage();
        Complex i = antennaSide.current();
        return new PortState(a.multiply(v).add(b.multiply(i)), c.multiply(v).add(d.multiply(i)));
    }

    /** The state on the antenna side, from the state on the radio side: the inverse, since A·D − B·C = 1. */
    PortState towardAntenna(PortState radioSide) {
        Complex v = radioSide.voltage();
        Complex i = radioSide.current();
        return new PortState(
                d.multiply(v).subtract(b.multiply(i)), a.multiply(i).subtract(c.multiply(v)));
    }

    /**
     * What the radio end can show for any passive load, as a disc of reflection coefficients: {@code Γ = S11 +
     * S12·S21·Γ_L/(1 − S22·Γ_L)} takes the disc |Γ_L| ≤ 1 to one about {@code S11 + S12·S21·S22*<!-- -->/(1 − |S22|²)} with the
     * radius {@code |S12·S21|/(1 − |S22|²)} (Microwave Engineering, 4th edition, section 12.2, circles in the plane of a port;
     * S from ABCD by its table 4.2, where S12·S21 = (2/ΣABCD)² of a reciprocal two-port).
     */
    ReflectionDisc passiveLoadsSeenFromRadio(double referenceOhm) {
        Complex bz = b.divide(referenceOhm);
        Complex cz = c.multiply(referenceOhm);
        Complex sum = a.add(bz).add(cz).add(d);
        Complex s11 = a.add(bz).subtract(cz).subtract(d).divide(sum);
        Complex s22 = d.add(bz).subtract(cz).subtract(a).divide(sum);
        Complex s12s21 = Complex.ofCartesian(2, 0).divide(sum).pow(2);
        double spread = 1 - s22.norm();
        Complex centre = s11.add(s12s21.multiply(s22.conj()).divide(spread));
        return new ReflectionDisc(centre.abs(), s12s21.abs() / spread);
    }

    /**
     * A disc of reflection coefficients, by the distance of its centre from a match and its radius.
     */
    record ReflectionDisc(double centre, double radius) {

        double least() {
            return Math.max(0, centre - radius);
        }

        double greatest() {
            return centre + radius;
        }
    }
}
