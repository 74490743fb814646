package org.eskiz.core.run;

import java.util.OptionalDouble;
import org.eskiz.core.unit.Require;

/**
 * What feeds the run on one band.
 *
 * @param powerW power the radio sends into its own impedance; empty for a receiver
 * @param impedanceOhm the impedance it is made for
 * @param matching where the matching unit stands
 * @param matchingLossDb loss of that unit; without a unit it counts for nothing
 * @param foldback whether the radio reduces its power on a bad SWR
 */
public record Radio(
        OptionalDouble powerW, double impedanceOhm, Matching matching, double matchingLossDb, boolean foldback) {

    /** Full power up to here. */
    private static final double FOLDBACK_FROM_SWR = 2;

    /** A quarter from here on. */
    private static final double FOLDBACK_TO_SWR = 3;

    private static final double FOLDED_FRACTION = 0.25;

    public Radio {
        powerW.ifPresent(p -> Require.positive("power in W", p));
        Require.positive("impedance in ohm", impedanceOhm);
        Require.notNegative("matching loss in dB", matchingLossDb);
    }

    /** A radio of 50 Ω with a lossless matching unit of its own. */
    public static Radio matched(double powerW) {
        return new Radio(OptionalDouble.of(powerW), 50, Matching.AT_RADIO, 0, false);
    }

    /** Loss of the matching unit, 0 where there is none. */
    public double unitLossDb() {
        return matching == Matching.NONE ? 0 : matchingLossDb;
    }

    /**
     * Fraction of what is sent that does not come back: 1 − |ρ|², written so that nothing cancels when |ρ| is near 1; all of it
     * behind a matching unit at the radio.
     *
     * @param power at the radio's end of the run
     * @param forward of the same state, |V + Z·I|²
     */
    double acceptedFraction(double power, double forward) {
        return isTuned() ? 1 : 4 * impedanceOhm * power / forward;
    }

    /** Fraction of its power that the radio still makes at a reflection in the run; all of it behind a matching unit of its own. */
    double madeFraction(double reflection) {
        return isTuned() ? 1 : foldbackFraction(reflection);
    }

    private boolean isTuned() {
        return matching == Matching.AT_RADIO;
    }

    /** Fraction of its power that the radio still makes at a reflection of a given magnitude. */
    double foldbackFraction(double reflection) {
        double swr = StandingWave.swrOf(reflection);
        if (!foldback || swr <= FOLDBACK_FROM_SWR) {
            return 1;
        }
        if (swr >= FOLDBACK_TO_SWR) {
            return FOLDED_FRACTION;
        }
        double way = (swr - FOLDBACK_FROM_SWR) / (FOLDBACK_TO_SWR - FOLDBACK_FROM_SWR);
        return 1 - (1 - FOLDED_FRACTION) * way;
    }

    /** The same with its matching unit at another place. */
    public Radio matchedAt(Matching other) {
        return new Radio(powerW, impedanceOhm, other, matchingLossDb, foldback);
    }
}
