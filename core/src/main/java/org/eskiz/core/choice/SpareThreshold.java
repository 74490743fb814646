package org.eskiz.core.choice;

/** When a requirement that is met is met only just. */
enum SpareThreshold {
    /** Watts, percent, money, mass, lengths: under 5 % to spare. */
    RELATIVE {
        @Override
        boolean is(double asked, double reached, double spare) {
            return spare < 0.05 * Math.abs(asked);
        }
    },
    /** Under 0.2 dB to spare. */
    IN_DB {
        @Override
        boolean is(double asked, double reached, double spare) {
            return spare < 0.2;
        }
    },
    /** The same in S-units of 6 dB. */
    IN_S_UNITS {
        @Override
        boolean is(double asked, double reached, double spare) {
            return spare < 0.2 / BandFigure.DB_PER_S_UNIT;
        }
    },
    /** A rating margin under 1.5, or under 5 % above what is asked. */
    OF_A_RATING {
        @Override
        boolean is(double asked, double reached, double spare) {
            return reached < AMPLE_RATING || RELATIVE.is(asked, reached, spare);
        }
    },
    /** What is met is met: yes or no, or a temperature, which has no zero to take percents of. */
    NEVER {
        @Override
        boolean is(double asked, double reached, double spare) {
            return false;
        }
    };

    /** From here on nothing is said of what a part bears: ratings are of new parts, and hot spots are never known. */
    static final double AMPLE_RATING = 1.5;

    abstract boolean is(double asked, double reached, double spare);
}
