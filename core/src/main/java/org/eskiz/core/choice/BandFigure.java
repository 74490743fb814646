package org.eskiz.core.choice;

import java.util.OptionalDouble;
import org.eskiz.core.unit.Decibels;

/** A figure of one band that something can be asked of. */
public enum BandFigure {
    /** Power at the antenna, W. */
    POWER(Limit.AT_LEAST, SpareThreshold.RELATIVE) {
        @Override
        OptionalDouble reached(BandOutcome s) {
            return OptionalDouble.of(s.radioPowerW() * Decibels.fractionLeft(s.totalLossDb()));
        }

        @Override
        OptionalDouble spareDb(double asked, BandOutcome s) {
            return OptionalDouble.of(Decibels.lossBetween(s.radioPowerW(), asked) - s.totalLossDb());
        }
    },
    /** Share of the radio's power at the antenna, percent. */
    PERCENT(Limit.AT_LEAST, SpareThreshold.RELATIVE) {
        @Override
        OptionalDouble reached(BandOutcome s) {
            return OptionalDouble.of(100 * Decibels.fractionLeft(s.totalLossDb()));
        }

        @Override
        OptionalDouble spareDb(double asked, BandOutcome s) {
            return OptionalDouble.of(Decibels.lossBetween(100, asked) - s.totalLossDb());
        }
    },
    /** Total loss: run, matching unit, reflection and foldback together, dB. */
    LOSS(Limit.AT_MOST, SpareThreshold.IN_DB) {
        @Override
        OptionalDouble reached(BandOutcome s) {
            return OptionalDouble.of(s.totalLossDb());
        }

        @Override
        OptionalDouble spareDb(double asked, BandOutcome s) {
            return OptionalDouble.of(asked - s.totalLossDb());
        }
    },
    /** Total loss below lossless, S-units. */
    S_UNITS(Limit.AT_MOST, SpareThreshold.IN_S_UNITS) {
        @Override
        OptionalDouble reached(BandOutcome s) {
            return OptionalDouble.of(s.totalLossDb() / DB_PER_S_UNIT);
        }

        @Override
        OptionalDouble spareDb(double asked, BandOutcome s) {
            return OptionalDouble.of(asked * DB_PER_S_UNIT - s.totalLossDb());
        }
    },
    /** Total loss over the antenna's gain, dB: below 0 the antenna gives back more than the cable takes. */
    LOSS_OVER_GAIN(Limit.AT_MOST, SpareThreshold.IN_DB) {
        @Override
        OptionalDouble reached(BandOutcome s) {
            OptionalDouble gain = s.band().antennaGainDbi();
            return gain.isEmpty() ? gain : OptionalDouble.of(s.totalLossDb() - gain.getAsDouble());
        }

        @Override
        OptionalDouble spareDb(double asked, BandOutcome s) {
            OptionalDouble over = reached(s);
            return over.isEmpty() ? over : OptionalDouble.of(asked - over.getAsDouble());
        }
    },
    /** What the run costs in signal over noise on receive, dB. */
    RECEIVE_PENALTY(Limit.AT_MOST, SpareThreshold.IN_DB) {
        @Override
        OptionalDouble reached(BandOutcome s) {
            return s.receivePenaltyDb();
        }

        @Override
        OptionalDouble spareDb(double asked, BandOutcome s) {
            return s.band().listening().isEmpty()
                    ? OptionalDouble.empty()
                    : OptionalDouble.of(s.band()
                                    .listening()
                                    .get()
                                    .receiver()
                                    .lossAtPenaltyDb(s.band().listening().get().externalFactor(), asked)
                            - s.throughLossDb());
        }
    },
    /** How many times over the parts bear the heat. */
    POWER_MARGIN(Limit.AT_LEAST, SpareThreshold.OF_A_RATING) {
        @Override
        OptionalDouble reached(BandOutcome s) {
            return s.margins().power();
        }
    },
    /** How many times over the parts bear the voltage. */
    VOLTAGE_MARGIN(Limit.AT_LEAST, SpareThreshold.OF_A_RATING) {
        @Override
        OptionalDouble reached(BandOutcome s) {
            return s.margins().voltageMargin();
        }
    };

    /** IARU Region 1 Technical Recommendation R.1: one S-unit is 6 dB. */
    public static final double DB_PER_S_UNIT = 6;

    private final Limit limit;
    private final SpareThreshold littleSpare;

    BandFigure(Limit limit, SpareThreshold littleSpare) {
        this.limit = limit;
        this.littleSpare = littleSpare;
    }

    Limit limit() {
        return limit;
    }

    SpareThreshold littleSpare() {
        return littleSpare;
    }

    /** Whether it speaks of what the parts bear, which takes the waves along the run to tell. */
    public boolean isMargin() {
        return this == POWER_MARGIN || this == VOLTAGE_MARGIN;
    }

    /** What stands against the number that is asked; empty where it is not known. */
    abstract OptionalDouble reached(BandOutcome s);

    /** How much more loss it would bear, dB; negative where it is missed; empty where it is no matter of loss. */
    OptionalDouble spareDb(double asked, BandOutcome s) {
        return OptionalDouble.empty();
    }
}
