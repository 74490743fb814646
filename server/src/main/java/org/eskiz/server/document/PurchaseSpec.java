package org.eskiz.server.document;

import jakarta.validation.Valid;
import org.eskiz.server.problem.Within;

/**
 * How the cable is bought.
 *
 * @param times how often the same run is needed, default 1: cost and mass multiply
 * @param readyMadeEnd price of one end made up by the seller; null where the operator fits the connectors
 */
public record PurchaseSpec(
        @Within(what = "number of runs", min = 1, max = 64) Integer times,
        @Valid MoneySpec readyMadeEnd) {}
