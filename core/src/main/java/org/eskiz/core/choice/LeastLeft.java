package org.eskiz.core.choice;

import java.util.List;
import java.util.OptionalDouble;
import org.eskiz.core.unit.Decibels;

/**
 * What has to be left of the radio's power on a band for everything to be met that is asked of what arrives; what parts bear is not
 * in it.
 *
 * @param atAntenna as a fraction; above 1 where it cannot be met
 * @param through after run and matching unit alone, as noise meets them
 */
record LeastLeft(double atAntenna, double through) {

    private static final double NEVER = Double.POSITIVE_INFINITY;

    static LeastLeft of(List<Requirement.OnBand> asked, Band band) {
        BandOutcome lossless = new BandOutcome(band, 0, 0, Margins.UNKNOWN);
        double atAntenna = 0;
        double through = 0;
        for (Requirement.OnBand requirement : asked) {
            if (!requirement.figure().isMargin()) {
                OptionalDouble mostDb = requirement.spareDb(lossless);
                double least = mostDb.isPresent() ? Decibels.fractionLeft(mostDb.getAsDouble()) : NEVER;
                if (requirement.figure() == BandFigure.RECEIVE_PENALTY) {
                    through = Math.max(through, least);
                } else {
                    atAntenna = Math.max(atAntenna, least);
                }
            }
        }
        return new LeastLeft(atAntenna, through);
    }

    /** Total loss that would just do; empty where none is asked. */
    OptionalDouble mostLossDb() {
        return atAntenna > 0 && atAntenna < NEVER
                ? OptionalDouble.of(-Decibels.ofPower(atAntenna))
                : OptionalDouble.empty();
    }

    boolean isMet(double leftAtAntenna, double leftThrough) {
        return leftAtAntenna >= atAntenna && leftThrough >= through;
    }
}
