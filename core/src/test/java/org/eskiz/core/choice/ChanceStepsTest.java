package org.eskiz.core.choice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Cable;
import org.junit.jupiter.api.Test;

class ChanceStepsTest {

    private static final Currency EUR = Currency.getInstance("EUR");

    @Test
    void leadFromTheCheapestToTheSurestAndSayWhatEachCostsMore() {
        ChanceSteps steps = ChanceSteps.of(List.of(
                row("dear and no surer", 90, EUR, 0.69),
                row("foam 10", 75, EUR, 1),
                row("cheap", 20, EUR, 0.1),
                row("foam 6", 41, EUR, 0.7),
                row("above the line", 50, EUR, 0.71),
                row("of elsewhere", 1, Currency.getInstance("SEK"), 1),
                unpriced()));

        assertThat(steps.steps()).extracting(s -> s.row().id()).containsExactly("cheap", "foam 6", "foam 10");
        assertThat(steps.steps()).extracting(ChanceSteps.Step::passing).containsExactly(2, 14, 20);
        assertThat(steps.steps())
                .extracting(ChanceSteps.Step::costOfStep)
                .containsExactly(OptionalDouble.empty(), OptionalDouble.of(21), OptionalDouble.of(34));
    }

    @Test
    void sayWhatEachMoreOfTwentyCosts() {
        ChanceSteps steps = ChanceSteps.of(List.of(row("foam 6", 41, EUR, 0.7), row("foam 10", 75, EUR, 1)));

        assertThat(steps.steps().get(0).costPerMore()).isEmpty();
        assertThat(steps.steps().get(1).costPerMore().orElseThrow()).isCloseTo(34 / 6.0, within(1e-12));
    }

    @Test
    void tellTheNextSurerOneAboveAnyRow() {
        ChanceSteps steps = ChanceSteps.of(List.of(row("foam 6", 41, EUR, 0.7), row("foam 10", 75, EUR, 1)));

        ChanceSteps.Surer surer =
                steps.above(row("off the ladder", 60, EUR, 0.6)).orElseThrow();
        assertThat(surer.row().id()).isEqualTo("foam 10");
        assertThat(surer.more()).isEqualTo(8);
        assertThat(surer.cost()).isEqualTo(15);
        assertThat(steps.above(row("surest", 80, EUR, 1))).isEmpty();
        assertThat(steps.above(row("dear already", 90, EUR, 0.1))).isEmpty();
        assertThat(steps.above(row("of elsewhere", 1, Currency.getInstance("SEK"), 0.1)))
                .isEmpty();
        assertThat(steps.above(unpriced())).isEmpty();
    }

    @Test
    void ofRowsWithoutPricesThereAreNone() {
        assertThat(ChanceSteps.of(List.of(unpriced())).steps()).isEmpty();
    }

    private static Row unpriced() {
        return row("unpriced", Optional.empty(), 1);
    }

    private static Row row(String id, int price, Currency currency, double chance) {
        return row(id, Optional.of(new Money(BigDecimal.valueOf(price), currency)), chance);
    }

    private static Row row(String id, Optional<Money> cost, double chance) {
        Candidate candidate = new Candidate(id, Cable.ofCoefficients(50, 0.66, new Attenuation(1, 0)));
        return new Row(
                List.of(candidate),
                Suitability.SUITED,
                List.of(),
                List.of(),
                cost,
                OptionalDouble.empty(),
                Optional.of(new Chance(chance, List.of())));
    }
}
