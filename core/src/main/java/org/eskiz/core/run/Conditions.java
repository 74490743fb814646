package org.eskiz.core.run;

import org.eskiz.core.unit.Require;

/**
 * Frequency and temperature at which a run is looked at.
 *
 * @param frequencyMHz above 0
 * @param ambientC °C
 */
public record Conditions(double frequencyMHz, double ambientC) {

    public Conditions {
        Require.positive("frequency in MHz", frequencyMHz);
        Require.finite("ambient temperature in °C", ambientC);
    }
}
