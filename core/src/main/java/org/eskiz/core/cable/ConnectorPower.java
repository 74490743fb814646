package org.eskiz.core.cable;

import org.eskiz.core.unit.Require;

/**
 * The average power that a mated pair of connectors bears. It is limited by the heat of contacts under skin effect, so it falls
 * as one over the square root of frequency.
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
