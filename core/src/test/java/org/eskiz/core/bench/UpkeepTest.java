package org.eskiz.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import org.eskiz.core.bench.Upkeep.History;
import org.eskiz.core.bench.Upkeep.Tested;
import org.junit.jupiter.api.Test;

class UpkeepTest {

    private static final LocalDate BOUGHT = LocalDate.of(2023, 5, 1);

    private static Upkeep of(Tested... tests) {
        return Upkeep.of(
                new History(BOUGHT, List.of(tests), List.of()),
                TestAgain.Intervals.USUAL,
                Ageing.RetirementLimit.USUAL);
    }

    private static Tested tested(int month, double lossDb, double expectedDb) {
        return new Tested(BOUGHT.plusMonths(month), lossDb, OptionalDouble.of(expectedDb));
    }

    @Test
    void aPieceNeverTestedSaysNothingButThatItIsDue() {
        Upkeep upkeep = of();

        assertThat(upkeep.percentOfSheet()).isEmpty();
        assertThat(upkeep.ageing()).isEmpty();
        assertThat(upkeep.isPastLimit()).isFalse();
        assertThat(upkeep.testAgain()).isEqualTo(new TestAgain(BOUGHT, TestAgain.Why.NEVER_TESTED));
    }

    @Test
    void oneTestIsNoComparison() {
        Upkeep upkeep = of(tested(1, 3, 2));

        assertThat(upkeep.percentOfSheet()).hasValue(150);
        assertThat(upkeep.retireAtPercent().orElseThrow()).isCloseTo(150 * 3.75 / 3, within(1e-9));
        assertThat(upkeep.moreThanFirstDb()).isEmpty();
        assertThat(upkeep.isPastLimit()).isFalse();
    }

    @Test
    void aNewEndIsNoAgeing() {
        Upkeep upkeep = of(tested(1, 2.0, 2.0), tested(20, 1.5, 1.5));

        assertThat(upkeep.moreThanFirstDb().orElseThrow()).isCloseTo(0, within(1e-12));
        assertThat(upkeep.percentOfSheet()).hasValue(100);
    }

    @Test
    void aDyingPieceIsPastItsLimitAndDueAtOnce() {
        Upkeep upkeep = of(tested(0, 2.0, 2.0), tested(12, 2.3, 2.0), tested(24, 2.6, 2.0));

        assertThat(upkeep.isPastLimit()).isTrue();
        assertThat(upkeep.ageing().orElseThrow().percentPerYear()).isCloseTo(15, within(0.1));
        assertThat(upkeep.testAgain()).isEqualTo(new TestAgain(BOUGHT.plusMonths(24), TestAgain.Why.TREND));
    }

    /** 2.3 dB of 2.0: the limit is 2.5, so 10 % of the sheet are left at 15 % a year: half of that is four months. */
    @Test
    void aTrendBringsTheNextTestForward() {
        Upkeep upkeep = of(tested(0, 2.0, 2.0), tested(6, 2.15, 2.0), tested(12, 2.3, 2.0));

        assertThat(upkeep.testAgain().because()).isEqualTo(TestAgain.Why.TREND);
        assertThat(upkeep.testAgain().daysFrom(BOUGHT.plusMonths(12))).isBetween(110L, 135L);
    }

    @Test
    void withoutATypeTheFirstTestIsTheMeasure() {
        List<Tested> tests = new ArrayList<>();
        tests.add(new Tested(BOUGHT, 2.0, OptionalDouble.empty()));
        tests.add(new Tested(BOUGHT.plusYears(1), 2.2, OptionalDouble.empty()));

        assertThat(of(tests.toArray(Tested[]::new)).percentOfSheet().orElseThrow())
                .isCloseTo(110, within(1e-9));
    }

    @Test
    void theReferenceIsWhatMostTestsShareAndThenTheHighest() {
        assertThat(Upkeep.referenceMHz(List.of(List.of(28.5, 145.0), List.of(28.5, 145.0, 435.0), List.of(28.5))))
                .hasValue(28.5);
        assertThat(Upkeep.referenceMHz(List.of(List.of(28.5, 145.0), List.of(28.5, 145.0))))
                .hasValue(145);
        assertThat(Upkeep.referenceMHz(List.of())).isEmpty();
    }
}
