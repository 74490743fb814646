package org.eskiz.core.run;

import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.unit.Decibels;
import org.eskiz.core.unit.Physics;

/**
 * What a cable is at one frequency and temperature.
 *
 * <p>Left out: internal inductance, by which real cables are a few percent slower at the lowest frequencies, and
 * current on the outside of the shield.
 *
 * @param gamma propagation constant, per metre: real part in Np/m, imaginary part in rad/m
 * @param z0 characteristic impedance, ohm; real only when conductor and dielectric lose alike
 */
public record LineConstants(Complex gamma, Complex z0) {

    public static LineConstants of(Cable cable, double frequencyMHz, double ambientC) {
        Attenuation law = cable.attenuation();
        double conductor = nepersPerMetre(law.conductorDbPer100m(frequencyMHz, ambientC));
        double dielectric = nepersPerMetre(law.dielectricDbPer100m(frequencyMHz));
        double beta = 2 * Math.PI * frequencyMHz * 1e6 / (cable.velocityFactor() * Physics.SPEED_OF_LIGHT);
        Complex gamma = Complex.ofCartesian(conductor + dielectric, beta);
        Complex seriesOverShunt =
                Complex.ofCartesian(1, -2 * conductor / beta).divide(Complex.ofCartesian(1, -2 * dielectric / beta));
        return new LineConstants(gamma, seriesOverShunt.sqrt().multiply(cable.impedanceOhm()));
    }

    public TwoPort ofLength(double lengthM) {
        return TwoPort.line(gamma.multiply(lengthM), z0);
    }

    private static double nepersPerMetre(double dbPer100m) {
        return dbPer100m / 100 / Decibels.PER_NEPER;
    }
}
