package org.eskiz.core.bench;

import org.eskiz.core.unit.Require;

/** The lead that stood in for the cable while a wattmeter's baseline was read. */
public sealed interface Lead {

    /** What the baseline lacks because of it, dB. */
    double missingDb(double frequencyMHz);

    /** There was none. */
    record None() implements Lead {

        @Override
        public double missingDb(double frequencyMHz) {
            return 0;
        }
    }

    /** It stayed in for the second reading, so that it weakens both alike. */
    record StayedIn() implements Lead {

        @Override
        public double missingDb(double frequencyMHz) {
            return 0;
        }
    }

    /** It was taken out, and nobody knows what it loses. */
    record TakenOut() implements Lead {

        @Override
        public double missingDb(double frequencyMHz) {
            return 0;
        }
    }

    /** It was taken out and loses so many dB. */
    record TakenOutOfLoss(double lossDb) implements Lead {

        public TakenOutOfLoss {
            Require.notNegative("loss in dB", lossDb);
        }

        @Override
        public double missingDb(double frequencyMHz) {
            return lossDb;
        }
    }

    /** It was taken out and is a piece of cable. */
    record TakenOutOfCable(Expectation piece) implements Lead {

        @Override
        public double missingDb(double frequencyMHz) {
            return piece.lossDb(frequencyMHz);
        }
    }
}
