package org.eskiz.core.run;

import org.eskiz.core.unit.Require;

/** Standing wave ratio and the magnitude of the reflection coefficient, each from the other. */
public final class StandingWave {

    private StandingWave() {}

    /**
     * |ρ| = (S − 1)/(S + 1).
     *
     * @param swr at least 1
     * @return 0 for a match, below 1
     */
    public static double reflectionOf(double swr) {
        Require.atLeast("SWR", swr, 1);
        return (swr - 1) / (swr + 1);
    }

    /**
     * S = (1 + |ρ|)/(1 − |ρ|).
     *
     * @param reflection magnitude of the reflection coefficient, at least 0
     * @return at least 1; positive infinity when everything comes back
     */
    public static double swrOf(double reflection) {
        return reflection >= 1 ? Double.POSITIVE_INFINITY : (1 + reflection) / (1 - reflection);
    }
}
