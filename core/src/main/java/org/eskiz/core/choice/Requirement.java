package org.eskiz.core.choice;

import org.eskiz.core.run.RunAssessment;
import org.eskiz.core.unit.Decibels;
import org.eskiz.core.unit.Require;

/** What the operator asks of a run on a band, in the terms that the operator thinks in. */
public sealed interface Requirement {

    /** Met with less than this to spare, a requirement in watts or percent is met only just. */
    double LITTLE_SPARE_RELATIVE = 0.05;

    /** Met with less than this to spare, a requirement in dB is met only just. */
    double LITTLE_SPARE_DB = 0.2;

    /** The number that is asked for, in the requirement's own unit. */
    double asked();

    /** The figure that stands against it at a total loss, in the same unit. */
    double reached(double totalLossDb, RunAssessment assessment);

    /** Whether a figure meets the requirement. */
    boolean isMetBy(double reached);

    /** Whether a figure that meets the requirement meets it only just. */
    boolean isLittleToSpare(double reached);

    /** How much more loss the requirement would bear, dB; negative when it is missed by so much. */
    double spareDb(RunAssessment assessment);

    /**
     * At least so much power at the antenna.
     *
     * @param watts above 0
     */
    record LeastPower(double watts) implements Requirement {

        public LeastPower {
            Require.positive("least power in W", watts);
        }

        @Override
        public double asked() {
            return watts;
        }

        @Override
        public double reached(double totalLossDb, RunAssessment assessment) {
            return radioPowerW(assessment) * Decibels.fractionLeft(totalLossDb);
        }

        @Override
        public boolean isMetBy(double reached) {
            return reached >= watts;
        }

        @Override
        public boolean isLittleToSpare(double reached) {
            return reached - watts < LITTLE_SPARE_RELATIVE * watts;
        }

        @Override
        public double spareDb(RunAssessment assessment) {
            return Decibels.lossBetween(radioPowerW(assessment), watts) - assessment.totalLossDb();
        }

        private static double radioPowerW(RunAssessment assessment) {
            return assessment
                    .radio()
                    .powerW()
                    .orElseThrow(() -> new IllegalArgumentException(
                            "least power cannot be asked of a receiver: ask for a percentage or for dB"));
        }
    }

    /**
     * No more than so much total loss: run, matching unit, reflection and foldback together.
     *
     * @param lossDb at least 0
     */
    record MostLoss(double lossDb) implements Requirement {

        public MostLoss {
            Require.notNegative("most loss in dB", lossDb);
        }

        @Override
        public double asked() {
            return lossDb;
        }

        @Override
        public double reached(double totalLossDb, RunAssessment assessment) {
            return totalLossDb;
        }

        @Override
        public boolean isMetBy(double reached) {
            return reached <= lossDb;
        }

        @Override
        public boolean isLittleToSpare(double reached) {
            return lossDb - reached < LITTLE_SPARE_DB;
        }

        @Override
        public double spareDb(RunAssessment assessment) {
            return lossDb - assessment.totalLossDb();
        }
    }

    /**
     * At least so much of the radio's power at the antenna.
     *
     * @param percent above 0, at most 100
     */
    record LeastPercent(double percent) implements Requirement {

        public LeastPercent {
            Require.positive("least percent", percent);
            if (percent > 100) {
                throw new IllegalArgumentException("least percent must be at most 100, not " + percent);
            }
        }

        @Override
        public double asked() {
            return percent;
        }

        @Override
        public double reached(double totalLossDb, RunAssessment assessment) {
            return 100 * Decibels.fractionLeft(totalLossDb);
        }

        @Override
        public boolean isMetBy(double reached) {
            return reached >= percent;
        }

        @Override
        public boolean isLittleToSpare(double reached) {
            return reached - percent < LITTLE_SPARE_RELATIVE * percent;
        }

        @Override
        public double spareDb(RunAssessment assessment) {
            return Decibels.lossBetween(100, percent) - assessment.totalLossDb();
        }
    }
}
