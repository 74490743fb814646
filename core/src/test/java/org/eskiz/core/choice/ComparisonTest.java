package org.eskiz.core.choice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
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
import org.eskiz.core.choice.Reason.Cause;
import org.eskiz.core.run.Conditions;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.Load;
import org.eskiz.core.run.Radio;
import org.eskiz.core.run.Run;
import org.eskiz.core.run.RunAssessment;
import org.junit.jupiter.api.Test;

class ComparisonTest {

    private static final Currency EUR = Currency.getInstance("EUR");
    private static final Cable THIN = Cable.ofCoefficients(50, 0.66, new Attenuation(1.5397, 0.011033));
    private static final Cable THICK = Cable.ofCoefficients(50, 0.85, new Attenuation(0.3957, 0.00139));
    private static final Cable TELEVISION = Cable.ofCoefficients(75, 0.83, new Attenuation(0.62, 0.0023));
    private static final Conditions TWO_METRES = new Conditions(145, 20);

    @Test
    void aCandidateReplacesTheSectionsAndTheRestStays() {
        var joint = new Element.Pad(new InsertionLoss.Flat(0.5), OptionalDouble.empty());
        var run = Run.of(new Element.Line(THIN, 2), joint, new Element.Line(THIN, 30));
        var place = new ReplaceableRun(run, List.of(2));
        var row = Comparison.in(place, List.of(band(new Load.SwrAtAntenna(1.5))), List.of())
                .row(candidate("thick", THICK, "3.60"));
        var byHand = RunAssessment.of(
                Run.of(new Element.Line(THIN, 2), joint, new Element.Line(THICK, 30)),
                Radio.matched(100),
                TWO_METRES,
                new Load.SwrAtAntenna(1.5));
        assertThat(totalLossDb(row)).isEqualTo(byHand.totalLossDb());
        assertThat(row.cost().orElseThrow().amount()).isEqualByComparingTo("108");
        assertThat(row.massKg().orElseThrow()).isCloseTo(3, within(1e-12));
    }

    @Test
    void aMissedRequirementFailsWithItsNumber() {
        var row = compare(new Requirement.OnBand(BandFigure.POWER, 70), candidate("thin", THIN, "0.80"));
        assertThat(row.verdict()).isEqualTo(Verdict.FAIL);
        assertThat(row.reasons()).hasSize(1);
        Reason reason = row.reasons().get(0);
        assertThat(reason.cause()).isEqualTo(Cause.MISSED);
        assertThat(reason.reached().orElseThrow())
                .isEqualTo(row.cells()
                        .get(0)
                        .assessment()
                        .orElseThrow()
                        .powerAtAntennaW()
                        .orElseThrow());
        assertThat(row.leastSpareDb()).isNegative();
    }

    @Test
    void theEdgesOfMarginalAreFivePercentAndAFifthOfADb() {
        double watts =
                100 * Math.pow(10, -totalLossDb(compare(new Requirement.OnBand(BandFigure.POWER, 1), thick())) / 10);
        assertThat(verdict(new Requirement.OnBand(BandFigure.POWER, watts / 1.0501)))
                .isEqualTo(Verdict.PASS);
        assertThat(verdict(new Requirement.OnBand(BandFigure.POWER, watts / 1.0499)))
                .isEqualTo(Verdict.MARGINAL);
        assertThat(verdict(new Requirement.OnBand(BandFigure.POWER, watts * 1.0001)))
                .isEqualTo(Verdict.FAIL);
        double percent = watts;
        assertThat(verdict(new Requirement.OnBand(BandFigure.PERCENT, percent / 1.0501)))
                .isEqualTo(Verdict.PASS);
        assertThat(verdict(new Requirement.OnBand(BandFigure.PERCENT, percent / 1.0499)))
                .isEqualTo(Verdict.MARGINAL);
        double lossDb = totalLossDb(compare(new Requirement.OnBand(BandFigure.POWER, 1), thick()));
        assertThat(verdict(new Requirement.OnBand(BandFigure.LOSS, lossDb + 0.2001)))
                .isEqualTo(Verdict.PASS);
        assertThat(verdict(new Requirement.OnBand(BandFigure.LOSS, lossDb + 0.1999)))
                .isEqualTo(Verdict.MARGINAL);
        assertThat(verdict(new Requirement.OnBand(BandFigure.LOSS, lossDb - 0.0001)))
                .isEqualTo(Verdict.FAIL);
    }

