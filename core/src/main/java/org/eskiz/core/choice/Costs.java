package org.eskiz.core.choice;

import java.util.Comparator;
import java.util.Optional;

/** Ordering what may not be known. */
final class Costs {

    /** Amounts in one currency by amount; another currency apart from them; an unknown cost last. */
    static final Comparator<Optional<Money>> KNOWN_AND_LEAST_FIRST = Comparator.comparing(
                    (Optional<Money> m) -> m.isEmpty())
            .thenComparing(m -> m.map(x -> x.currency().getCurrencyCode()).orElse(""))
            .thenComparing(m -> m.map(x -> x.amount().doubleValue()).orElse(0.0));

    private Costs() {}
}
