package org.eskiz.core.bench;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.eskiz.core.unit.Require;
import org.hipparchus.stat.descriptive.rank.Median;

/**
 * How one piece ages: its tests over time, each as percent of its sheet at one frequency. The slope is Theil and Sen's, the
 * median of the slopes between any two tests, so that a single bad reading does not bend it.
 *
 * @param percentPerYear slope, in percent of the sheet's loss a year; above 0 for a piece that gets worse
 * @param percentAtLastTest where the line stands on the day of the last test: through the median of what each test says of it
 * @param interval of the slope, 95 %; empty for fewer than five tests
 */
public record Ageing(double percentPerYear, double percentAtLastTest, Optional<Interval> interval) {

    private static final int FEWEST_TESTS = 3;
    private static final int FEWEST_FOR_AN_INTERVAL = 5;
    private static final int FEWEST_DAYS = 60;
    private static final double DAYS_PER_YEAR = 365.25;

    /** Of the normal distribution, for 95 %. */
    private static final double Z = 1.96;

    /** Whether it goes one way for sure; where its interval spans zero, no date can be made of it. */
    public boolean isCertain() {
        return interval.map(i -> i.least > 0 || i.most < 0).orElse(true);
    }

    /** From the least slope to the most, in percent a year. */
    public record Interval(double least, double most) {}

    /**
     * A test.
     *
     * @param on its day
     * @param percentOfSheet its loss over what the sheet says, times 100
     */
    public record Test(LocalDate on, double percentOfSheet) {}

    /**
     * The trend.
     *
     * @return empty where fewer than three tests, or fewer than 60 days, say nothing
     */
    public static Optional<Ageing> of(List<Test> tests) {
        List<Test> inOrder =
                tests.stream().sorted(Comparator.comparing(Test::on)).toList();
        if (inOrder.size() < FEWEST_TESTS
                || ChronoUnit.DAYS.between(
                                inOrder.get(0).on(),
                                inOrder.get(inOrder.size() - 1).on())
                        < FEWEST_DAYS) {
            return Optional.empty();
        }
        List<Double> slopes = slopes(inOrder);
        double slope = median(slopes);
        return Optional.of(new Ageing(
                slope,
                atTheLast(inOrder, slope),
                inOrder.size() < FEWEST_FOR_AN_INTERVAL
                        ? Optional.empty()
                        : Optional.of(interval(slopes, inOrder.size()))));
    }

    private static List<Double> slopes(List<Test> tests) {
        List<Double> slopes = new ArrayList<>();
        for (int i = 0; i < tests.size(); i++) {
            for (int j = i + 1; j < tests.size(); j++) {
                long days =
                        ChronoUnit.DAYS.between(tests.get(i).on(), tests.get(j).on());
                if (days > 0) {
                    slopes.add((tests.get(j).percentOfSheet() - tests.get(i).percentOfSheet()) / days * DAYS_PER_YEAR);
                }
            }
        }
        Collections.sort(slopes);
        return slopes;
    }

    private static double atTheLast(List<Test> tests, double slope) {
        LocalDate last = tests.get(tests.size() - 1).on();
        return median(tests.stream()
                .map(t -> t.percentOfSheet() + slope * ChronoUnit.DAYS.between(t.on(), last) / DAYS_PER_YEAR)
                .toList());
    }

    private static double median(List<Double> values) {
        return new Median()
                .evaluate(values.stream().mapToDouble(Double::doubleValue).toArray());
    }

    /**
     * Sen's interval: so many slopes from either end as the rank correlation allows (Journal of the American Statistical
     * Association 63, 1968, pages 1379 to 1389; normal approximation).
     */
    private static Interval interval(List<Double> sorted, int tests) {
        double spread = Z * Math.sqrt(tests * (tests - 1.0) * (2.0 * tests + 5) / 18);
        int last = sorted.size() - 1;
        int low = (int) Math.round((sorted.size() - spread) / 2) - 1;
        int high = (int) Math.round((sorted.size() + spread) / 2);
        return new Interval(sorted.get(Math.max(0, low)), sorted.get(Math.min(last, high)));
    }

    /**
     * When a piece has had its day: more than so much over its first test in percent and in dB at once, or so many dB over it.
     *
     * @param percent over the first test, with {@code andDb}
     * @param andDb over the first test, with {@code percent}
     * @param orDb over the first test, whatever the percent
     */
    public record RetirementLimit(double percent, double andDb, double orDb) {

        /** 25 % and 0.3 dB, or 1 dB. */
        public static final RetirementLimit USUAL = new RetirementLimit(25, 0.3, 1);

        public RetirementLimit {
            Require.notNegative("percent", percent);
            Require.notNegative("dB together with percent", andDb);
            Require.notNegative("dB alone", orDb);
        }

        /** Whether a piece that lost {@code firstDb} at first and loses {@code nowDb} has had its day. */
        public boolean isReached(double firstDb, double nowDb) {
            return nowDb - firstDb > moreThanFirstDb(firstDb);
        }

        /** How much more than at first a piece may lose, dB. */
        public double moreThanFirstDb(double firstDb) {
            return Math.min(orDb, Math.max(andDb, percent / 100 * firstDb));
        }
    }
}
