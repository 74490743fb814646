package org.eskiz.server.comparison;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import org.eskiz.server.document.PurchaseSpec;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;

/**
 * A row of a ledger to be built.
 *
 * @param comparison the ledger
 * @param rowId the row
 * @param eachEndM cut longer at either end, m; where this or one of the next is given, they stand in place of the
 *     allowances of the purchase
 * @param dripLoopM cut longer for the drip loop, m; default 0
 * @param serviceLoopM cut longer for the service loop, m; default 0
 */
public record RunSheetRequest(
        @NotNull(message = "must be given") @Valid ComparisonRequest comparison,

        @NotNull(message = "must be given") @PlainText(max = ComparisonRequest.LONGEST_ROW_ID)
        String rowId,

        @Within(what = "allowance at each end in m", min = 0, max = 10)
        Double eachEndM,

        @Within(what = "drip loop in m", min = 0, max = 50) Double dripLoopM,

        @Within(what = "service loop in m", min = 0, max = 50)
        Double serviceLoopM) {

    /** The ledger with the allowances of the request, where it states any. */
    ComparisonRequest asked() {
        if (comparison == null || eachEndM == null && dripLoopM == null && serviceLoopM == null) {
            return comparison;
        }
        PurchaseSpec as = comparison.purchase() == null ? new PurchaseSpec(null, null, null) : comparison.purchase();
        var allowances = new PurchaseSpec.AllowancesSpec(eachEndM, dripLoopM, serviceLoopM);
        return comparison.boughtAs(new PurchaseSpec(as.times(), as.readyMadeEnd(), allowances));
    }
}
