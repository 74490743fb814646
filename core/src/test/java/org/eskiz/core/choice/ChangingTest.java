package org.eskiz.core.choice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.AttenuationPoint;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.core.cable.Mechanics;
import org.eskiz.core.cable.Ratings;
import org.eskiz.core.receive.Receiver;
import org.eskiz.core.run.Conditions;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.Load;
import org.eskiz.core.run.Matching;
import org.eskiz.core.run.MatchingUnit;
import org.eskiz.core.run.Radio;
import org.eskiz.core.run.Run;
import org.junit.jupiter.api.Test;

/** Value, what to relax, what would change the answer, and mixes. */
class ChangingTest {

    private static final Currency EUR = Currency.getInstance("EUR");
    private static final Conditions TWO_METRES = new Conditions(145, 20);
    private static final Candidate THIN = candidate("thin", 1.5, "0.80", 38, 5);
    private static final Candidate MEDIUM = candidate("medium", 0.9, "1.20", 60, 7);
    private static final Candidate POOR_VALUE = candidate("poor value", 0.88, "3.00", 90, 10);
    private static final Candidate THICK = candidate("thick", 0.4, "3.60", 101, 10);
    private static final Candidate DEAREST = candidate("dearest", 0.3, "9.50", 220, 16);
    private static final List<Candidate> ALL = List.of(THICK, THIN, DEAREST, POOR_VALUE, MEDIUM);
    private static final Band BAND = new Band(
            Radio.matched(100),
            TWO_METRES,
            new Load.SwrAtAntenna(1),
            1,
            MatchingUnit.UNSTATED,
            OptionalDouble.empty(),
            Optional.of(new Band.Listening(new Receiver(3), 5)));

    @Test
    void theLadderIsTheLowerHullAndItsKneeTheLastStepWorthItsMoney() {
        ValueSteps ladder = ValueSteps.of(rows(new Requirement.OnBand(BandFigure.PERCENT, 1)), 0, 20);
        assertThat(ladder.steps()).extracting(s -> s.row().id()).containsExactly("thin", "medium", "thick", "dearest");
        ValueSteps.Step medium = ladder.steps().get(1);
        double fewerDb = lossDb(ladder.steps().get(0).row()) - lossDb(medium.row());
        assertThat(medium.costPerDb().orElseThrow()).isCloseTo(12 / fewerDb, within(1e-9));
        assertThat(medium.costPerW().orElseThrow())
                .isCloseTo(
                        12
                                / (powerW(medium.row())
                                        - powerW(ladder.steps().get(0).row())),
                        within(1e-9));
        List<Double> perDb = ladder.steps().stream()
                .skip(1)
                .map(s -> s.costPerDb().orElseThrow())
                .toList();
        assertThat(perDb).isSorted();
        assertThat(ladder.knee()).isEqualTo(1);
        assertThat(ValueSteps.of(rows(new Requirement.OnBand(BandFigure.PERCENT, 1)), 0, 1e6)
                        .knee())
                .isEqualTo(3);
        assertThat(ValueSteps.of(rows(new Requirement.OnBand(BandFigure.PERCENT, 1)), 0, 0.01)
                        .knee())
                .isZero();
    }

    @Test
    void nothingWithoutAPriceStandsOnTheLadder() {
        assertThat(ValueSteps.of(List.of(comparison(30).row(new Candidate("unpriced", THICK.cable()))), 0, 20)
                        .steps())
                .isEmpty();
    }

    @Test
    void theWayToLetAFirstCandidateThroughEasesAsLittleAsItCan() {
        List<Row> rows =
                rows(new Requirement.OnBand(BandFigure.POWER, 95), new Requirement.OfRun(RunFigure.COST, 1000));
        List<Relaxation> ways = Relaxation.of(rows);
        assertThat(ways).hasSize(1);
        assertThat(ways.get(0).row().id()).isEqualTo("dearest");
        assertThat(ways.get(0).eased().get(0).requirement()).isEqualTo(new Requirement.OnBand(BandFigure.POWER, 95));
        assertThat(ways.get(0).eased().get(0).to().orElseThrow())
                .isCloseTo(powerW(ways.get(0).row()), within(1e-12));
        Row through = row(
                DEAREST,
                new Requirement.OnBand(
                        BandFigure.POWER, ways.get(0).eased().get(0).to().orElseThrow()));
        assertThat(through.verdict()).isNotEqualTo(Verdict.FAIL);
    }

