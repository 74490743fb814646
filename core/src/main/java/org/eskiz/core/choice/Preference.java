package org.eskiz.core.choice;

import java.util.Comparator;

/** The operator's school: which of the cables that will do comes first. */
public enum Preference {
    /** The least cost that passes; a cable without a price comes after those that have one. */
    LEAST_COST(Comparator.comparing(Row::cost, Costs.KNOWN_AND_LEAST_FIRST)),
    /** The least loss inside the budget, on the band that loses most; what is over a budget fails and comes later. */
    LEAST_LOSS(Comparator.comparingDouble(Row::greatestLossDb)),
    /** The most to spare over what is asked, on the band that has least of it. */
    MOST_MARGIN(Comparator.comparingDouble((Row row) -> -row.leastSpareDb())),
    /** The most of the runs like it that would do what is asked, with all that is not known exactly. */
    SUREST(Comparator.comparingDouble((Row row) -> -row.chanceShare())),
    /** The least cost for what arrives on the band where least does; a cable without a price comes last. */
    BEST_VALUE(Comparator.comparing(Row::costOfWhatArrives, Costs.KNOWN_AND_LEAST_FIRST)),
    /** The lightest that passes; a cable of unknown mass comes last. */
    LIGHTEST(Comparator.comparingDouble((Row row) -> row.massKg().orElse(Double.POSITIVE_INFINITY)));

    private final Comparator<Row> withinVerdict;

    Preference(Comparator<Row> withinVerdict) {
        this.withinVerdict = withinVerdict;
    }

    /** By verdict, whatever the impedance; then by this school; what still ties, by margin and by name. */
    Comparator<Row> order() {
        return Comparator.comparing(Row::verdict)
                .thenComparing(withinVerdict)
                .thenComparingDouble(row -> -row.leastSpareDb())
                .thenComparing(Row::id);
    }

    /** Whether nothing dearer can come before what is already found, once something passes. */
    boolean isByCost() {
        return this == LEAST_COST;
    }
}
