package org.eskiz.server.comparison;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.eskiz.server.document.Ranges;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;

/**
 * Candidates over frequency or over length.
 *
 * @param comparison the ledger that the rows belong to
 * @param rowIds rows that are wanted
 * @param overFrequency either this
 * @param overLength or this
 */
public record SweepRequest(
        @NotNull(message = "must be given") @Valid ComparisonRequest comparison,

        @NotNull(message = "must be given") @Size(min = 1, max = 8, message = "must be 1 to 8 rows")
        List<@NotNull(message = "must be a row, not null") @PlainText(max = ComparisonRequest.LONGEST_ROW_ID) String>
                rowIds,

        @Valid OverFrequency overFrequency,
        @Valid OverLength overLength) {

    static final int LEAST_POINTS = 2;
    static final int MOST_POINTS = 401;

    /** Evenly by ratio, both ends in it. */
    public record OverFrequency(
            @NotNull(message = "must be given") @Within(what = Ranges.FREQUENCY, min = 0.1, max = 30_000)
            Double fromMHz,

            @NotNull(message = "must be given") @Within(what = Ranges.FREQUENCY, min = 0.1, max = 30_000)
            Double toMHz,

            @NotNull(message = "must be given") @Within(what = "points", min = LEAST_POINTS, max = MOST_POINTS)
            Integer points) {}

    /**
     * From nothing to a length of the sections together, evenly.
     *
     * @param band position of the band in the request, from 0
     */
    public record OverLength(
            @NotNull(message = "must be given") @Within(what = "band", min = 0, max = 63)
            Integer band,

            @NotNull(message = "must be given") @Within(what = Ranges.LENGTH, min = 0.1, max = 10_000)
            Double toM,

            @NotNull(message = "must be given") @Within(what = "points", min = LEAST_POINTS, max = MOST_POINTS)
            Integer points) {}
}
