package org.eskiz.core.bench;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.stream.IntStream;
import org.eskiz.core.unit.Require;

/**
 * Outings that nobody wrote down one by one: how many there were in a span of time.
 *
 * @param count at least 1
 * @param hard of them, on which it was wet, frozen or trodden on
 * @param from first day of the span
 * @param until its last
 */
public record EarlierOutings(int count, int hard, LocalDate from, LocalDate until) {

    public EarlierOutings {
        Require.positive("outings", count);
        if (hard < 0 || hard > count) {
            throw new IllegalArgumentException("hard outings must be 0 to %d, not %d".formatted(count, hard));
        }
        if (until.isBefore(from)) {
            throw new IllegalArgumentException("the span ends on %s, before it begins on %s".formatted(until, from));
        }
    }

    /** The same number of outings spread evenly over the span, the hard ones evenly among them. */
    public List<TestAgain.Outing> spread() {
        long days = ChronoUnit.DAYS.between(from, until) + 1;
        return IntStream.range(0, count)
                .mapToObj(i -> new TestAgain.Outing(from.plusDays((2L * i + 1) * days / (2L * count)), isHard(i)))
                .toList();
    }

    private boolean isHard(int i) {
        return (i + 1L) * hard / count > (long) i * hard / count;
    }
}
