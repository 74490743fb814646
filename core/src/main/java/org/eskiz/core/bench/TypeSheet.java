package org.eskiz.core.bench;

import org.eskiz.core.cable.Cable;

/**
 * What a type promises.
 *
 * @param key by which its owner knows it
 * @param tolerance share of its attenuation that a good piece may be off by
 */
public record TypeSheet(String key, Cable cable, double tolerance) {

    /** Types of the same name are made a little different; a wave farther off than this is in another one. */
    static final double SAME_VELOCITY = 0.03;

    /** The same of the impedance. */
    private static final double SAME_IMPEDANCE = 0.06;

    /**
     * Whether a measured velocity factor can be one of this type.
     *
     * @param uncertainty of it, expanded, as a share
     */
    public boolean hasVelocityFactor(double measured, double uncertainty) {
        return Math.abs(measured - cable.velocityFactor()) <= (SAME_VELOCITY + uncertainty) * cable.velocityFactor();
    }

    /** Whether a measured impedance in Ω can be one of this type. */
    public boolean hasImpedance(double measuredOhm) {
        return Math.abs(measuredOhm - cable.impedanceOhm()) <= SAME_IMPEDANCE * cable.impedanceOhm();
    }
}
