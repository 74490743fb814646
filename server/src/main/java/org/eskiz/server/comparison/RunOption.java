package org.eskiz.server.comparison;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.core.choice.Money;
import org.eskiz.core.choice.Verdict;

/**
 * One way to build a run, as far as buying goes.
 *
 * @param rowId of its ledger
 * @param cuts what is cut for it
 * @param others what else is bought, without a price where nobody knows it
 * @param piece of the locker that lies in its sections; empty for none
 */
public record RunOption(
        String rowId,
        String name,
        Verdict verdict,
        List<CutOfCable> cuts,
        List<Optional<Money>> others,
        Optional<UUID> piece) {

    /**
     * A length of cable to be cut, allowances included.
     *
     * @param cableKey null for a cable written out
     * @param pricePerM empty where not known
     * @param soldInM null where it is sold by the metre
     */
    public record CutOfCable(
            String cableKey, String cableName, double lengthM, Optional<Money> pricePerM, Double soldInM) {}
}
