package org.eskiz.server.document;

import static java.util.Objects.requireNonNullElse;

import jakarta.validation.Valid;
import org.eskiz.core.choice.Allowances;
import org.eskiz.server.problem.Within;

/**
 * How the cable is bought.
 *
 * @param times how often the same run is needed, default 1: cost and mass multiply
 * @param readyMadeEnd price of one end made up by the seller; null where the operator fits the connectors
 * @param allowances what every section is cut longer than it is; null for nothing
 */
public record PurchaseSpec(
        @Within(what = "number of runs", min = 1, max = 64) Integer times,
        @Valid MoneySpec readyMadeEnd,
        @Valid AllowancesSpec allowances) {

    /**
     * Cut longer than the run; null for nothing.
     *
     * @param eachEndM for stripping and a second try, m
     * @param dripLoopM so that water runs off before the entry, m
     * @param serviceLoopM so that an end can be renewed, m
     */
    public record AllowancesSpec(
            @Within(what = "allowance at each end in m", min = 0, max = 10)
            Double eachEndM,

            @Within(what = "drip loop in m", min = 0, max = 50)
            Double dripLoopM,

            @Within(what = "service loop in m", min = 0, max = 50)
            Double serviceLoopM) {

        public Allowances allowances() {
            return new Allowances(
                    requireNonNullElse(eachEndM, 0.0),
                    requireNonNullElse(dripLoopM, 0.0),
                    requireNonNullElse(serviceLoopM, 0.0));
        }
    }
}
