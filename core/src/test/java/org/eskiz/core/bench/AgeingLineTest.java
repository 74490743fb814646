package org.eskiz.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;

class AgeingLineTest {

    private static final LocalDate FIRST = LocalDate.of(2023, 1, 1);

    private static Ageing.Test test(int days, double percent) {
        return new Ageing.Test(FIRST.plusDays(days), percent);
    }

    /** One bad reading, were it the last, does not lift the line with it. */
    @Test
    void theLineStandsWhereMostTestsPutIt() {
        Ageing ageing = Ageing.of(List.of(
                        test(0, 100), test(150, 100), test(300, 100), test(450, 100), test(600, 100), test(750, 140)))
                .orElseThrow();

        assertThat(ageing.percentAtLastTest()).isCloseTo(100, within(1e-9));
    }

    @Test
    void aSteadyDeclineIsMetExactly() {
        Ageing ageing =
                Ageing.of(List.of(test(0, 100), test(365, 110), test(730, 120))).orElseThrow();

        assertThat(ageing.percentAtLastTest()).isCloseTo(120, within(1e-9));
    }
}
