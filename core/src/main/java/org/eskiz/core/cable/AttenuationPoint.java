package org.eskiz.core.cable;

import org.eskiz.core.unit.Require;

/**
 * One row of a data sheet.
 *
 * @param frequencyMHz above 0
 * @param attenuationDbPer100m matched attenuation at 20 °C, above 0
 */
public record AttenuationPoint(double frequencyMHz, double attenuationDbPer100m) {

    public AttenuationPoint {
        Require.positive("frequency in MHz", frequencyMHz);
        Require.positive("attenuation in dB per 100 m", attenuationDbPer100m);
    }
}
