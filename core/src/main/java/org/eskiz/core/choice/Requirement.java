package org.eskiz.core.choice;

import java.util.OptionalDouble;
import java.util.OptionalInt;

/** What the operator asks, in the terms that the operator thinks in. */
public sealed interface Requirement {

    /** The number that is asked for, in the figure's own unit; 1 for a plain yes. */
    double threshold();

    /** Whether a figure meets it. */
    boolean isMetBy(double reached);

    /** Whether a figure that meets it meets it only just. */
    boolean isLittleToSpare(double reached);

    /**
     * Asked of what arrives on a band.
     *
     * @param band index of the only band it is asked of; empty for every band
     */
    record OnBand(BandFigure figure, double threshold, OptionalInt band) implements Requirement {

        public OnBand {
            requireNumber(threshold);
        }

        /** Asked of every band. */
        public OnBand(BandFigure figure, double threshold) {
            this(figure, threshold, OptionalInt.empty());
        }

        boolean isAskedOf(int index) {
            return band.isEmpty() || band.getAsInt() == index;
        }

        @Override
        public boolean isMetBy(double reached) {
            return figure.limit().isMet(threshold, reached);
        }

        @Override
        public boolean isLittleToSpare(double reached) {
            return figure.littleSpare().is(threshold, reached, figure.limit().spare(threshold, reached));
        }

        OptionalDouble spareDb(BandOutcome standing) {
            return figure.spareDb(threshold, standing);
        }
    }

    /** Asked by the place or the purse, of the run as a whole. */
    record OfRun(RunFigure figure, double threshold) implements Requirement {

        public OfRun {
            requireNumber(threshold);
        }

        /** A plain yes. */
        public OfRun(RunFigure figure) {
            this(figure, 1);
        }

        @Override
        public boolean isMetBy(double reached) {
            return figure.limit().isMet(threshold, reached);
        }

        @Override
        public boolean isLittleToSpare(double reached) {
            return figure.littleSpare().is(threshold, reached, figure.limit().spare(threshold, reached));
        }
    }

    private static void requireNumber(double threshold) {
        if (!Double.isFinite(threshold)) {
            throw new IllegalArgumentException("what is asked must be a number, not " + threshold);
        }
    }
}
