package org.eskiz.core.choice;

import java.util.List;

/**
 * How sure a row of a ledger is to pass.
 *
 * @param share of the samples in which everything is met that is asked of what arrives; 0 for a row that fails for anything else
 * @param powerShares of the radio's power at the antenna, one for each band
 */
public record Chance(double share, List<Confidence.Quantiles> powerShares) {

    /** A chance is told as so many runs of twenty: nobody thinks in hundredths, and no more of it is known. */
    public static final int TOLD_OF = 20;

    public Chance {
        powerShares = List.copyOf(powerShares);
    }

    /** The same of a run that cannot pass. */
    Chance none() {
        return new Chance(0, powerShares);
    }

    /** Total loss on each band in the middle 90 % of the samples, dB. */
    public List<Confidence.Quantiles> lossDb() {
        return powerShares.stream().map(Confidence.Quantiles::lossDb).toList();
    }

    /** How many of twenty runs like it would pass. */
    public int passing() {
        return passing(share);
    }

    static int passing(double share) {
        return (int) Math.round(TOLD_OF * share);
    }
}
