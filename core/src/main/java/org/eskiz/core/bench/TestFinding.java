package org.eskiz.core.bench;

import java.util.List;

/** What an operator should know about a test. */
public sealed interface TestFinding {

    /** What is still wanted. */
    enum Wanted {
        THROUGH_SWEEP,
        ONE_END_SWEEP,
        LEAD,
        TYPE,
        LENGTH
    }

    /** Something is still missing. */
    record Missing(Wanted wanted) implements TestFinding {}

    /** No line can be made of the sweeps. */
    record Impossible(SweepException why) implements TestFinding {}

    /** A sweep is not to be believed as it stands. */
    record Doubted(SweepDoubt doubt) implements TestFinding {}

    /**
     * It rests on one look into one end.
     *
     * @param isOpenMissing whether that with the far end open is wanted, else the shorted one
     */
    record Estimate(boolean isOpenMissing) implements TestFinding {}

    /** Its impedance is not that of its type. */
    record OtherImpedance(double measuredOhm, double typeOhm) implements TestFinding {}

    /**
     * A wave is faster or slower in it than in its type.
     *
     * @param lengthByTypeM how long it would be if it were of its type
     */
    record OtherVelocity(double measured, double promised, double lengthByTypeM, double statedM)
            implements TestFinding {}

    /**
     * The sweep cannot tell the velocity factor.
     *
     * @param measured what it would come to
     * @param uncertainty of that, expanded, as a share
     */
    record NoVelocity(double measured, double uncertainty) implements TestFinding {}

    /** A longer piece than this would look like a shorter one: its length is to be stated. */
    record LengthMayWrap(double longestM) implements TestFinding {}

    /**
     * What joints reflect at both ends ripples over the sweep.
     *
     * @param heightDb from its least to its most
     * @param apartMHz from one top to the next
     */
    record JointsRipple(double heightDb, double apartMHz) implements TestFinding {}

    /** What would decide where nothing can be told. */
    record WouldTell(Remedy remedy, double frequencyMHz) implements TestFinding {}

    /** What can be done. */
    enum Remedy {
        /** The baseline once more after the reading through the cable. */
        BASELINE_AGAIN,
        /** More power, or a smaller range, so that the last digit counts for less. */
        MORE_POWER,
        /** Reading until it stands still. */
        STEADY_READING,
        /** Two levels that read alike. */
        ALIKE_LEVELS,
        /** Joints entered as they are. */
        ENTER_JOINTS,
        /** Open and shorted both. */
        BOTH_ENDS,
        /** A slower sweep, or one of less bandwidth. */
        QUIETER_SWEEP,
        /** A higher frequency, where the cable loses more; the number says from where on. */
        HIGHER_BAND
    }

    /** The sweep was measured from one side; the cable is taken as the same from both. */
    record OnePath() implements TestFinding {}

    /**
     * Something inside reflects: a kink, a crush, water, another cable.
     *
     * @param returnLossDb of it alone
     */
    record ChangeInside(double distanceM, double returnLossDb) implements TestFinding {}

    /** Bands lie outside the sweep, which goes from one frequency to another. */
    record BandNotSwept(List<Double> bandsMHz, double fromMHz, double toMHz) implements TestFinding {

        public BandNotSwept {
            bandsMHz = List.copyOf(bandsMHz);
        }
    }

    /** More came through the cable than went into it. */
    record ThroughAboveBaseline(double frequencyMHz) implements TestFinding {}

    /** Two readings at one frequency are farther apart than they may be wrong. */
    record LevelsDisagree(double frequencyMHz, double oneDb, double otherDb) implements TestFinding {}

    /** Of pieces of several lengths the connectors come out below nothing. */
    record ConnectorsBelowNothing(double frequencyMHz, double connectorsDb) implements TestFinding {}

    /** A short piece loses a fixed amount far beyond its sheet. */
    record ShortAndLossy(double excessDb, double lengthM) implements TestFinding {}

    /** The lead of the baseline stayed in. */
    record LeadStayedIn() implements TestFinding {}

    /** It was taken out, and its loss is added. */
    record LeadTakenOut(double leadDb, double frequencyMHz) implements TestFinding {}
}
