package org.eskiz.core.bench;

/**
 * A measured loss.
 *
 * @param frequencyMHz where
 * @param lossDb most likely loss
 * @param uncertainty of it
 */
public record LossPoint(double frequencyMHz, double lossDb, Uncertainty uncertainty) {

    /** A loss whose own interval is so many dB to either side. */
    public static LossPoint within(double frequencyMHz, double lossDb, double eitherSideDb) {
        return new LossPoint(
                frequencyMHz,
                lossDb,
                Uncertainty.of(new Uncertainty.Term(Uncertainty.Source.AS_READ, eitherSideDb / Uncertainty.EXPANSION)));
    }

    /** Least loss that the readings allow, dB. */
    public double leastDb() {
        return lossDb - uncertainty.expandedDb();
    }

    /** Most loss that they allow, dB. */
    public double mostDb() {
        return lossDb + uncertainty.expandedDb();
    }
}
