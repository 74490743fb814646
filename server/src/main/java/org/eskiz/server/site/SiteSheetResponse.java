package org.eskiz.server.site;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.comparison.RunSheetResponse;
import org.eskiz.server.plan.PlanSketch;
import org.jspecify.annotations.Nullable;

/**
 * All runs of a site together.
 *
 * @param ducts one for each that the document states, in order
 * @param phased likewise
 */
record SiteSheetResponse(
        List<SiteRunResponse> runs, List<DuctResponse> ducts, SiteTotalsResponse totals, List<PhasedResponse> phased) {

    /**
     * A run.
     *
     * @param isFinished whether it can be assessed as it stands; else there is nothing of the rest
     * @param sketch it drawn small; null where nothing of it can be assessed
     * @param isArrested whether an arrestor stands in it
     * @param toBuy everything that the operator does not own
     */
    record SiteRunResponse(
            UUID planId,
            String name,
            boolean isFinished,
            @Nullable PlanSketch sketch,
            boolean isArrested,
            List<SiteLineResponse> lines,
            List<RunSheetResponse.ToBuyResponse> toBuy,
            @Nullable Double massKg,
            @Nullable Double onMastKg) {}

    /**
     * A line of a run.
     *
     * @param cutM with allowances and reserve; its own length for what is there
     */
    record SiteLineResponse(
            int element,
            String name,
            @Nullable String cableKey,
            double lengthM,
            double cutM,
            boolean isOwned,
            @Nullable Double outerDiameterMm) {}

    /**
     * A duct.
     *
     * @param roomMm diameter of the thickest cable that could still be drawn in; 0 for none
     * @param unknown names of runs whose cable has no known diameter, so that they are not counted
     */
    record DuctResponse(
            String id,
            double sharePercent,
            double mostSharePercent,
            double roomMm,
            boolean isOverfilled,
            List<String> unknown) {}

    /**
     * What all of it comes to.
     *
     * @param cables by type
     * @param parts connectors and all else, by name
     * @param hours null where nobody has said how long anything takes
     * @param unpriced names of what has no price
     */
    record SiteTotalsResponse(
            List<SiteCableResponse> cables,
            List<SitePartResponse> parts,
            @Nullable Double hours,
            @Nullable Double massKg,
            @Nullable Double onMastKg,
            List<String> unpriced) {}

    /** So much of a cable in all runs, allowances and reserve included. */
    record SiteCableResponse(String name, double cutM) {}

    /** So many of a part in all runs. */
    record SitePartResponse(String name, int count) {}

    /**
     * Two lines that are fed in phase.
     *
     * @param whyNot null where it is known
     * @param firstM length of all its lines
     * @param differenceDegrees by which the first is electrically longer
     * @param errorDegrees how far that is off what is wanted, to the nearest turn
     * @param toleranceDegrees by how much it may be off for what nobody knows exactly
     * @param secondShouldM the length of the second at which it is right
     * @param driftDegrees by the stated difference in temperature
     * @param isSameCable whether both are of one cable; only then is anything of their velocity factors the same
     * @param trim what to cut off after both were measured; null before
     */
    record PhasedResponse(
            String id,
            @Nullable String whyNot,
            @Nullable Double firstM,
            @Nullable Double secondM,
            @Nullable Double differenceDegrees,
            @Nullable Double errorDegrees,
            @Nullable Double toleranceDegrees,
            @Nullable Double secondShouldM,
            @Nullable Double driftDegrees,
            @Nullable TrimResponse trim,
            boolean isSameCable) {}

    /** What to cut off. */
    record TrimResponse(
            @Schema(description = "whether the first line is the one that is too long")
            boolean ofFirst,

            double cutMm,
            double errorDegrees) {}
}
