package org.eskiz.core.bench;

import java.util.function.ToDoubleFunction;
import org.eskiz.core.bench.SheetDeviation.Judged;

/**
 * What the shape of an excess over frequency may come from.
 *
 * @param kind the fault
 * @param share of the excess that it explains, 0 to 1: below 1 where two faults together explain it
 * @param amount of it: dB for {@link Kind#CONTACT}, share of what the cable should lose for {@link Kind#PROPORTIONAL}, the height of
 *     the ripple in dB for {@link Kind#RIPPLE}; else dB at the highest frequency measured
 * @param chiSquare squares of what the fit misses, each over its own variance: about as many as degrees of freedom where it fits
 */
public record Cause(Kind kind, double share, double amount, double chiSquare) {

    /** The faults that leave a shape. */
    public enum Kind {
        /** Joints that are in it and were not entered: a rival of what they look like, without a shape of their own. */
        JOINTS_NOT_ENTERED(j -> 0),
        /** Flat over frequency: a resistive joint or contact. */
        CONTACT(j -> 1),
        /** As all that is lost in the cable: length, type or temperature is another. */
        PROPORTIONAL(Judged::cableDb),
        /** As √f: the conductor or the shield. */
        CONDUCTOR(j -> Math.sqrt(j.measured().frequencyMHz())),
        /** As f: water, or the dielectric. */
        DIELECTRIC(j -> j.measured().frequencyMHz()),
        /** As f²: a connector or a bump of impedance. */
        BUMP(j -> Math.pow(j.measured().frequencyMHz(), 2)),
        /** Up and down over frequency: a mismatch inside. */
        RIPPLE(j -> 0);

        private final ToDoubleFunction<Judged> shape;

        Kind(ToDoubleFunction<Judged> shape) {
            this.shape = shape;
        }

        /** What one unit of it adds to a loss, dB. */
        double shape(Judged judged) {
            return shape.applyAsDouble(judged);
        }

        /** Whether it is told as such, and not by what it adds at the highest frequency. */
        boolean isPlain() {
            return this == CONTACT || this == PROPORTIONAL;
        }
    }
}
