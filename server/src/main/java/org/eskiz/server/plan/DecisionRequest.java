package org.eskiz.server.plan;

import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import org.eskiz.server.comparison.ComparisonRequest;
import org.eskiz.server.problem.PlainText;

/**
 * A choice to be kept.
 *
 * @param id made by the client
 * @param planVersion the version of the plan that was looked at
 * @param rowId the row of the ledger that was chosen
 * @param reason in the operator's words
 */
record DecisionRequest(
        @NotNull(message = "must be given") UUID id,
        @NotNull(message = "must be given") Long planVersion,

        @NotNull(message = "must be given") @PlainText(max = ComparisonRequest.LONGEST_ROW_ID, blank = false)
        String rowId,

        @NotNull(message = "must be given") @PlainText(max = 2000)
        String reason) {}
