package org.eskiz.core.choice;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** Costs that may not be known, put in order and held against each other. */
final class Costs {

    /** Amounts in one currency by amount; another currency apart from them; an unknown cost last. */
    static final Comparator<Optional<Money>> KNOWN_AND_LEAST_FIRST = Comparator.comparing(
                    (Optional<Money> m) -> m.isEmpty())
            .thenComparing(m -> m.map(x -> x.currency().getCurrencyCode()).orElse(""))
            .thenComparing(m -> m.map(x -> x.amount().doubleValue()).orElse(0.0));

    private Costs() {}

    /** Rows of known cost in the currency of the first of them. */
    static List<Row> inOneCurrency(List<Row> rows) {
        List<Row> known = rows.stream().filter(r -> r.cost().isPresent()).toList();
        Optional<Money> first = known.stream().findFirst().flatMap(Row::cost);
        return known.stream()
                .filter(r -> r.cost().get().currency().equals(first.get().currency()))
                .toList();
    }

    /** Of a row of known cost. */
    static double amount(Row row) {
        return row.cost().orElseThrow().amount().doubleValue();
    }
}
