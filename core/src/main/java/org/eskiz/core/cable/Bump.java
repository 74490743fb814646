package org.eskiz.core.cable;

import org.eskiz.core.unit.Decibels;
import org.eskiz.core.unit.Physics;
import org.eskiz.core.unit.Require;

/**
 * Where a mated pair is not of constant impedance: a short length of another one, without loss. What it sends back grows with
 * the square of frequency as long as it is short against the wave, and costs nothing where that is small: heat is in the pad,
 * reflection is here.
 *
 * @param impedanceOhm of the body, above 0
 * @param lengthMm as light travels, so at a velocity factor of 1; at least 0
 */
public record Bump(double impedanceOhm, double lengthMm) {

    private static final double HZ_PER_MHZ = 1e6;
    private static final double M_PER_MM = 1e-3;

    public Bump {
        Require.positive("impedance of the bump in ohm", impedanceOhm);
        Require.notNegative("length of the bump in mm", lengthMm);
    }

    /** What it turns the phase of a wave, radians: {@code 2πf·l/c}. */
    public double radians(double frequencyMHz) {
        return 2 * Math.PI * frequencyMHz * HZ_PER_MHZ * lengthMm * M_PER_MM / Physics.SPEED_OF_LIGHT;
    }

    /**
     * What is lost by its reflection between two like impedances, dB: {@code 10·log(1 + ((Z/Z0 − Z0/Z)/2)²·sin²θ)} (Microwave
     * Engineering, 4th edition, table 4.2, for a line without loss).
     */
    public double reflectedDb(double frequencyMHz, double ohm) {
        double apart = (impedanceOhm / ohm - ohm / impedanceOhm) / 2 * Math.sin(radians(frequencyMHz));
        return Decibels.ofPower(1 + apart * apart);
    }
}
