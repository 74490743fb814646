package org.eskiz.core.exposure;

import java.util.OptionalDouble;
import org.eskiz.core.unit.Physics;
import org.eskiz.core.unit.Require;

/**
 * The field near an antenna, from the power it gets: {@code S = P·G·k/(4πr²)} in the far field (OET Bulletin 65, edition
 * 97-01, section 2, equations 3 and 4, and the reflection of the ground that follows them).
 *
 * @param powerW power at the antenna at the radio's peak
 * @param gainDbi of the antenna in the direction looked at
 * @param duty average over peak power of the mode, 0 to 1
 * @param transmitting share of the averaging time spent transmitting, 0 to 1
 * @param groundFactor k: 2.56 for a field raised 1.6 times by the ground, 1 for free space
 */
public record Exposure(double powerW, double gainDbi, double duty, double transmitting, double groundFactor) {

    /** The field raised 1.6 times by reflection from the ground. */
    public static final double USUAL_GROUND_FACTOR = 2.56;

    /** Half of the time, over the averaging time of half an hour. */
    public static final double USUAL_TRANSMITTING = 0.5;

    public Exposure {
        Require.notNegative("power in W", powerW);
        Require.finite("gain in dBi", gainDbi);
        Require.positive("ground factor", groundFactor);
    }

    /** Effective radiated power against an isotropic antenna, W, at the radio's peak. */
    public double eirpW() {
        return powerW * Math.pow(10, gainDbi / 10);
    }

    /**
     * The distance at which the average power density falls to the limit.
     *
     * @return metres; empty where the set states no limit at this frequency
     */
    public OptionalDouble distanceM(double frequencyMHz, LimitSet limits) {
        OptionalDouble limit = limits.wattsPerM2(frequencyMHz);
        if (limit.isEmpty()) {
            return OptionalDouble.empty();
        }
        double average = eirpW() * duty * transmitting * groundFactor;
        return OptionalDouble.of(Math.sqrt(average / (4 * Math.PI * limit.getAsDouble())));
    }

    /** Nearer than this, λ/2π, the far-field estimate does not hold, m. */
    public static double farFieldFromM(double frequencyMHz) {
        return Physics.SPEED_OF_LIGHT / (frequencyMHz * 1e6) / (2 * Math.PI);
    }
}
