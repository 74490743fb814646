package org.eskiz.core.bench;

/**
 * A measured loss.
 *
 * @param frequencyMHz where
 * @param lossDb most likely loss
 * @param leastDb least that the readings allow
 * @param mostDb most that they allow
 */
public record LossPoint(double frequencyMHz, double lossDb, double leastDb, double mostDb) {

    /** A loss whose own interval is so many dB to either side. */
    public static LossPoint within(double frequencyMHz, double lossDb, double eitherSideDb) {
        return new LossPoint(frequencyMHz, lossDb, lossDb - eitherSideDb, lossDb + eitherSideDb);
    }

    double halfWidthDb() {
        return (mostDb - leastDb) / 2;
    }
}