    @Test
    void eachRequirementThatAloneStandsInTheWayIsAWayOfItsOwn() {
        var power = new Requirement.OnBand(BandFigure.POWER, 70);
        var cost = new Requirement.OfRun(RunFigure.COST, 40);
        List<Relaxation> ways = Relaxation.of(rows(power, cost));
        assertThat(ways).allSatisfy(w -> assertThat(w.eased()).hasSize(1));
        assertThat(ways).extracting(w -> w.eased().get(0).requirement()).containsExactlyInAnyOrder(power, cost);
        assertThat(ways)
                .filteredOn(w -> w.eased().get(0).requirement().equals(cost))
                .allSatisfy(w -> {
                    assertThat(w.row().id()).isEqualTo("thick");
                    assertThat(w.eased().get(0).to()).hasValue(108);
                });
        assertThat(Relaxation.of(rows(new Requirement.OnBand(BandFigure.POWER, 1))))
                .isEmpty();
    }

    @Test
    void shorteningLetsTheNextCheaperThroughAndNoMoreThanThat() {
        var asked = new Requirement.OnBand(BandFigure.POWER, 70);
        var comparison = comparison(30, asked);
        Changes changes = Changes.of(comparison, ALL, Preference.LEAST_COST, comparison.row(THICK), 0);
        assertThat(changes.nextCheaper().orElseThrow().id()).isEqualTo("poor value");
        Changes.Shortening shortening = changes.shortening().orElseThrow();
        assertThat(shortening.row().verdict()).isNotEqualTo(Verdict.FAIL);
        assertThat(comparison(shortening.toM(), asked).row(POOR_VALUE).verdict())
                .isNotEqualTo(Verdict.FAIL);
        assertThat(comparison(shortening.toM() + 0.01, asked).row(POOR_VALUE).verdict())
                .isEqualTo(Verdict.FAIL);
    }

    @Test
    void theChosenOneFailsBeyondItsFarthestLengthAndItsHighestFrequency() {
        var asked = new Requirement.OnBand(BandFigure.POWER, 70);
        var comparison = comparison(30, asked);
        Changes changes = Changes.of(comparison, ALL, Preference.LEAST_COST, comparison.row(THICK), 0);
        double farM = changes.farthest().orElseThrow().reach().lengthM();
        assertThat(comparison(farM - 0.01, asked).row(THICK).verdict()).isNotEqualTo(Verdict.FAIL);
        assertThat(comparison(farM + 0.01, asked).row(THICK).verdict()).isEqualTo(Verdict.FAIL);
        double highMHz = changes.highest().orElseThrow().frequencyMHz();
        assertThat(changes.highest().orElseThrow().isEndOfSheet()).isFalse();
        assertThat(powerAt(highMHz * 0.999)).isGreaterThan(70);
        assertThat(powerAt(highMHz * 1.001)).isLessThan(70);
    }

    @Test
    void nobodySaysWhatACableDoesBeyondItsSheet() {
        var sheet = Cable.ofSheet(50, 0.85, List.of(new AttenuationPoint(100, 0.5), new AttenuationPoint(200, 0.75)));
        var known = new Candidate("known to 200 MHz", sheet);
        var comparison = comparison(30, new Requirement.OnBand(BandFigure.POWER, 70));
        Changes changes = Changes.of(comparison, List.of(known), Preference.LEAST_COST, comparison.row(known), 0);
        assertThat(changes.highest().orElseThrow().frequencyMHz()).isCloseTo(300, within(1e-3));
        assertThat(changes.highest().orElseThrow().isEndOfSheet()).isTrue();
    }

    @Test
    void theStepUpSaysWhatElseWouldBringAsMuchAndThatPowerDoesNothingForReception() {
        var comparison = comparison(30, new Requirement.OnBand(BandFigure.POWER, 30));
        Row chosen = comparison.row(MEDIUM);
        Changes.StepUp up = Changes.of(comparison, ALL, Preference.LEAST_COST, chosen, 0)
                .stepUp()
                .orElseThrow();
        assertThat(up.row().id()).isEqualTo("poor value");
        assertThat(up.onTransmitDb()).isCloseTo(lossDb(chosen) - lossDb(up.row()), within(1e-12));
        assertThat(up.onReceiveDb().orElseThrow()).isPositive().isLessThanOrEqualTo(up.onTransmitDb() * 1.5);
        double through = up.powerInsteadW().orElseThrow() * Math.pow(10, -lossDb(chosen) / 10);
        assertThat(through).isCloseTo(powerW(up.row()), within(1e-9));
    }

