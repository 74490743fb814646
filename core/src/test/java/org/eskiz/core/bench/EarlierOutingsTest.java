package org.eskiz.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;

class EarlierOutingsTest {

    private static final LocalDate FROM = LocalDate.of(2024, 1, 1);

    @Test
    void areSpreadEvenlyOverTheirSpanWithTheHardOnesAmongThem() {
        EarlierOutings earlier = new EarlierOutings(4, 2, FROM, FROM.plusDays(39));

        assertThat(earlier.spread())
                .containsExactly(
                        new TestAgain.Outing(FROM.plusDays(5), false),
                        new TestAgain.Outing(FROM.plusDays(15), true),
                        new TestAgain.Outing(FROM.plusDays(25), false),
                        new TestAgain.Outing(FROM.plusDays(35), true));
    }

    @Test
    void stayWithinASpanOfOneDay() {
        assertThat(new EarlierOutings(30, 30, FROM, FROM).spread())
                .hasSize(30)
                .allMatch(o -> o.on().equals(FROM) && o.isHard());
    }

    @Test
    void areNotHardMoreOftenThanThereAreAndDoNotEndBeforeTheyBegin() {
        assertThatIllegalArgumentException().isThrownBy(() -> new EarlierOutings(2, 3, FROM, FROM));
        assertThatIllegalArgumentException().isThrownBy(() -> new EarlierOutings(2, 0, FROM, FROM.minusDays(1)));
    }
}
