package org.eskiz.core.choice;

import java.util.Currency;
import java.util.Optional;

/**
 * How the cable is bought.
 *
 * @param times how often the same run is needed, at least 1: cost and mass multiply
 * @param readyMadeEnd price of one end made up by the seller, in place of the connector's; empty where the operator fits them
 * @param budgetIn the currency in which a budget is meant; empty for that of the prices, whichever it is
 * @param currency in which it is paid; empty for that of the first price
 * @param allowances what is cut longer than the run
 */
public record Purchase(
        int times,
        Optional<Money> readyMadeEnd,
        Optional<Currency> budgetIn,
        Optional<Currency> currency,
        Allowances allowances) {

    /** One run, its ends fitted by the operator. */
    public static final Purchase ONCE = new Purchase(1, Optional.empty(), Optional.empty());

    /** Cut to the length of the run. */
    public Purchase(int times, Optional<Money> readyMadeEnd, Optional<Currency> budgetIn) {
        this(times, readyMadeEnd, budgetIn, Optional.empty(), Allowances.NONE);
    }

    public Purchase {
        if (times < 1) {
            throw new IllegalArgumentException("a run is needed at least once, not " + times + " times");
        }
    }

    /** The currency of a list: the one it is paid in, or that of its first price. */
    Optional<Currency> currencyOf(ShoppingList list) {
        return currency.or(() -> list.items().stream()
                .flatMap(b -> b.amount().stream())
                .map(Money::currency)
                .findFirst());
    }
}