    @Test
    void movingTheMatchingUnitToTheAntennaMakesTheRunFlat() {
        var mismatched = new Band(Radio.matched(100), TWO_METRES, new Load.SwrAtAntenna(5));
        var comparison = Comparison.in(
                new ReplaceableRun(Run.of(new Element.Line(THIN.cable(), 30)), List.of(0)),
                List.of(mismatched),
                List.of(new Requirement.OnBand(BandFigure.POWER, 60)));
        Row thick = comparison.row(THICK);
        Changes.MatchingMoved moved = Changes.of(comparison, ALL, Preference.LEAST_COST, thick, 0)
                .matchingMoved()
                .orElseThrow();
        assertThat(moved.to()).isEqualTo(Matching.AT_ANTENNA);
        var flat = moved.row().cells().get(0).assessment().orElseThrow();
        assertThat(flat.totalLossDb()).isCloseTo(flat.matchedLossDb(), within(1e-4));
        assertThat(lossDb(moved.row())).isLessThan(lossDb(thick));
        assertThat(moved.first().orElseThrow().verdict()).isNotEqualTo(Verdict.FAIL);
    }

    @Test
    void theBestMixIsTheBestOfAllThereAre() {
        var asked = List.<Requirement>of(
                new Requirement.OnBand(BandFigure.POWER, 66), new Requirement.OfRun(RunFigure.BEND_REPEATED, 80));
        var run = Run.of(
                new Element.Line(THIN.cable(), 27),
                new Element.Pad(new InsertionLoss.Flat(0.05), OptionalDouble.empty()),
                new Element.Line(THIN.cable(), 3));
        var comparison = Comparison.in(new ReplaceableRun(run, List.of(0, 2)), List.of(BAND), asked);
        for (Preference preference : Preference.values()) {
            Mixes mixes = Mixes.search(comparison, ALL, preference, new Mixes.Bounds(3, 10_000), () -> {});
            List<Row> all = ALL.stream()
                    .flatMap(a -> ALL.stream().filter(b -> a != b).map(b -> comparison.row(List.of(a, b))))
                    .sorted(preference.order())
                    .limit(3)
                    .toList();
            assertThat(mixes.proven()).isTrue();
            assertThat(mixes.rows())
                    .extracting(Row::id)
                    .isEqualTo(all.stream().map(Row::id).toList());
        }
        // only the tail has to bear being moved
        Row best = Mixes.search(comparison, ALL, Preference.LEAST_COST, new Mixes.Bounds(1, 10_000), () -> {})
                .rows()
                .get(0);
        assertThat(best.filling().get(1).id()).isIn("thin", "medium");
        assertThat(best.verdict()).isNotEqualTo(Verdict.FAIL);
    }

    @Test
    void aSearchThatMayTryNoMoreSaysThatNothingIsProven() {
        var run = Run.of(new Element.Line(THIN.cable(), 27), new Element.Line(THIN.cable(), 3));
        var comparison = Comparison.in(new ReplaceableRun(run, List.of(0, 1)), List.of(BAND), List.of());
        Mixes mixes = Mixes.search(comparison, ALL, Preference.LEAST_LOSS, new Mixes.Bounds(3, 4), () -> {});
        assertThat(mixes.proven()).isFalse();
        assertThat(mixes.tried()).isEqualTo(4);
        assertThat(mixes.rows()).hasSize(3);
    }

    private static Candidate candidate(String id, double k1, String pricePerM, double massGPerM, double acrossMm) {
        var mechanics = new Mechanics(
                OptionalDouble.of(acrossMm),
                OptionalDouble.of(massGPerM),
                OptionalDouble.of(5 * acrossMm),
                OptionalDouble.of(10 * acrossMm),
                OptionalDouble.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                Optional.empty());
        return new Candidate(
                id,
                Cable.ofCoefficients(50, 0.8, new Attenuation(k1, 0)),
                false,
                Optional.of(new Money(new BigDecimal(pricePerM), EUR)),
                OptionalDouble.empty(),
                mechanics,
                Ratings.UNKNOWN,
                0);
    }

    private static Comparison comparison(double lengthM, Requirement... asked) {
        return Comparison.in(
                new ReplaceableRun(Run.of(new Element.Line(THIN.cable(), lengthM)), List.of(0)),
                List.of(BAND),
                List.of(asked));
    }

    private static List<Row> rows(Requirement... asked) {
        return comparison(30, asked).rows(ALL, Preference.LEAST_COST);
    }

    private static Row row(Candidate candidate, Requirement... asked) {
        return comparison(30, asked).row(candidate);
    }

    private static double lossDb(Row row) {
        return row.cells().get(0).assessment().orElseThrow().totalLossDb();
    }

    private static double powerW(Row row) {
        return row.cells().get(0).assessment().orElseThrow().powerAtAntennaW().orElseThrow();
    }

    private static double powerAt(double frequencyMHz) {
        var at = new Band(Radio.matched(100), new Conditions(frequencyMHz, 20), new Load.SwrAtAntenna(1));
        return powerW(Comparison.in(
                        new ReplaceableRun(Run.of(new Element.Line(THIN.cable(), 30)), List.of(0)),
                        List.of(at),
                        List.of())
                .row(THICK));
    }
}
