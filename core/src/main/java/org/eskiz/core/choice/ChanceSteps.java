package org.eskiz.core.choice;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;

/**
 * What more certainty costs: the steps from the cheapest cable to the surest, none of them dearer for what it adds than the one after
 * it. They are the lower hull of cost against the runs that would not pass.
 *
 * @param steps the cheapest first; each surer than the one before
 */
public record ChanceSteps(List<Step> steps) {

    public ChanceSteps {
        steps = List.copyOf(steps);
    }

    /**
     * One step up.
     *
     * @param row where it leads
     * @param passing how many of twenty runs like it would pass
     * @param costOfStep what it costs more than the step before, in the currency of the rows; empty for the first
     * @param costPerMore of that, for each more of twenty
     */
    public record Step(Row row, int passing, OptionalDouble costOfStep, OptionalDouble costPerMore) {

        private static Step first(Row row) {
            return new Step(row, ofTwenty(row), OptionalDouble.empty(), OptionalDouble.empty());
        }

        private static Step up(Row from, Row to) {
            Surer surer = Surer.of(from, to);
            return new Step(
                    to, ofTwenty(to), OptionalDouble.of(surer.cost()), OptionalDouble.of(surer.cost() / surer.more()));
        }
    }

    /**
     * A cable that would pass more often than another.
     *
     * @param more of twenty
     * @param cost how much more it costs
     */
    public record Surer(Row row, int more, double cost) {

        private static Surer of(Row from, Row to) {
            return new Surer(to, ofTwenty(to) - ofTwenty(from), Costs.amount(to) - Costs.amount(from));
        }
    }

    /**
     * Of some rows.
     *
     * @param rows with their chance; those of unknown cost, or of another currency than the first, have no place on it
     */
    public static ChanceSteps of(List<Row> rows) {
        List<Row> placed = Costs.inOneCurrency(rows).stream()
                .sorted(Comparator.comparingDouble(Costs::amount).thenComparingInt(r -> -ofTwenty(r)))
                .toList();
        List<Row> hull = LowerHull.of(placed, Costs::amount, r -> Chance.TOLD_OF - ofTwenty(r));
        return new ChanceSteps(IntStream.range(0, hull.size())
                .mapToObj(i -> i == 0 ? Step.first(hull.get(0)) : Step.up(hull.get(i - 1), hull.get(i)))
                .toList());
    }

    /** The next step up from a row, wherever that stands; empty where none is surer for more, or their costs cannot be compared. */
    public Optional<Surer> above(Row row) {
        return steps.stream()
                .map(Step::row)
                .filter(to -> Costs.inOneCurrency(List.of(row, to)).size() == 2)
                .map(to -> Surer.of(row, to))
                .filter(s -> s.more() > 0 && s.cost() > 0)
                .findFirst();
    }

    private static int ofTwenty(Row row) {
        return Chance.passing(row.chanceShare());
    }
}
