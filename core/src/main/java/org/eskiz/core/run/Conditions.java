package org.eskiz.core.run;

import org.eskiz.core.unit.Require;

/**
 * Frequency and temperature at which a run is looked at, and the branch of it where it forks.
 *
 * @param frequencyMHz above 0
 * @param ambientC °C
 * @param branch through which the power goes; {@link Run#COMMON} where the run does not fork
 */
public record Conditions(double frequencyMHz, double ambientC, String branch) {

    /** Of a run that does not fork. */
    public Conditions(double frequencyMHz, double ambientC) {
        this(frequencyMHz, ambientC, Run.COMMON);
    }

    public Conditions {
        Require.positive("frequency in MHz", frequencyMHz);
        Require.finite("ambient temperature in °C", ambientC);
    }
}
