package org.eskiz.core.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.eskiz.core.bench.TestAgain.Intervals;
import org.eskiz.core.bench.TestAgain.Outing;
import org.eskiz.core.bench.TestAgain.Trend;
import org.eskiz.core.bench.TestAgain.Why;
import org.junit.jupiter.api.Test;

class TestAgainTest {

    private static final LocalDate BOUGHT = LocalDate.of(2024, 5, 1);
    private static final LocalDate TESTED = LocalDate.of(2026, 4, 1);

    private static TestAgain after(List<Outing> outings, Optional<Trend> trend) {
        return TestAgain.of(Optional.of(TESTED), BOUGHT, outings, trend, Intervals.USUAL);
    }

    private static List<Outing> outings(int count, boolean hard) {
        return IntStream.rangeClosed(1, count)
                .mapToObj(i -> new Outing(TESTED.plusDays(i), hard))
                .toList();
    }

    @Test
    void aPieceNeverTestedIsDueFromTheDayItCame() {
        assertThat(TestAgain.of(Optional.empty(), BOUGHT, List.of(), Optional.empty(), Intervals.USUAL))
                .isEqualTo(new TestAgain(BOUGHT, Why.NEVER_TESTED));
    }

    @Test
    void ageAloneAsksAfterTheInterval() {
        assertThat(after(List.of(), Optional.empty())).isEqualTo(new TestAgain(TESTED.plusYears(1), Why.AGE));
    }

    @Test
    void theTwentiethOutingIsTheDay() {
        assertThat(after(outings(19, false), Optional.empty()).because()).isEqualTo(Why.AGE);
        assertThat(after(outings(25, false), Optional.empty()))
                .isEqualTo(new TestAgain(TESTED.plusDays(20), Why.OUTINGS));
    }

    @Test
    void fiveHardOutingsAreEnough() {
        assertThat(after(outings(5, true), Optional.empty()))
                .isEqualTo(new TestAgain(TESTED.plusDays(5), Why.EXPOSURE));
    }

    @Test
    void outingsBeforeTheTestDoNotCount() {
        List<Outing> before = IntStream.range(0, 40)
                .mapToObj(i -> new Outing(TESTED.minusDays(i), true))
                .toList();
        assertThat(after(before, Optional.empty()).because()).isEqualTo(Why.AGE);
    }

    @Test
    void aTrendAsksHalfWayToItsLimit() {
        assertThat(after(List.of(), Optional.of(new Trend(10, 10))))
                .isEqualTo(new TestAgain(TESTED.plusDays(183), Why.TREND));
        assertThat(after(List.of(), Optional.of(new Trend(-3, 10)))).isEqualTo(new TestAgain(TESTED, Why.TREND));
        assertThat(after(List.of(), Optional.of(new Trend(10, -2))).because()).isEqualTo(Why.AGE);
        assertThat(after(List.of(), Optional.of(new Trend(10, 1e-9))).because()).isEqualTo(Why.AGE);
    }

    @Test
    void itIsDueOnItsDayAndNotBefore() {
        TestAgain again = new TestAgain(TESTED, Why.AGE);
        assertThat(again.isDueOn(TESTED)).isTrue();
        assertThat(again.isDueOn(TESTED.minusDays(1))).isFalse();
        assertThat(again.daysFrom(TESTED.plusDays(3))).isEqualTo(-3);
    }
}
