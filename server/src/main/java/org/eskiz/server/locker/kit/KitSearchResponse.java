package org.eskiz.server.locker.kit;

import java.util.List;
import java.util.UUID;
import org.eskiz.core.kit.Eligibility;
import org.eskiz.core.kit.KitPreference;
import org.eskiz.server.comparison.ComparisonResponse;
import org.eskiz.server.document.RunElement;
import org.eskiz.server.locker.PieceSummary;
import org.jspecify.annotations.Nullable;

/**
 * The kits that were found.
 *
 * @param wantedM length that was wanted
 * @param frequencyMHz of the band that decides: the highest
 * @param kits each once, with all that it is best in
 * @param shortByM by how much the longest run that can be made is too short; null where one is long enough
 * @param leftOut pieces that could not be used, and why
 * @param setsTried how many sets of pieces were weighed
 */
record KitSearchResponse(
        double wantedM,
        double frequencyMHz,
        List<FoundKitResponse> kits,
        @Nullable Double shortByM,
        List<LeftOutResponse> leftOut,
        long setsTried) {

    /**
     * A kit.
     *
     * @param bestIn what it is best in
     * @param provenIn of that, where nothing better can be made of the pieces
     * @param run the whole run with the kit in it, to be put into a plan
     * @param lossDb of pieces and couplings, on the band that decides
     * @param massKg of its pieces; null where that of one is not known
     * @param row what the ledger says of it
     */
    record FoundKitResponse(
            List<KitPreference> bestIn,
            List<KitPreference> provenIn,
            List<LaidResponse> pieces,
            List<RunElement> run,
            double lengthM,
            double leftOverM,
            double lossDb,
            @Nullable Double massKg,
            int matedPairs,
            List<PackedAdapterResponse> adapters,
            @Nullable SpareResponse spare,
            ComparisonResponse.RowResponse row) {}

    /**
     * A piece in its place.
     *
     * @param turned whether its far end points to the radio
     * @param lossDb without joints, on the band that decides
     * @param isMeasured whether that rests on a test of it rather than on its type
     */
    record LaidResponse(
            UUID pieceId, String label, double lengthM, boolean turned, double lossDb, boolean isMeasured) {}

    /** Adapters of one kind: so many are needed; pack one more. */
    record PackedAdapterResponse(PieceSummary.EndResponse near, PieceSummary.EndResponse far, int count) {}

    /** A piece that could stand in for any of the kit. */
    record SpareResponse(UUID pieceId, String label, double lengthM) {}

    /** A piece that could not be used. */
    record LeftOutResponse(UUID pieceId, String label, Eligibility.Exclusion why) {}
}
