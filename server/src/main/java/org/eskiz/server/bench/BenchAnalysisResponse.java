package org.eskiz.server.bench;

import java.util.List;
import java.util.Map;
import org.eskiz.core.bench.Cause;
import org.eskiz.core.bench.SheetDeviation;
import org.jspecify.annotations.Nullable;

/**
 * What a test comes to.
 *
 * @param readings one for each reading, in order
 * @param figures one for each frequency: of several readings at one, their mean and the interval of all
 * @param line what a sweep tells of the line as a whole; null without one
 * @param curve loss and match over the sweep, thinned out; empty without one
 * @param severalLengths cable and connectors parted, where pieces of different lengths were read
 * @param outcome against what the type promises; null where no type is known or nothing was read
 * @param worst the figure that lies farthest off; null where there is no outcome
 * @param cause of what is lost too much; null where none can be claimed
 * @param likeTypes keys of types whose sheet these losses fit, the best first
 * @param ownCable law of a type made of the test; null where there is too little to make one
 * @param findings what the operator should know
 */
record BenchAnalysisResponse(
        List<ReadingResultResponse> readings,
        List<BenchFigureResponse> figures,
        @Nullable SweptLineResponse line,
        List<SweptPointResponse> curve,
        List<SeveralLengthsResponse> severalLengths,
        SheetDeviation.@Nullable Outcome outcome,
        @Nullable BenchFigureResponse worst,
        @Nullable CauseResponse cause,
        List<String> likeTypes,
        @Nullable OwnCableResponse ownCable,
        List<BenchFindingResponse> findings) {

    /**
     * What a reading comes to.
     *
     * @param lossDb null where there is not enough in it yet
     * @param trouble what is wrong with it, in a sentence; null for nothing
     */
    record ReadingResultResponse(
            @Nullable Double lossDb,
            @Nullable Double leastDb,
            @Nullable Double mostDb,
            @Nullable Double expectedDb,
            SheetDeviation.@Nullable Outcome outcome,
            @Nullable String trouble) {}

    /**
     * A loss at one frequency.
     *
     * @param per100mDb null where the length is not known
     * @param expectedDb null where the type or the length is not
     * @param excessDb what is lost more than expected
     * @param percentOfSheet the loss over what is expected, times 100
     */
    record BenchFigureResponse(
            double frequencyMHz,
            double lossDb,
            double leastDb,
            double mostDb,
            @Nullable Double per100mDb,
            @Nullable Double expectedDb,
            @Nullable Double allowedDb,
            @Nullable Double excessDb,
            @Nullable Double percentOfSheet,
            SheetDeviation.@Nullable Outcome outcome) {}

    /**
     * A line as a sweep shows it.
     *
     * @param lengthM by the velocity factor of its type; null where that is not known
     * @param velocityFactor by its length; null where that is not known
     * @param longestM the longest line these steps can follow, at the velocity factor of its type or 0.66
     * @param isEstimate whether it rests on one look into one end
     */
    record SweptLineResponse(
            @Nullable Double impedanceOhm,
            @Nullable Double lengthM,
            @Nullable Double velocityFactor,
            double longestM,
            boolean isEstimate) {}

    /**
     * One point of a curve.
     *
     * @param returnLossDb of the near end of a sweep through; null otherwise
     */
    record SweptPointResponse(
            double frequencyMHz,
            double lossDb,
            double plainLossDb,
            @Nullable Double returnLossDb,
            @Nullable Double per100mDb,
            @Nullable Double expectedDb) {}

    /** Cable and connectors, parted at one frequency. */
    record SeveralLengthsResponse(
            double frequencyMHz,
            double cableDbPer100m,
            double connectorsDb,
            @Nullable Double residualDb,
            @Nullable Double sheetDbPer100m) {}

    /** The likely cause, its share of the excess, and how much of it there is. */
    record CauseResponse(Cause.Kind kind, double share, double amount) {}

    /**
     * A law fitted to the losses.
     *
     * @param jointsDb what does not depend on frequency
     * @param points of the law, at the frequencies measured, for a cable type of one's own
     */
    record OwnCableResponse(
            double k1, double k2, double jointsDb, double worstResidualDb, List<OwnPointResponse> points) {}

    record OwnPointResponse(double frequencyMHz, double attenuationDbPer100m) {}

    /**
     * Something the operator should know.
     *
     * @param values the numbers and names in it, in base units; of what is impossible also {@code why}, in a sentence
     */
    record BenchFindingResponse(Code code, Map<String, Object> values) {}

    /** What a finding is about. */
    enum Code {
        /** Something is still missing. */
        MISSING,
        /** The input cannot be: said in the text. */
        IMPOSSIBLE,
        /** More through the cable than into it. */
        THROUGH_ABOVE_BASELINE,
        /** Low and high power give different losses, beyond their intervals. */
        LEVELS_DISAGREE,
        /** Connectors come out below nothing. */
        CONNECTORS_BELOW_NOTHING,
        /** A short piece loses a fixed amount far beyond its sheet. */
        SHORT_AND_LOSSY,
        /** A band lies outside the sweep. */
        BAND_NOT_SWEPT,
        /** The sweep shows gain. */
        SWEEP_GAINS,
        /** More comes out of the sweep's ports than goes in. */
        MORE_OUT_THAN_IN,
        /** It ripples all over. */
        RIPPLE_EVERYWHERE,
        /** Mismatch makes plain and matched loss differ. */
        MISMATCH_COUNTS,
        /** A wave is faster or slower in it than its type says. */
        OTHER_VELOCITY,
        /** Its impedance is not that of its type. */
        OTHER_IMPEDANCE,
        /** It rests on one look into one end. */
        ESTIMATE,
        /** The lead at the baseline stayed in. */
        LEAD_STAYED_IN,
        /** The lead was taken out, and its loss is added. */
        LEAD_TAKEN_OUT
    }
}
