package org.eskiz.core.run;

import java.util.List;
import java.util.OptionalDouble;

/**
 * What happens along one line of a run. Voltages and currents are r.m.s.; powers are those of the radio as stated, its
 * peak, and duty comes in with the margins.
 *
 * @param element index of the line in the run, from the radio
 * @param points from the radio end to the antenna end, evenly spaced
 * @param maxVoltage largest voltage, V, at the worst angle of the load
 * @param maxCurrent largest current, A, at the worst angle
 * @param maxHeatWPerM most heat per metre, at the worst angle
 * @param equivalentMatchedPowerW the matched power that would heat the line as much as its hottest spot is heated
 * @param electricalLengthWavelengths length in wavelengths on the line
 * @param delayNs time that a wave takes along it, nanoseconds
 */
public record LineProfile(
        int element,
        List<Point> points,
        Peak maxVoltage,
        Peak maxCurrent,
        Peak maxHeatWPerM,
        double equivalentMatchedPowerW,
        double electricalLengthWavelengths,
        double delayNs) {

    public LineProfile {
        points = List.copyOf(points);
    }

    /**
     * One place on the line.
     *
     * @param fromRadioM along the run, from the radio, metres
     * @param powerW net power toward the antenna
     * @param voltageRms between the conductors
     * @param currentRms in either conductor
     * @param swr in the line's nominal impedance; infinite where everything comes back
     * @param heatWPerM what becomes heat here
     */
    public record Point(
            double fromRadioM, Range powerW, Range voltageRms, Range currentRms, Range swr, Range heatWPerM) {}

    /**
     * An extreme along the line.
     *
     * @param value the extreme
     * @param fromRadioM where it is, metres along the run; empty where the load's angle is unknown, since then nobody knows
     */
    public record Peak(double value, OptionalDouble fromRadioM) {}
}
