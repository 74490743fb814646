package org.eskiz.core.cable;

/** Nominal characteristic impedances of lines, radios and loads. */
public final class NominalImpedance {

    /** Nominal impedances this near to each other count as one. */
    private static final double SAME_WITHIN = 0.1;

    private NominalImpedance() {}

    /** Whether two count as one: a line of the one does not transform a load of the other. */
    public static boolean isSame(double ohm, double stationOhm) {
        return Math.abs(ohm - stationOhm) <= SAME_WITHIN * stationOhm;
    }
}
