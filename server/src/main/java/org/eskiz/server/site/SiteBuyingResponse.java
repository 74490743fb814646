package org.eskiz.server.site;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What to buy for all runs of a site.
 *
 * @param currency in which all of it is counted
 * @param together the cheapest for all runs at once; null where a cut is longer than anything that its cables come in
 * @param apart the best for each run by itself, as if there were no other; null likewise
 * @param oneForAll one cable for all runs; null where no cable would do for all
 * @param leftOut runs that are not counted, and why
 * @param unpriced names of parts without a price in this currency, which are not counted
 */
record SiteBuyingResponse(
        String currency,
        @Nullable SiteAnswerResponse together,
        @Nullable SiteAnswerResponse apart,
        @Nullable SiteAnswerResponse oneForAll,
        List<RunLeftOutResponse> leftOut,
        List<String> unpriced) {

    /**
     * One way to buy.
     *
     * @param cost cable, connectors and all else
     */
    record SiteAnswerResponse(
            double cost,

            @Schema(description = "whether nothing is cheaper; else the best that was found in time")
            boolean proven,

            List<SiteChoiceResponse> choices,
            List<SiteBoughtResponse> bought) {}

    /** What is taken for a run. */
    record SiteChoiceResponse(UUID planId, String rowId, String name, boolean isPiece) {}

    /**
     * A cable that is bought.
     *
     * @param neededM all cuts, allowances and reserve included
     * @param boughtM by the metre or in the lengths it is sold in
     * @param soldInM null where it is sold by the metre
     * @param reels whole ones that are on offer
     * @param reelM length of one; null where none is on offer
     */
    record SiteBoughtResponse(
            String name,
            @Nullable String cableKey,
            double neededM,
            double boughtM,
            @Nullable Double soldInM,
            int reels,
            @Nullable Double reelM,
            List<SiteCutResponse> cuts) {}

    /** A cut, allowances and reserve included. */
    record SiteCutResponse(UUID planId, String run, double lengthM) {}

    /** A run that is not counted. */
    record RunLeftOutResponse(UUID planId, String name, String why) {}
}
