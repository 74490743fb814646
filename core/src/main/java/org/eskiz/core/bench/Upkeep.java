package org.eskiz.core.bench;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;

/**
 * How a piece stands, by its tests and its outings.
 *
 * @param percentOfSheet loss at its last test as percent of what its type promises, or of its first test where the type is not
 *     known; empty where it was never tested
 * @param retireAtPercent of its sheet, at which it has had its day; empty where it was never tested
 * @param moreThanFirstDb how much more it lost at its last test than at its first, both brought to its length at the last;
 *     empty for fewer than two
 * @param isPastLimit whether it has had its day
 * @param ageing trend; empty where the tests are too few to tell
 * @param testAgain when to test it again
 */
public record Upkeep(
        OptionalDouble percentOfSheet,
        OptionalDouble retireAtPercent,
        OptionalDouble moreThanFirstDb,
        boolean isPastLimit,
        Optional<Ageing> ageing,
        TestAgain testAgain) {

    /**
     * What was measured at the reference frequency.
     *
     * @param lossDb above 0
     * @param expectedDb what its type promises for its length that day; empty where not known
     */
    public record Tested(LocalDate on, double lossDb, OptionalDouble expectedDb) {}

    /**
     * What happened to a piece.
     *
     * @param since when it was bought, or entered
     * @param tests at one frequency, in any order
     * @param outings in any order
     */
    public record History(LocalDate since, List<Tested> tests, List<TestAgain.Outing> outings) {

        public History {
            tests = tests.stream().sorted(Comparator.comparing(Tested::on)).toList();
            outings = List.copyOf(outings);
        }

        private Tested first() {
            return tests.get(0);
        }

        private Tested last() {
            return tests.get(tests.size() - 1);
        }

        /** The last day it was tested. */
        Optional<LocalDate> lastTest() {
            return tests.isEmpty() ? Optional.empty() : Optional.of(last().on());
        }

        /** What the first test would have shown at the length of the last: a new end makes a piece shorter. */
        private double firstDb() {
            return first().expectedDb().isPresent() && last().expectedDb().isPresent()
                    ? first().lossDb()
                            * last().expectedDb().getAsDouble()
                            / first().expectedDb().getAsDouble()
                    : first().lossDb();
        }

        private double percentOfSheet(Tested test) {
            return test.lossDb() / test.expectedDb().orElse(first().lossDb()) * 100;
        }
    }

    /** How a piece stands. */
    public static Upkeep of(History history, TestAgain.Intervals intervals, Ageing.RetirementLimit limit) {
        Optional<Ageing> ageing = Ageing.of(history.tests().stream()
                .map(t -> new Ageing.Test(t.on(), history.percentOfSheet(t)))
                .toList());
        boolean isTested = !history.tests().isEmpty();
        boolean isCompared = history.tests().size() > 1;
        return new Upkeep(
                isTested ? OptionalDouble.of(history.percentOfSheet(history.last())) : OptionalDouble.empty(),
                isTested
                        ? OptionalDouble.of(history.percentOfSheet(history.last()) + percentLeft(history, limit))
                        : OptionalDouble.empty(),
                isCompared ? OptionalDouble.of(history.last().lossDb() - history.firstDb()) : OptionalDouble.empty(),
                isCompared && limit.isReached(history.firstDb(), history.last().lossDb()),
                ageing,
                TestAgain.of(
                        history.lastTest(),
                        history.since(),
                        history.outings(),
                        ageing.filter(Ageing::isCertain)
                                .map(a -> new TestAgain.Trend(percentLeft(history, limit), a.percentPerYear())),
                        intervals));
    }

    /** How many percent of its sheet a piece may lose yet before it has had its day. */
    private static double percentLeft(History history, Ageing.RetirementLimit limit) {
        double leftDb = history.firstDb()
                + limit.moreThanFirstDb(history.firstDb())
                - history.last().lossDb();
        return leftDb / history.last().lossDb() * history.percentOfSheet(history.last());
    }

    /** The frequency that most tests share, the highest of them where several are shared by as many. */
    public static OptionalDouble referenceMHz(List<List<Double>> frequenciesOfTests) {
        Map<Double, Long> shared = frequenciesOfTests.stream()
                .flatMap(f -> f.stream().distinct())
                .collect(Collectors.groupingBy(f -> f, Collectors.counting()));
        return shared.entrySet().stream()
                .max(Map.Entry.<Double, Long>comparingByValue().thenComparing(Map.Entry.comparingByKey()))
                .map(e -> OptionalDouble.of(e.getKey()))
                .orElse(OptionalDouble.empty());
    }
}
