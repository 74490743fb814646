package org.eskiz.core.bench;

import java.util.Optional;
import org.eskiz.core.cable.Bump;
import org.eskiz.core.cable.InsertionLoss;

/**
 * A mated pair or an adapter within what was measured, as in a plan: its pad is heat, its bump is reflection.
 *
 * @param bump empty where it is of constant impedance
 */
public record TestJoint(InsertionLoss pad, Optional<Bump> bump) {

    /** Where most measuring is done, Ω. */
    private static final double BENCH_OHM = 50;

    /** Of constant impedance. */
    public static TestJoint of(InsertionLoss pad) {
        return new TestJoint(pad, Optional.empty());
    }

    /** As a wattmeter sees it: what it turns into heat, and what it sends back. */
    InsertionLoss seenByPower() {
        return bump.<InsertionLoss>map(b -> new WithBump(pad, b, 1)).orElse(pad);
    }

    /** One of two as a wattmeter sees it, where the two reflect toward each other at the worst phase: twice of what each does. */
    InsertionLoss seenAtWorst() {
        return bump.<InsertionLoss>map(b -> new WithBump(pad, b, 2)).orElse(pad);
    }

    /** What it sends back alone, dB. */
    double reflectedDb(double frequencyMHz) {
        return bump.map(b -> b.reflectedDb(frequencyMHz, BENCH_OHM)).orElse(0.0);
    }

    private record WithBump(InsertionLoss pad, Bump bump, double times) implements InsertionLoss {

        @Override
        public double lossDb(double frequencyMHz) {
            return pad.lossDb(frequencyMHz) + times * bump.reflectedDb(frequencyMHz, BENCH_OHM);
        }

        @Override
        public boolean isExtrapolatedAt(double frequencyMHz) {
            return pad.isExtrapolatedAt(frequencyMHz);
        }
    }
}
