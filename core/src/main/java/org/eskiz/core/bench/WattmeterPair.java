package org.eskiz.core.bench;

import java.util.Optional;
import java.util.function.ToDoubleFunction;
import org.eskiz.core.bench.PowerReading.Repeatability;
import org.eskiz.core.bench.Uncertainty.Source;
import org.eskiz.core.bench.Uncertainty.Term;
import org.eskiz.core.unit.Decibels;

/**
 * A cable between a radio and a wattmeter with a dummy load: what the radio makes, and what comes through.
 *
 * @param before power without the cable
 * @param after the same once more after the reading through it, so that the drift of the radio is known and not guessed; empty
 *     where it was not read again
 * @param through power through it
 * @param leadDb loss of a lead that stood in for the cable at the baseline and was taken out for the through reading; 0 where
 *     there was none, or where it stayed in, since it then weakens both
 * @param repeatability of the meter
 * @param meterClass share of full scale by which the meter may be wrong; it cancels between two like levels
 */
public record WattmeterPair(
        PowerReading before,
        Optional<PowerReading> after,
        PowerReading through,
        double leadDb,
        Repeatability repeatability,
        double meterClass) {

    /** By which a radio drifts between two readings, as a standard uncertainty, unless the baseline is read again. */
    static final double USUAL_DRIFT = 0.02;

    /** What a radio and a dummy load with their plugs reflect: magnitudes. */
    private static final double SOURCE_REFLECTION = 0.1;

    private static final double LOAD_REFLECTION = 0.05;

    /** dB for a small share of a power. */
    private static final double DB_PER_SHARE = 10 / Math.log(10);

    /** Loss at the middles of the readings. */
    public LossPoint at(double frequencyMHz) {
        return new LossPoint(
                frequencyMHz, Decibels.lossBetween(baselineW(), through.middleW()) + leadDb, uncertainty());
    }

    /** Whether more came through than went in, farther than the readings may be wrong: an error in the set-up. */
    public boolean gains() {
        return Decibels.lossBetween(baselineW(), through.middleW())
                        + uncertainty().expandedDb()
                <= 0;
    }

    private double baselineW() {
        return after.map(a -> (before.middleW() + a.middleW()) / 2).orElse(before.middleW());
    }

    private Uncertainty uncertainty() {
        return Uncertainty.of(
                new Term(Source.RESOLUTION, inDb(PowerReading::digitW, repeatability.digits())),
                new Term(Source.FLICKER, inDb(r -> r.mostW() - r.leastW(), 0.5)),
                new Term(Source.REPEATABILITY, DB_PER_SHARE * repeatability.share() * Math.sqrt(2)),
                new Term(Source.DRIFT, DB_PER_SHARE * drift()),
                new Term(Source.METER_CLASS, DB_PER_SHARE * notCancelled()),
                new Term(
                        Source.MISMATCH, Decibels.ofAmplitude(1 + SOURCE_REFLECTION * LOAD_REFLECTION) / Math.sqrt(2)));
    }

    /** What either reading may be off by, anywhere within, both in squares. */
    private double inDb(ToDoubleFunction<PowerReading> widthW, double halves) {
        double b = Uncertainty.ofHalfWidth(widthW.applyAsDouble(before) * halves) / before.middleW();
        double t = Uncertainty.ofHalfWidth(widthW.applyAsDouble(through) * halves) / through.middleW();
        return DB_PER_SHARE * Math.hypot(b, t);
    }

    /** Read twice, it lies anywhere between the two. */
    private double drift() {
        return after.map(a -> Uncertainty.ofHalfWidth(Math.abs(a.middleW() - before.middleW()) / 2) / baselineW())
                .orElse(USUAL_DRIFT);
    }

    /** An error of full scale, here the baseline: it is the same at both levels as far as they are alike. */
    private double notCancelled() {
        double levels = through.middleW() / before.middleW();
        return levels < 1 ? Uncertainty.ofHalfWidth(meterClass) * (1 - levels) / levels : 0;
    }
}
