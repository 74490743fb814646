package org.eskiz.core.choice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.math.BigDecimal;
import java.util.Currency;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.AveragePower;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.core.cable.Mechanics;
import org.eskiz.core.cable.Ratings;
import org.eskiz.core.choice.Reason.Cause;
import org.eskiz.core.receive.Receiver;
import org.eskiz.core.run.Conditions;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.Load;
import org.eskiz.core.run.MatchingUnit;
import org.eskiz.core.run.Radio;
import org.eskiz.core.run.Run;
import org.eskiz.core.run.RunAssessment;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Everything that can be asked, of a band and of the place. */
class AskedTest {

    private static final Currency EUR = Currency.getInstance("EUR");
    private static final Cable MEDIUM = Cable.ofCoefficients(50, 0.85, new Attenuation(0.7, 0.003));
    private static final Conditions TWO_METRES = new Conditions(145, 20);
    private static final Element JOINT = new Element.Pad(new InsertionLoss.Flat(0.05), OptionalDouble.empty());
    private static final Run RUN = Run.of(JOINT, new Element.Line(MEDIUM, 30), JOINT);

    private static final Mechanics KNOWN = new Mechanics(
            OptionalDouble.of(10.3),
            OptionalDouble.of(101),
            OptionalDouble.of(25),
            OptionalDouble.of(102),
            OptionalDouble.of(-30),
            Optional.of(true),
            Optional.of(true),
            Optional.of(false),
            Optional.of(false));

    private static final Band BAND = new Band(
            Radio.matched(100),
            TWO_METRES,
            new Load.SwrAtAntenna(1.5),
            0.5,
            MatchingUnit.UNSTATED,
            OptionalDouble.of(2.15),
            Optional.of(new Band.Listening(new Receiver(3), 10)));

    @Test
    void lossIsHeldAgainstTheGainOfTheAntennaOfEachBand() {
        double lossDb = assessment().totalLossDb();
        Reason reason = onlyReason(BAND, new Requirement.OnBand(BandFigure.LOSS_OVER_GAIN, lossDb - 2.15 - 0.5));
        assertThat(reason.cause()).isEqualTo(Cause.MISSED);
        assertThat(reason.reached().orElseThrow()).isCloseTo(lossDb - 2.15, within(1e-12));
        assertThat(onlyReason(
                                new Band(Radio.matched(100), TWO_METRES, new Load.SwrAtAntenna(1.5)),
                                new Requirement.OnBand(BandFigure.LOSS_OVER_GAIN, 0))
                        .cause())
                .isEqualTo(Cause.UNKNOWN);
    }

    @Test
    void sUnitsAreSixDbEach() {
        double lossDb = assessment().totalLossDb();
        assertThat(verdict(new Requirement.OnBand(BandFigure.S_UNITS, (lossDb + 0.2001) / 6)))
                .isEqualTo(Verdict.PASS);
        assertThat(verdict(new Requirement.OnBand(BandFigure.S_UNITS, (lossDb + 0.1999) / 6)))
                .isEqualTo(Verdict.MARGINAL);
        assertThat(verdict(new Requirement.OnBand(BandFigure.S_UNITS, (lossDb - 0.001) / 6)))
                .isEqualTo(Verdict.FAIL);
    }

    @Test
    void theReceivePenaltyIsOfWhatNoiseMeetsAndItsSpareIsALossThatWouldCostAsMuch() {
        RunAssessment a = assessment();
        double penalty = BAND.listening().get().penaltyDb(a.runLossDb() + a.matchingLossDb());
        var asked = new Requirement.OnBand(BandFigure.RECEIVE_PENALTY, penalty + 0.3);
        Row row = row(BAND, asked, candidate(MEDIUM, KNOWN, Ratings.UNKNOWN, 0));
        assertThat(row.verdict()).isEqualTo(Verdict.PASS);
        double through = a.runLossDb() + a.matchingLossDb() + row.leastSpareDb();
        assertThat(BAND.listening().get().penaltyDb(through)).isCloseTo(penalty + 0.3, within(1e-9));
        assertThat(verdict(new Requirement.OnBand(BandFigure.RECEIVE_PENALTY, penalty - 0.01)))
                .isEqualTo(Verdict.FAIL);
    }

