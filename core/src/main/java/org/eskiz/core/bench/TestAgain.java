package org.eskiz.core.bench;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.eskiz.core.unit.Require;

/**
 * When a piece should be tested again: at the earliest day that any of the intervals asks for.
 *
 * @param on the day
 * @param because what asks for that day
 */
public record TestAgain(LocalDate on, Why because) {

    /** A trend is looked at again when half of the time is over that it leaves. */
    private static final double PART_OF_WHAT_IS_LEFT = 0.5;

    private static final double DAYS_PER_YEAR = 365.25;

    /** Further ahead a trend says nothing: 20 years. */
    private static final long FARTHEST_DAYS = 7305;

    /** What asks for a test. */
    public enum Why {
        /** It was never tested. */
        NEVER_TESTED,
        /** So much time has passed since the last test. */
        AGE,
        /** So many outings since. */
        OUTINGS,
        /** So many outings since on which it was wet, frozen or trodden on. */
        EXPOSURE,
        /** The trend reaches the limit at which it would be retired. */
        TREND
    }

    /**
     * After what a piece is to be tested again.
     *
     * @param months since the last test, at least 1
     * @param outings since the last test, at least 1
     * @param hardOutings of them on which it was wet, frozen or trodden on, at least 1
     */
    public record Intervals(int months, int outings, int hardOutings) {

        /** A year, twenty outings, or five hard ones. */
        public static final Intervals USUAL = new Intervals(12, 20, 5);

        public Intervals {
            Require.positive("months", months);
            Require.positive("outings", outings);
            Require.positive("hard outings", hardOutings);
        }
    }

    /**
     * An outing, as far as it matters here.
     *
     * @param isHard whether the piece was wet, frozen or trodden on
     */
    public record Outing(LocalDate on, boolean isHard) {}

    /**
     * What a trend leaves.
     *
     * @param percentLeft of the sheet's loss until the piece would be retired; 0 or less where it is past that
     * @param percentPerYear slope of the trend
     */
    public record Trend(double percentLeft, double percentPerYear) {}

    /**
     * When a piece is due.
     *
     * @param lastTest empty where it was never tested
     * @param since the day from which a piece counts that was never tested: of its purchase, or of its entry
     * @param outings all of them; those up to the last test do not count
     * @param trend empty where there is none
     */
    public static TestAgain of(
            Optional<LocalDate> lastTest,
            LocalDate since,
            List<Outing> outings,
            Optional<Trend> trend,
            Intervals intervals) {
        if (lastTest.isEmpty()) {
            return new TestAgain(since, Why.NEVER_TESTED);
        }
        LocalDate last = lastTest.get();
        List<Outing> after = outings.stream()
                .filter(o -> o.on().isAfter(last))
                .sorted(Comparator.comparing(Outing::on))
                .toList();
        List<TestAgain> asked = new ArrayList<>();
        asked.add(new TestAgain(last.plusMonths(intervals.months()), Why.AGE));
        nth(after, intervals.outings()).ifPresent(on -> asked.add(new TestAgain(on, Why.OUTINGS)));
        nth(after.stream().filter(Outing::isHard).toList(), intervals.hardOutings())
                .ifPresent(on -> asked.add(new TestAgain(on, Why.EXPOSURE)));
        trend.flatMap(t -> half(last, t)).ifPresent(on -> asked.add(new TestAgain(on, Why.TREND)));
        return asked.stream().min(Comparator.comparing(TestAgain::on)).orElseThrow();
    }

    private static Optional<LocalDate> nth(List<Outing> outings, int n) {
        return outings.size() < n
                ? Optional.empty()
                : Optional.of(outings.get(n - 1).on());
    }

    private static Optional<LocalDate> half(LocalDate last, Trend trend) {
        if (trend.percentPerYear() <= 0) {
            return Optional.empty();
        }
        double days = Math.max(0, trend.percentLeft()) / trend.percentPerYear() * DAYS_PER_YEAR;
        return days > FARTHEST_DAYS
                ? Optional.empty()
                : Optional.of(last.plusDays(Math.round(days * PART_OF_WHAT_IS_LEFT)));
    }

    /** Whether it is due on a day. */
    public boolean isDueOn(LocalDate day) {
        return !on.isAfter(day);
    }

    /** Days until it is due; negative where it is overdue. */
    public long daysFrom(LocalDate day) {
        return ChronoUnit.DAYS.between(day, on);
    }
}
