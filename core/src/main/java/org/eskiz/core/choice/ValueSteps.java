package org.eskiz.core.choice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.OptionalDouble;

/**
 * Where more money stops paying: the steps from the cheapest cable to the one that loses least, none of them worse value
 * than the one after it. They are the lower hull of cost against total loss on one band.
 *
 * @param placed every row that has a place between cost and loss, the cheapest first
 * @param steps the cheapest first; each loses less than the one before
 * @param knee index of the last step that costs no more per dB than the operator would give for one; 0 where already the
 *     first costs more
 */
public record ValueSteps(List<Row> placed, List<Step> steps, int knee) {

    public ValueSteps {
        placed = List.copyOf(placed);
        steps = List.copyOf(steps);
    }

    /**
     * One step up.
     *
     * @param row where it leads
     * @param costPerDb what each dB less costs on this step, in the currency of the rows; empty for the first
     * @param costPerW what each further watt at the antenna costs; empty for the first and for a receiver
     */
    public record Step(Row row, OptionalDouble costPerDb, OptionalDouble costPerW) {}

    /**
     * The ladder of some rows.
     *
     * @param rows those of unknown cost, of another currency than the first or too lossy to be
     *     assessed have no place on it
     * @param band whose loss counts
     * @param worthPerDb what the operator would give for a dB, above 0
     */
    public static ValueSteps of(List<Row> rows, int band, double worthPerDb) {
        List<Row> placed = placed(rows, band);
        List<Row> hull = LowerHull.of(placed, Costs::amount, r -> lossDb(r, band));
        List<Step> steps = new ArrayList<>();
        int knee = 0;
        for (int i = 0; i < hull.size(); i++) {
            Step step = i == 0 ? first(hull.get(0)) : step(hull.get(i - 1), hull.get(i), band);
            if (step.costPerDb().isPresent() && step.costPerDb().getAsDouble() <= worthPerDb) {
                knee = i;
            }
            steps.add(step);
        }
        return new ValueSteps(placed, steps, knee);
    }

    private static List<Row> placed(List<Row> rows, int band) {
        return Costs.inOneCurrency(rows.stream()
                        .filter(r -> r.cells().get(band).assessment().isPresent())
                        .toList())
                .stream()
                .sorted(Comparator.comparingDouble(Costs::amount).thenComparingDouble(r -> lossDb(r, band)))
                .toList();
    }

    private static Step first(Row row) {
        return new Step(row, OptionalDouble.empty(), OptionalDouble.empty());
    }

    private static Step step(Row from, Row to, int band) {
        OptionalDouble fromW = powerW(from, band);
        OptionalDouble toW = powerW(to, band);
        return new Step(
                to,
                OptionalDouble.of(perDb(from, to, band)),
                fromW.isEmpty()
                        ? fromW
                        : OptionalDouble.of(
                                (Costs.amount(to) - Costs.amount(from)) / (toW.getAsDouble() - fromW.getAsDouble())));
    }

    private static double perDb(Row from, Row to, int band) {
        return (Costs.amount(to) - Costs.amount(from)) / (lossDb(from, band) - lossDb(to, band));
    }

    private static double lossDb(Row row, int band) {
        return row.cells().get(band).totalLossDb();
    }

    private static OptionalDouble powerW(Row row, int band) {
        return row.cells().get(band).assessment().orElseThrow().powerAtAntennaW();
    }
}