    @Test
    void theReceivePenaltyIsJudgedAtTheWorstAngleToo() {
        RunAssessment a = assessment();
        double mean = BAND.listening().get().penaltyDb(a.throughLossDb());
        double worst = BAND.listening().get().penaltyDb(a.throughLossAtWorstAngleDb());
        assertThat(worst).isGreaterThan(mean);
        var between = new Requirement.OnBand(BandFigure.RECEIVE_PENALTY, (mean + worst) / 2);
        Reason reason = onlyReason(row(BAND, between, candidate(MEDIUM, KNOWN, Ratings.UNKNOWN, 0)));
        assertThat(reason.cause()).isEqualTo(Cause.MISSED_AT_WORST_ANGLE);
        assertThat(reason.reached().orElseThrow()).isCloseTo(worst, within(1e-12));
    }

    @Test
    void aRatingMarginUnderOneAndAHalfIsMarginal() {
        var ratings = Ratings.ofLine(Optional.of(new AveragePower(200, 145, 40, 80)), OptionalDouble.of(150));
        var strong = Ratings.ofLine(ratings.average(), OptionalDouble.of(1500));
        Row row = row(BAND, new Requirement.OnBand(BandFigure.POWER_MARGIN, 1), candidate(MEDIUM, KNOWN, strong, 0));
        // 100 W at half duty against a rating of 200 W at 40 °C, so more at 20 °C: no reason to worry
        assertThat(row.verdict()).isEqualTo(Verdict.PASS);
        // 100 W in 50 Ω stand 100 V peak, more at an SWR of 1.5
        Reason voltage = onlyReason(
                row(BAND, new Requirement.OnBand(BandFigure.VOLTAGE_MARGIN, 1), candidate(MEDIUM, KNOWN, ratings, 0)));
        assertThat(voltage.cause()).isEqualTo(Cause.LITTLE_TO_SPARE);
        assertThat(voltage.reached().orElseThrow()).isBetween(1.0, 1.5);
        assertThat(onlyReason(row(
                                BAND,
                                new Requirement.OnBand(BandFigure.VOLTAGE_MARGIN, 2),
                                candidate(MEDIUM, KNOWN, ratings, 0)))
                        .cause())
                .isEqualTo(Cause.MISSED);
    }

    @Test
    void aRatingThatNobodyStatedIsUnknownNotEndless() {
        Reason reason = onlyReason(BAND, new Requirement.OnBand(BandFigure.POWER_MARGIN, 1));
        assertThat(reason.cause()).isEqualTo(Cause.UNKNOWN);
        assertThat(reason.reached()).isEmpty();
        assertThat(verdict(new Requirement.OnBand(BandFigure.POWER_MARGIN, 1))).isEqualTo(Verdict.MARGINAL);
    }

    @Test
    void aRequirementOfOneBandLeavesTheOthersAlone() {
        var other = new Band(Radio.matched(100), new Conditions(435, 20), new Load.SwrAtAntenna(1.5));
        double lossDb = assessment().totalLossDb() + 0.3;
        Row ofFirst = Comparison.in(
                        new ReplaceableRun(RUN, List.of(1)),
                        List.of(BAND, other),
                        List.of(new Requirement.OnBand(BandFigure.LOSS, lossDb, OptionalInt.of(0))))
                .row(new Candidate("it", MEDIUM));
        assertThat(ofFirst.verdict()).isEqualTo(Verdict.PASS);
        Row ofAll = Comparison.in(
                        new ReplaceableRun(RUN, List.of(1)),
                        List.of(BAND, other),
                        List.of(new Requirement.OnBand(BandFigure.LOSS, lossDb)))
                .row(new Candidate("it", MEDIUM));
        assertThat(ofAll.reasons().get(0).band()).hasValue(1);
    }

    @Test
    void missedAtTheUnluckyEndOfTheToleranceIsMarginal() {
        double meanDb = assessment().totalLossDb();
        var asked = new Requirement.OnBand(BandFigure.LOSS, meanDb + 0.25);
        assertThat(row(BAND, asked, candidate(MEDIUM, KNOWN, Ratings.UNKNOWN, 0.01))
                        .verdict())
                .isEqualTo(Verdict.PASS);
        Row row = row(BAND, asked, candidate(MEDIUM, KNOWN, Ratings.UNKNOWN, 0.1));
        Reason reason = onlyReason(row);
        assertThat(reason.cause()).isEqualTo(Cause.MISSED_AT_TOLERANCE);
        Run unlucky = Run.of(JOINT, new Element.Line(MEDIUM.withAttenuationScaledBy(1.1), 30), JOINT);
        assertThat(reason.reached().orElseThrow())
                .isCloseTo(
                        RunAssessment.of(unlucky, Radio.matched(100), TWO_METRES, BAND.load())
                                .totalLossDb(),
                        within(1e-12));
        var comparison = Comparison.in(new ReplaceableRun(RUN, List.of(1)), List.of(BAND), List.of(asked));
        assertThat(comparison.lossAtTolerance(row, 0, 1))
                .hasValue(reason.reached().orElseThrow());
        assertThat(comparison.lossAtTolerance(row, 0, -1).orElseThrow()).isLessThan(meanDb);
    }

