package org.eskiz.server.locker.cutting;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;

/**
 * Pieces to be cut from reels of one cable.
 *
 * @param cuts what is needed
 * @param reels what is at hand; null or empty for nothing
 * @param soldInM length of reels that can be bought; null where nothing is bought
 * @param allowances that every cut gets; null for none
 */
record CutPlanRequest(
        @NotNull(message = "must be given") @Size(min = 1, max = 100, message = "must be 1 to {max} cuts")
        List<@NotNull(message = "must be a cut, not null") @Valid CutRequest> cuts,

        @Size(max = 50, message = "must be at most {max} reels")
        List<@NotNull(message = "must be a reel, not null") @Valid ReelRequest> reels,

        @Within(what = "length in m", min = 0.1, max = 10_000)
        Double soldInM,

        @Valid AllowancesRequest allowances) {

    /**
     * A run to be cut for.
     *
     * @param lengthM of the run, without allowances
     * @param count default 1
     */
    record CutRequest(
            @NotNull(message = "must be given") @PlainText(max = 200, blank = false)
            String name,

            @NotNull(message = "must be given") @Within(what = "length in m", min = 0.01, max = 10_000)
            Double lengthM,

            @Within(what = "count", min = 1, max = 50) Integer count) {}

    /** A reel at hand. */
    record ReelRequest(
            @NotNull(message = "must be given") @PlainText(max = 120, blank = false)
            String name,

            @NotNull(message = "must be given") @Within(what = "length in m", min = 0.01, max = 10_000)
            Double lengthM) {}

    /** What a cut is longer than its run. */
    record AllowancesRequest(
            @Within(what = "allowance at each end in m", min = 0, max = 10)
            Double eachEndM,

            @Within(what = "drip loop in m", min = 0, max = 50)
            Double dripLoopM,

            @Within(what = "service loop in m", min = 0, max = 50)
            Double serviceLoopM) {}
}