    @Test
    void missedAtTheWorstAngleIsMarginal() {
        var load = new Load.SwrAtAntenna(4);
        var run = Run.of(new Element.Line(TELEVISION, 30));
        var a = RunAssessment.of(run, Radio.matched(100), TWO_METRES, load);
        double between = (a.totalLossDb() + a.totalLossAtWorstAngleDb()) / 2;
        assertThat(a.totalLossAtWorstAngleDb()).isGreaterThan(a.totalLossDb() + 0.01);
        var place = new ReplaceableRun(run, List.of(0));
        var row = Comparison.in(place, List.of(band(load)), List.of(new Requirement.OnBand(BandFigure.LOSS, between)))
                .row(candidate("tv", TELEVISION, "0.55"));
        assertThat(row.verdict()).isEqualTo(Verdict.MARGINAL);
        assertThat(row.reasons().get(0).cause()).isEqualTo(Cause.MISSED_AT_WORST_ANGLE);
        assertThat(row.reasons().get(0).reached().orElseThrow()).isEqualTo(a.totalLossAtWorstAngleDb());
    }

    @Test
    void anExtrapolationIsMarginalAtBest() {
        var known = Cable.ofSheet(50, 0.85, List.of(new AttenuationPoint(1, 0.4), new AttenuationPoint(30, 2.2)));
        var row = compare(new Requirement.OnBand(BandFigure.PERCENT, 10), candidate("hf sheet", known, "1"));
        assertThat(row.verdict()).isEqualTo(Verdict.MARGINAL);
        assertThat(row.reasons().get(0).cause()).isEqualTo(Cause.EXTRAPOLATED);
        assertThat(row.reasons().get(0).reached().orElseThrow()).isEqualTo(145);
    }

    @Test
    void moreLossThanCanBeAssessedFailsItsRowAlone() {
        var hopeless = Cable.ofCoefficients(50, 0.66, new Attenuation(100, 0));
        var rows = comparison(new Requirement.OnBand(BandFigure.PERCENT, 10))
                .rows(List.of(candidate("hopeless", hopeless, "0.10"), thick()), Preference.LEAST_COST);
        assertThat(ids(rows)).containsExactly("thick", "hopeless");
        assertThat(rows.get(1).reasons().get(0).cause()).isEqualTo(Cause.TOO_LOSSY);
        assertThat(rows.get(1).cells().get(0).assessment()).isEmpty();
    }

    @Test
    void theSchoolsOrderWhatPassesWhateverItsImpedance() {
        var rows = List.of(
                candidate("balanced", THICK, "0.01", true),
                candidate("television", TELEVISION, "0.02"),
                candidate("thin", THIN, "0.80"),
                candidate("dear", Cable.ofCoefficients(50, 0.88, new Attenuation(0.2, 0.001)), "9.50"),
                thick());
        var comparison = comparison(new Requirement.OnBand(BandFigure.POWER, 60));
        assertThat(ids(comparison.rows(rows, Preference.LEAST_COST)))
                .containsExactly("thick", "dear", "balanced", "television", "thin");
        assertThat(ids(comparison.rows(rows, Preference.LEAST_LOSS)))
                .containsExactly("dear", "thick", "balanced", "television", "thin");
    }

    @Test
    void valueIsCostOverWhatArrivesAndTheLightestIsLight() {
        var cheapAndThin = weighing("thin", THIN, "0.80", 40);
        var dearAndThick = weighing("thick", THICK, "1.00", 150);
        var unknown = new Candidate("unknown", THICK);
        var comparison = comparison(new Requirement.OnBand(BandFigure.PERCENT, 1));
        var rows = List.of(dearAndThick, cheapAndThin, unknown);
        // the thin one loses more than the difference in price
        assertThat(ids(comparison.rows(rows, Preference.BEST_VALUE))).containsExactly("thick", "thin", "unknown");
        assertThat(ids(comparison.rows(rows, Preference.LEAST_COST))).containsExactly("thin", "thick", "unknown");
        assertThat(ids(comparison.rows(rows, Preference.LIGHTEST))).containsExactly("thin", "thick", "unknown");
    }

