package org.eskiz.core.exposure;

import java.util.OptionalDouble;
import org.eskiz.core.unit.Physics;

/** Limits for the public, as a plane-wave power density over frequency. */
public enum LimitSet {

    /**
     * ICNIRP, Guidelines for limiting exposure to electromagnetic fields (100 kHz to 300 GHz), 2020, table 5: whole body,
     * averaged over 30 minutes, general public; below 30 MHz the limit of the electric field, {@code E²/377 Ω}.
     */
    ICNIRP_2020 {
        @Override
        public OptionalDouble wattsPerM2(double frequencyMHz) {
            if (frequencyMHz < 0.1 || frequencyMHz > 300_000) {
                return OptionalDouble.empty();
            }
            if (frequencyMHz < 30) {
                double field = 300 / Math.pow(frequencyMHz, 0.7);
                return OptionalDouble.of(field * field / Physics.FREE_SPACE_OHM);
            }
            if (frequencyMHz <= 400) {
                return OptionalDouble.of(2);
            }
            return OptionalDouble.of(frequencyMHz <= 2000 ? frequencyMHz / 200 : 10);
        }
    },

    /** 47 CFR § 1.1310 (e), table 1, uncontrolled exposure; mW/cm² there, W/m² here. */
    FCC_1_1310 {
        @Override
        public OptionalDouble wattsPerM2(double frequencyMHz) {
            if (frequencyMHz < 0.3 || frequencyMHz > 100_000) {
                return OptionalDouble.empty();
            }
            if (frequencyMHz < 1.34) {
                return OptionalDouble.of(1000);
            }
            if (frequencyMHz < 30) {
                return OptionalDouble.of(1800 / (frequencyMHz * frequencyMHz));
            }
            if (frequencyMHz <= 300) {
                return OptionalDouble.of(2);
            }
            return OptionalDouble.of(frequencyMHz <= 1500 ? frequencyMHz / 150 : 10);
        }
    };

    /**
     * The limit at a frequency.
     *
     * @return W/m²; empty outside the bands that the set states
     */
    public abstract OptionalDouble wattsPerM2(double frequencyMHz);
}
