package org.eskiz.core.bench;

import org.eskiz.core.bench.PowerReading.Repeatability;
import org.eskiz.core.unit.Decibels;

/**
 * A cable between a radio and a wattmeter with a dummy load: what the radio makes, and what comes through.
 *
 * @param baseline power without the cable
 * @param through power through it
 * @param leadDb loss of a lead that stood in for the cable at the baseline and was taken out for the through reading; 0 where
 *     there was none, or where it stayed in, since it then weakens both
 * @param repeatability of the meter
 * @param meterClass share of a reading by which the meter may be wrong; it cancels between two like levels
 */
public record WattmeterPair(
        PowerReading baseline, PowerReading through, double leadDb, Repeatability repeatability, double meterClass) {

    /** Levels farther apart than this are read at different places of the scale, so that the class does not cancel. */
    private static final double VERY_DIFFERENT = 4;

    /** Loss at the middles of the readings; its interval from their extremes. */
    public LossPoint at(double frequencyMHz) {
        double notCancelled = isVeryDifferent() ? meterClass : 0;
        double most = baseline.highestW(repeatability) * (1 + notCancelled);
        double least = baseline.lowestW(repeatability);
        double throughLeast = through.lowestW(repeatability) * (1 - notCancelled);
        double throughMost = through.highestW(repeatability) * (1 + notCancelled);
        double lossDb = Decibels.lossBetween(baseline.middleW(), through.middleW());
        return new LossPoint(
                frequencyMHz,
                lossDb + leadDb,
                Decibels.lossBetween(least * (1 - notCancelled), throughMost) + leadDb,
                Decibels.lossBetween(most, Math.max(throughLeast, Double.MIN_NORMAL)) + leadDb);
    }

    /** Whether more came through than went in, farther than the readings may be wrong: an error in the set-up. */
    public boolean gains() {
        return through.lowestW(repeatability) >= baseline.highestW(repeatability);
    }

    private boolean isVeryDifferent() {
        return baseline.middleW() / through.middleW() > VERY_DIFFERENT;
    }
}