    private static Candidate weighing(String id, Cable cable, String pricePerM, double massGPerM) {
        return new Candidate(
                id,
                cable,
                false,
                Optional.of(new Money(new BigDecimal(pricePerM), EUR)),
                OptionalDouble.empty(),
                Mechanics.weighing(OptionalDouble.of(massGPerM)),
                Ratings.UNKNOWN,
                0);
    }

    @Test
    void anUnknownPriceComesLastAndCurrenciesAreNotMixed() {
        var free = new Candidate("free", THICK);
        var rows = comparison(new Requirement.OnBand(BandFigure.POWER, 50))
                .rows(List.of(free, thick()), Preference.LEAST_COST);
        assertThat(ids(rows)).containsExactly("thick", "free");
        assertThat(rows.get(1).cost()).isEmpty();
        assertThat(rows.get(1).massKg()).isEmpty();

        Money dollars = new Money(BigDecimal.ONE, Currency.getInstance("USD"));
        assertThat(new Money(BigDecimal.ONE, EUR).plus(dollars)).isEmpty();
        var place = new ReplaceableRun(
                Run.of(new Element.Line(THIN, 30), new Element.Pad(new InsertionLoss.Flat(0), OptionalDouble.empty())),
                List.of(0),
                List.of(
                        ReplaceableRun.Known.UNKNOWN,
                        new ReplaceableRun.Known(
                                Ratings.UNKNOWN,
                                0,
                                false,
                                Optional.of(new ReplaceableRun.Connector(
                                        Optional.of(dollars), OptionalDouble.empty(), OptionalDouble.empty())))),
                Optional.empty(),
                OptionalDouble.empty());
        Row row = Comparison.in(place, List.of(band(new Load.SwrAtAntenna(1))), List.of())
                .row(thick());
        assertThat(row.cost().orElseThrow().currency()).isEqualTo(EUR);
        assertThat(place.toBuy(row.filling(), Purchase.ONCE).notIn(EUR))
                .singleElement()
                .satisfies(b -> assertThat(b.amount().orElseThrow().currency()).isEqualTo(dollars.currency()));
    }

    @Test
    void theBandThatDecidesIsThatOfTheFirstReasonElseTheOneWithLeastToSpareElseTheOneThatLosesMost() {
        Row fails = comparison(new Requirement.OnBand(BandFigure.POWER, 99)).row(thick());
        assertThat(fails.decidingBand()).isEqualTo(fails.reasons().get(0).band().orElseThrow());
        assertThat(comparison(new Requirement.OnBand(BandFigure.POWER, 1))
                        .row(thick())
                        .decidingBand())
                .isZero();
        var two = Comparison.in(
                new ReplaceableRun(Run.of(new Element.Line(THIN, 30)), List.of(0)),
                List.of(at(14), at(145)),
                List.of());
        assertThat(two.row(thick()).decidingBand()).isEqualTo(1);
        var asked = Comparison.in(
                new ReplaceableRun(Run.of(new Element.Line(THIN, 30)), List.of(0)),
                List.of(at(14), at(145)),
                List.of(new Requirement.OnBand(BandFigure.LOSS, 6)));
        assertThat(asked.row(thick()).decidingBand()).isEqualTo(1);
    }

    @Test
    void whatIsLostIsToldForAMetreAndWhatAMetreOfALostWattCosts() {
        Row row = comparison(new Requirement.OnBand(BandFigure.POWER, 1)).row(thick());
        RunAssessment a = row.cells().get(0).assessment().orElseThrow();
        double lostW = 100 - a.powerAtAntennaW().orElseThrow();
        assertThat(row.lostWPerM(0, 30).orElseThrow()).isCloseTo(lostW / 30, within(1e-12));
        assertThat(row.costPerLostWAndM(0, 30).orElseThrow())
                .isCloseTo(row.cost().orElseThrow().amount().doubleValue() / lostW / 30, within(1e-12));
        assertThat(comparison(new Requirement.OnBand(BandFigure.POWER, 1))
                        .row(new Candidate("free", THICK))
                        .costPerLostWAndM(0, 30))
                .isEmpty();
    }

