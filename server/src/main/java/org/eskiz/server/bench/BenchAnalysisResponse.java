package org.eskiz.server.bench;

import java.util.List;
import java.util.Map;
import org.eskiz.core.bench.Cause;
import org.eskiz.core.bench.SheetDeviation;
import org.eskiz.core.bench.Uncertainty;
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
 * @param causes of what is lost too much, the best first: one where the readings leave one, several where they leave rivals, none
 *     where they leave nothing
 * @param likeTypes keys of types whose sheet these losses fit, the best first
 * @param likeness how well each of them fits
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
        List<CauseResponse> causes,
        List<String> likeTypes,
        List<LikenessResponse> likeness,
        @Nullable OwnCableResponse ownCable,
        List<BenchFindingResponse> findings) {

    /**
     * What a reading comes to.
     *
     * @param lossDb null where there is not enough in it yet
     * @param uncertainty of the loss, term by term
     * @param trouble what is wrong with it, in a sentence; null for nothing
     */
    record ReadingResultResponse(
            @Nullable Double lossDb,
            @Nullable Double leastDb,
            @Nullable Double mostDb,
            @Nullable Double expectedDb,
            SheetDeviation.@Nullable Outcome outcome,
            UncertaintyResponse uncertainty,
            @Nullable String trouble) {}

    /**
     * What a figure does not know of itself: terms that are added in squares, and expanded by 2.
     *
     * @param expandedDb all together, to either side
     */
    record UncertaintyResponse(double expandedDb, List<UncertaintyTermResponse> terms) {

        static final UncertaintyResponse NOT_KEPT = new UncertaintyResponse(0, List.of());
    }

    /**
     * A term of it.
     *
     * @param standardDb standard uncertainty
     * @param expandedDb it alone, to either side
     * @param withoutDb what all others together would leave, to either side
     */
    record UncertaintyTermResponse(Uncertainty.Source source, double standardDb, double expandedDb, double withoutDb) {}

    /**
     * How well a type fits.
     *
     * @param lossPercent by how much its losses miss the sheet on the mean
     * @param velocityPercent by how much the velocity factor is off; null where it was not measured
     * @param impedancePercent likewise
     */
    record LikenessResponse(
            String key,
            double lossPercent,
            @Nullable Double velocityPercent,
            @Nullable Double impedancePercent) {}

    /**
     * A loss at one frequency.
     *
     * @param per100mDb null where the length is not known
     * @param expectedDb null where the type or the length is not
     * @param excessDb what is lost more than expected
     * @param percentOfSheet the loss over what is expected, times 100
     * @param leastPer100mDb of {@code per100mDb} as of {@code lossDb}; null where the length is not known
     * @param uncertainty of the comparison, term by term; empty in tests that were stored before it was kept
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
            SheetDeviation.@Nullable Outcome outcome,
            @Nullable Double leastPer100mDb,
            @Nullable Double mostPer100mDb,
            UncertaintyResponse uncertainty) {

        BenchFigureResponse {
            uncertainty = uncertainty == null ? UncertaintyResponse.NOT_KEPT : uncertainty;
        }
    }

    /**
     * A line as a sweep shows it.
     *
     * @param lengthM by the velocity factor of its type; null where that is not known
     * @param lengthUncertaintyM of that, to either side; null likewise
     * @param velocityFactor by its length; null where that is not known
     * @param longestM the longest line these steps can follow, at the velocity factor of its type or 0.66
     * @param isEstimate whether it rests on one look into one end
     * @param impedanceUncertaintyOhm to either side; 0 where there is no impedance
     * @param lengthUncertainty of length and velocity factor, to either side, as a share
     */
    record SweptLineResponse(
            @Nullable Double impedanceOhm,
            @Nullable Double lengthM,
            @Nullable Double lengthUncertaintyM,
            @Nullable Double velocityFactor,
            double longestM,
            boolean isEstimate,
            double impedanceUncertaintyOhm,
            double lengthUncertainty) {}

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

    /** Cable and connectors, parted at one frequency; both with what they may be off by, to either side. */
    record SeveralLengthsResponse(
            double frequencyMHz,
            double cableDbPer100m,
            double connectorsDb,
            double cableUncertaintyDbPer100m,
            double connectorsUncertaintyDb,
            @Nullable Double residualDb,
            @Nullable Double sheetDbPer100m) {}

    /**
     * A likely cause.
     *
     * @param share of the excess that it explains; below 1 where two together explain it
     * @param amount dB for a contact, share of the expected loss for what is proportional, else dB at the highest frequency
     * @param chiSquare how badly it fits; null in tests that were stored before it was kept
     */
    record CauseResponse(
            Cause.Kind kind,
            double share,
            double amount,
            @Nullable Double chiSquare) {}

    /**
     * A law fitted to the losses.
     *
     * @param jointsDb what does not depend on frequency
     * @param points of the law, at the frequencies measured, for a cable type of one's own
     */
    record OwnCableResponse(
            double k1, double k2, double jointsDb, double worstResidualDb, List<OwnPointResponse> points) {}

    /**
     * A row of a data sheet made of a test.
     *
     * @param uncertaintyDbPer100m to either side
     */
    record OwnPointResponse(double frequencyMHz, double attenuationDbPer100m, double uncertaintyDbPer100m) {}

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
        /** The sweep was measured from one side. */
        ONE_PATH,
        /** Something inside reflects. */
        CHANGE_INSIDE,
        /** Joints at the ends ripple over the sweep. */
        JOINTS_RIPPLE,
        /** The sweep cannot tell the velocity factor. */
        NO_VELOCITY,
        /** A longer piece would look like a shorter one. */
        LENGTH_MAY_WRAP,
        /** What would decide where nothing can be told. */
        WOULD_TELL,
        /** A point at 0 Hz is left out. */
        ZERO_LEFT_OUT,
        /** Points out of order were sorted. */
        SORTED,
        /** The analyser was not calibrated. */
        NOT_CALIBRATED,
        /** The lead at the baseline stayed in. */
        LEAD_STAYED_IN,
        /** The lead was taken out, and its loss is added. */
        LEAD_TAKEN_OUT
    }
}
