package org.eskiz.server.comparison;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;

/**
 * What would change the answer of a comparison.
 *
 * @param rowId the row to start from
 * @param band position of the band in focus, from 0
 */
public record ChangesRequest(
        @NotNull(message = "must be given") @Valid ComparisonRequest comparison,

        @NotNull(message = "must be given") @PlainText(max = ComparisonRequest.LONGEST_ROW_ID)
        String rowId,

        @NotNull(message = "must be given") @Within(what = "band", min = 0, max = 63)
        Integer band) {}