    @Test
    void aReadingAtTheRadioBelongsToTheAntennaBehindThePresentCable() {
        var rows = Comparison.in(
                        new ReplaceableRun(Run.of(new Element.Line(THIN, 30)), List.of(0)),
                        List.of(band(new Load.SwrAtRadio(1.2))),
                        List.of())
                .rows(List.of(candidate("thin", THIN, "0.80"), thick()), Preference.LEAST_COST);
        var present = rows.get(0).cells().get(0).assessment().orElseThrow();
        var better = rows.get(1).cells().get(0).assessment().orElseThrow();
        assertThat(present.swrAtRadio()).isCloseTo(1.2, within(1e-9));
        assertThat(better.swrAtAntenna()).isCloseTo(present.swrAtAntenna(), within(1e-9));
        assertThat(better.swrAtRadio()).isGreaterThan(1.3);
    }

    @Test
    void aTransformerBeforeTheSectionChangesWhatIsSuited() {
        var window = Cable.ofCoefficients(450, 0.91, new Attenuation(0.15, 0.001));
        var nine = new Element.Transformer(9, new InsertionLoss.Flat(0.2));
        var place = new ReplaceableRun(Run.of(nine, new Element.Line(window, 20)), List.of(1));
        var comparison = Comparison.in(place, List.of(band(new Load.Impedance(450, 0))), List.of());
        assertThat(comparison.row(candidate("window", window, "1")).suitability())
                .isEqualTo(Suitability.SUITED);
        assertThat(comparison.row(thick()).suitability()).isEqualTo(Suitability.OTHER_IMPEDANCE);
    }

    @Test
    void wattsCannotBeAskedOfAReceiver() {
        var receiver = new Radio(OptionalDouble.empty(), 50, org.eskiz.core.run.Matching.NONE, 0, false);
        var place = new ReplaceableRun(Run.of(new Element.Line(THIN, 30)), List.of(0));
        var comparison = Comparison.in(
                place,
                List.of(new Band(receiver, TWO_METRES, new Load.SwrAtAntenna(1))),
                List.of(new Requirement.OnBand(BandFigure.POWER, 5)));
        assertThatThrownBy(() -> comparison.row(thick())).hasMessageContaining("receiver");
    }

    private static Verdict verdict(Requirement asked) {
        return compare(asked, thick()).verdict();
    }

    private static Row compare(Requirement asked, Candidate candidate) {
        return comparison(asked).row(candidate);
    }

    private static Comparison comparison(Requirement asked) {
        var place = new ReplaceableRun(Run.of(new Element.Line(THIN, 30)), List.of(0));
        return Comparison.in(place, List.of(band(new Load.SwrAtAntenna(1))), List.of(asked));
    }

    private static Band band(Load load) {
        return new Band(Radio.matched(100), TWO_METRES, load);
    }

    private static Band at(double frequencyMHz) {
        return new Band(Radio.matched(100), new Conditions(frequencyMHz, 20), new Load.SwrAtAntenna(1));
    }

    private static Candidate thick() {
        return candidate("thick", THICK, "3.60");
    }

    private static Candidate candidate(String id, Cable cable, String pricePerM) {
        return candidate(id, cable, pricePerM, false);
    }

    private static Candidate candidate(String id, Cable cable, String pricePerM, boolean balanced) {
        return new Candidate(
                id,
                cable,
                balanced,
                Optional.of(new Money(new BigDecimal(pricePerM), EUR)),
                OptionalDouble.empty(),
                Mechanics.weighing(OptionalDouble.of(100)),
                Ratings.UNKNOWN,
                0);
    }

    private static double totalLossDb(Row row) {
        return row.cells().get(0).assessment().orElseThrow().totalLossDb();
    }

    private static List<String> ids(List<Row> rows) {
        return rows.stream().map(Row::id).toList();
    }
}
