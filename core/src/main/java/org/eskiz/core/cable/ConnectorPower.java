package org.eskiz.core.cable;

import org.eskiz.core.unit.Require;

/**
 * The average power that a mated pair of connectors bears. It is limited by the heat of contacts under skin effect, so it falls
 * as one over the square root of frequency: the heat is {@code I²·R}, and R is skin resistance, {@code √(π·f·μ/σ)} per square
 * (Microwave Engineering, 4th edition, section 1.7).
 *
 * @param powerW average power, W
 * @param frequencyMHz at which it is stated
 */
public record ConnectorPower(double powerW, double frequencyMHz) {

    public ConnectorPower {
        Require.positive("average power in W", powerW);
        Require.positive("frequency in MHz", frequencyMHz);
    }

    /** The rating at another frequency, W. */
    public double at(double atMHz) {
        return powerW * Math.sqrt(frequencyMHz / atMHz);
    }
}