    @ParameterizedTest
    @CsvSource({
        "COST, 108.1, MARGINAL",
        "COST, 120, PASS",
        "COST, 107, FAIL",
        "MASS, 3.02, FAIL",
        "MASS, 3.1, MARGINAL",
        "MASS, 4, PASS",
        "MASS_ON_MAST, 1, FAIL",
        "MASS_ON_MAST, 1.2, PASS",
        "DIAMETER, 10, FAIL",
        "DIAMETER, 10.5, MARGINAL",
        "DIAMETER, 16, PASS",
        "BEND_ONCE, 20, FAIL",
        "BEND_ONCE, 30, PASS",
        "BEND_REPEATED, 100, FAIL",
        "BEND_REPEATED, 150, PASS",
        "COLDEST_UNROLLING, -31, FAIL",
        "COLDEST_UNROLLING, -30, PASS",
        "COLDEST_UNROLLING, 0, PASS",
        "SUN, 1, PASS",
        "WATER, 1, PASS",
        "BURIAL, 1, FAIL",
        "REPEATED_FLEXING, 1, FAIL",
        "IMPEDANCE, 1, PASS"
    })
    void thePlaceAndThePurseAsk(RunFigure figure, double asked, Verdict verdict) {
        Row row = atHeight(11, candidate(MEDIUM, KNOWN, Ratings.UNKNOWN, 0), new Requirement.OfRun(figure, asked));
        assertThat(row.verdict()).isEqualTo(verdict);
    }

    @ParameterizedTest
    @CsvSource({
        "COST",
        "MASS",
        "MASS_ON_MAST",
        "DIAMETER",
        "BEND_ONCE",
        "BEND_REPEATED",
        "COLDEST_UNROLLING",
        "SUN",
        "WATER",
        "BURIAL",
        "REPEATED_FLEXING"
    })
    void whatNobodySaidIsUnknown(RunFigure figure) {
        Row row = atHeight(11, new Candidate("it", MEDIUM), new Requirement.OfRun(figure, 1));
        assertThat(onlyReason(row).cause()).isEqualTo(Cause.UNKNOWN);
        assertThat(row.verdict()).isEqualTo(Verdict.MARGINAL);
    }

    @Test
    void costAndMassAreThoseOfEveryRunAndOfBothEnds() {
        Row fitted = bought(Purchase.ONCE);
        assertThat(fitted.cost().orElseThrow().amount()).isEqualByComparingTo("119");
        Row four = bought(new Purchase(4, Optional.empty(), Optional.empty()));
        assertThat(four.cost().orElseThrow().amount()).isEqualByComparingTo("476");
        assertThat(four.massKg().orElseThrow()).isCloseTo(4 * 3.03, within(1e-12));
        Row readyMade = bought(new Purchase(1, Optional.of(new Money(new BigDecimal("9"), EUR)), Optional.empty()));
        assertThat(readyMade.cost().orElseThrow().amount()).isEqualByComparingTo("126");
        assertThatThrownBy(() -> new Purchase(0, Optional.empty(), Optional.empty()))
                .hasMessageContaining("0 times");
    }

    @ParameterizedTest
    @CsvSource({"1, 30, 108", "3, 60, 432", "1, 25, 180", "2, 100, 360"})
    void whatIsSoldInWholeLengthsIsBoughtInThem(int runs, double reelM, String cost) {
        var sold = new Candidate(
                "it",
                MEDIUM,
                false,
                Optional.of(new Money(new BigDecimal("3.60"), EUR)),
                OptionalDouble.of(reelM),
                KNOWN,
                Ratings.UNKNOWN,
                0);
        Row row = Comparison.in(
                        new ReplaceableRun(RUN, List.of(1)),
                        new Purchase(runs, Optional.empty(), Optional.empty()),
                        List.of(BAND),
                        List.of())
                .row(sold);
        assertThat(row.cost().orElseThrow().amount()).isEqualByComparingTo(cost);
    }

