package org.eskiz.server.comparison;

import org.eskiz.core.choice.Reach;
import org.eskiz.core.run.Matching;
import org.eskiz.server.comparison.ComparisonResponse.RowResponse;
import org.jspecify.annotations.Nullable;

/**
 * What would change the answer, seen from one row.
 *
 * @param nextCheaper the dearest of what costs less
 * @param shortening the least that the run would have to be shorter for the next cheaper to get through
 * @param stepUp the cheapest of what loses less and costs more
 * @param farthest how far the row goes; null where it fails already, or nothing is asked that length could miss
 * @param highest up to which frequency the row does what is asked of the highest band; null where it fails already, nothing is
 *     asked, it is used beyond a data sheet already, or no frequency that anybody plans for is too high
 * @param matchingMoved what moving the matching unit would do; null where there is none
 */
public record ChangesResponse(
        @Nullable RowResponse nextCheaper,
        @Nullable ShorteningResponse shortening,
        @Nullable StepUpResponse stepUp,
        @Nullable FarthestResponse farthest,
        @Nullable HighestResponse highest,
        @Nullable MatchingMovedResponse matchingMoved) {

    /**
     * A shorter run.
     *
     * @param toM length of what is up for choice
     * @param row the next cheaper at that length
     */
    public record ShorteningResponse(double toM, RowResponse row) {}

    /**
     * A better cable, and what else would bring as much.
     *
     * @param onTransmitDb less lost on the band in focus
     * @param onReceiveDb smaller penalty there; null where nothing is known of the noise
     * @param powerInsteadW radio power that would bring as much; null for a receiver
     */
    public record StepUpResponse(
            RowResponse row,
            double onTransmitDb,
            @Nullable Double onReceiveDb,
            @Nullable Double powerInsteadW) {}

    /**
     * How far the row goes.
     *
     * @param band position of the band that fails first; null for cost or mass
     */
    public record FarthestResponse(@Nullable Integer band, Reach.Kind kind, double lengthM) {}

    /**
     * Up to where the row does.
     *
     * @param endOfSheet whether no more than a data sheet ends there
     */
    public record HighestResponse(double frequencyMHz, boolean endOfSheet) {}

    /**
     * The matching unit at the other end.
     *
     * @param row the row as it then is
     * @param first what would then be first of those that get through; null where nothing does
     */
    public record MatchingMovedResponse(
            Matching to, RowResponse row, @Nullable RowResponse first) {}
}