    @Test
    void aBudgetInAnotherCurrencySaysNothingOfThePrice() {
        var inDollars = new Purchase(1, Optional.empty(), Optional.of(Currency.getInstance("USD")));
        Row row = Comparison.in(
                        place(5, 11), inDollars, List.of(BAND), List.of(new Requirement.OfRun(RunFigure.COST, 1)))
                .row(candidate(MEDIUM, KNOWN, Ratings.UNKNOWN, 0));
        assertThat(onlyReason(row).cause()).isEqualTo(Cause.UNKNOWN);
    }

    @Test
    void connectorsMustFitTheCable() {
        assertThat(withConnectors(5, 11, KNOWN).verdict()).isEqualTo(Verdict.PASS);
        assertThat(withConnectors(2, 6, KNOWN).verdict()).isEqualTo(Verdict.FAIL);
        assertThat(onlyReason(withConnectors(2, 6, Mechanics.UNKNOWN)).cause()).isEqualTo(Cause.UNKNOWN);
    }

    @Test
    void theRunMustEndInWhatTheSocketsTake() {
        for (boolean fits : new boolean[] {true, false}) {
            var place = new ReplaceableRun(RUN, List.of(1), List.of(), Optional.of(fits), OptionalDouble.empty());
            Row row = Comparison.in(place, List.of(BAND), List.of(new Requirement.OfRun(RunFigure.CONNECTORS)))
                    .row(new Candidate("it", MEDIUM));
            assertThat(row.verdict()).isEqualTo(fits ? Verdict.PASS : Verdict.FAIL);
        }
    }

    private static Row bought(Purchase purchase) {
        return Comparison.in(place(5, 11), purchase, List.of(BAND), List.of())
                .row(candidate(MEDIUM, KNOWN, Ratings.UNKNOWN, 0));
    }

    private static Row withConnectors(double leastMm, double mostMm, Mechanics mechanics) {
        return Comparison.in(
                        place(leastMm, mostMm), List.of(BAND), List.of(new Requirement.OfRun(RunFigure.CONNECTORS)))
                .row(candidate(MEDIUM, mechanics, Ratings.UNKNOWN, 0));
    }

    private static ReplaceableRun place(double leastMm, double mostMm) {
        var joint = new ReplaceableRun.Known(
                Ratings.UNKNOWN,
                0,
                false,
                Optional.of(new ReplaceableRun.Connector(
                        Optional.of(new Money(new BigDecimal("5.50"), EUR)),
                        OptionalDouble.of(leastMm),
                        OptionalDouble.of(mostMm))));
        return new ReplaceableRun(
                RUN,
                List.of(1),
                List.of(joint, ReplaceableRun.Known.UNKNOWN, joint),
                Optional.empty(),
                OptionalDouble.empty());
    }

    private static Row atHeight(double mastM, Candidate candidate, Requirement asked) {
        var place = new ReplaceableRun(RUN, List.of(1), List.of(), Optional.empty(), OptionalDouble.of(mastM));
        return Comparison.in(place, List.of(BAND), List.of(asked)).row(candidate);
    }

    private static Candidate candidate(Cable cable, Mechanics mechanics, Ratings ratings, double tolerance) {
        return new Candidate(
                "it",
                cable,
                false,
                Optional.of(new Money(new BigDecimal("3.60"), EUR)),
                OptionalDouble.empty(),
                mechanics,
                ratings,
                tolerance);
    }

    private static RunAssessment assessment() {
        return RunAssessment.of(RUN, Radio.matched(100), TWO_METRES, BAND.load());
    }

    private static Row row(Band band, Requirement asked, Candidate candidate) {
        return Comparison.in(new ReplaceableRun(RUN, List.of(1)), List.of(band), List.of(asked))
                .row(candidate);
    }

    private static Verdict verdict(Requirement asked) {
        return row(BAND, asked, candidate(MEDIUM, KNOWN, Ratings.UNKNOWN, 0)).verdict();
    }

    private static Reason onlyReason(Band band, Requirement asked) {
        return onlyReason(row(band, asked, candidate(MEDIUM, KNOWN, Ratings.UNKNOWN, 0)));
    }

    private static Reason onlyReason(Row row) {
        assertThat(row.reasons()).hasSize(1);
        return row.reasons().get(0);
    }
}
