package org.eskiz.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.bench.SheetDeviation.Outcome;
import org.eskiz.core.bench.TestFinding.Missing;
import org.eskiz.core.bench.TestFinding.Wanted;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Cable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TestAnalysisTest {

    private static final double SPEED_M_PER_US = 299.792458;

    private static final TypeSheet SOLID = type("solid", 0.66, 1.26, 0.0105);
    private static final TypeSheet FOAM = type("foam", 0.82, 0.62, 0.005);
    private static final double[] BANDS = {7, 14, 28, 50, 144};

    @Test
    void lossesOnTheSheetAreAsTheSheet() {
        TestAnalysis analysis = TestAnalysis.of(losses(SOLID, 20, f -> loss(SOLID, f, 20)), List.of());
        assertThat(analysis.outcome()).hasValue(Outcome.AS_THE_SHEET);
        assertThat(analysis.findings()).isEmpty();
        assertThat(analysis.figures())
                .hasSize(BANDS.length)
                .allSatisfy(f -> assertThat(f.per100mDb().getAsDouble())
                        .isCloseTo(f.point().lossDb() * 5, within(1e-12)));
    }

    @Test
    void theWorstFigureIsOfTheOutcomeOfTheWhole() {
        TestAnalysis analysis =
                TestAnalysis.of(losses(SOLID, 20, f -> loss(SOLID, f, 20) + (f == 50 ? 2 : 0)), List.of());
        assertThat(analysis.outcome()).hasValue(Outcome.WORSE);
        assertThat(analysis.worst().orElseThrow().point().frequencyMHz()).isEqualTo(50);
    }

    @Test
    void aPieceOfUnknownTypeIsLikenedAndTheTypeAskedFor() {
        BenchTest test = test(subject(null, 20.0), rows(f -> loss(FOAM, f, 20)), new Lead.None());
        TestAnalysis analysis = TestAnalysis.of(test, List.of(SOLID, FOAM));
        assertThat(analysis.outcome()).isEmpty();
        assertThat(analysis.likeTypes()).extracting(Likeness::type).containsExactly(FOAM);
        assertThat(analysis.findings()).containsExactly(new Missing(Wanted.TYPE));
    }

    @Test
    void aPieceThatIsAsItsSheetIsLikenedToNothing() {
        assertThat(TestAnalysis.of(losses(FOAM, 20, f -> loss(FOAM, f, 20)), List.of(SOLID, FOAM))
                        .likeTypes())
                .isEmpty();
    }

    @Test
    void aPieceOfUnknownLengthIsAskedForIt() {
        BenchTest test = test(subject(FOAM, null), rows(f -> loss(FOAM, f, 20)), new Lead.None());
        TestAnalysis analysis = TestAnalysis.of(test, List.of());
        assertThat(analysis.findings()).containsExactly(new Missing(Wanted.LENGTH));
        assertThat(analysis.figures()).allSatisfy(f -> assertThat(f.per100mDb()).isEmpty());
        assertThat(analysis.ownCable()).isEmpty();
    }

    @Test
    void anOwnCableIsTheLawBehindTheLosses() {
        TestAnalysis analysis = TestAnalysis.of(losses(FOAM, 20, f -> loss(FOAM, f, 20) + 0.2), List.of());
        OwnCable own = analysis.ownCable().orElseThrow().cable();
        assertThat(own.attenuation().k1()).isCloseTo(0.62, within(1e-6));
        assertThat(own.attenuation().k2()).isCloseTo(0.005, within(1e-6));
        assertThat(own.jointsDb()).isCloseTo(0.2, within(1e-6));
    }

    @Test
    void twoBandsMakeNoOwnCable() {
        List<TestRow> two = rows(f -> loss(FOAM, f, 20)).subList(0, 2);
        assertThat(TestAnalysis.of(test(subject(FOAM, 20.0), two, new Lead.None()), List.of())
                        .ownCable())
                .isEmpty();
    }

    @Test
    void aShortPieceThatLosesMuchHasItsLossInAConnector() {
        TestAnalysis analysis = TestAnalysis.of(losses(FOAM, 1.5, f -> loss(FOAM, f, 1.5) + 0.5), List.of());
        assertThat(analysis.findings()).singleElement().isInstanceOfSatisfying(TestFinding.ShortAndLossy.class, f -> {
            assertThat(f.lengthM()).isEqualTo(1.5);
            assertThat(f.excessDb()).isCloseTo(0.5, within(1e-9));
        });
    }

    @Test
    void twoLengthsPartCableAndConnectors() {
        List<TestRow> rows = List.of(row(14, OptionalDouble.empty(), 1.3), row(14, OptionalDouble.of(40), 2.3));
        TestAnalysis analysis = TestAnalysis.of(test(subject(null, 20.0), rows, new Lead.None()), List.of());
        SeveralLengths parted = analysis.severalLengths().get(14.0);
        assertThat(parted.cableDbPerM()).isCloseTo(0.05, within(1e-12));
        assertThat(parted.connectorsDb()).isCloseTo(0.3, within(1e-12));
        assertThat(analysis.figures()).as("of its own length only").hasSize(1);
    }

    @Test
    void connectorsThatGainAreAFinding() {
        List<TestRow> rows = List.of(row(14, OptionalDouble.empty(), 1), row(14, OptionalDouble.of(40), 2.3));
        assertThat(TestAnalysis.of(test(subject(null, 20.0), rows, new Lead.None()), List.of())
                        .findings())
                .anySatisfy(f -> assertThat(f)
                        .isInstanceOfSatisfying(
                                TestFinding.ConnectorsBelowNothing.class,
                                c -> assertThat(c.connectorsDb()).isCloseTo(-0.3, within(1e-12))));
    }

    @Test
    void twoLevelsThatLoseDifferentlyAreAFindingOnce() {
        List<TestRow> rows = List.of(
                row(14, OptionalDouble.empty(), 1),
                row(14, OptionalDouble.empty(), 2),
                row(14, OptionalDouble.empty(), 3));
        assertThat(TestAnalysis.of(test(subject(FOAM, 20.0), rows, new Lead.None()), List.of())
                        .findings())
                .containsExactly(new TestFinding.LevelsDisagree(14, 1, 2));
    }

    @Test
    void aReadingWithoutABaselineIsTroubleOfItsRowAlone() {
        List<TestRow> rows = List.of(power(14, "", "80"), power(28, "100", "79"));
        TestAnalysis analysis = TestAnalysis.of(test(subject(FOAM, 20.0), rows, new Lead.None()), List.of());
        assertThat(analysis.rows().get(0).trouble().orElseThrow()).hasMessageContaining("no baseline");
        assertThat(analysis.rows().get(1).trouble()).isEmpty();
        assertThat(analysis.figures()).hasSize(1);
    }

    @Test
    void moreThroughTheCableThanWithoutItIsAFindingAndNoFigure() {
        TestAnalysis analysis =
                TestAnalysis.of(test(subject(FOAM, 20.0), List.of(power(14, "80", "100")), new Lead.None()), List.of());
        assertThat(analysis.figures()).isEmpty();
        assertThat(analysis.findings())
                .singleElement()
                .isInstanceOfSatisfying(
                        TestFinding.ThroughAboveBaseline.class,
                        f -> assertThat(f.frequencyMHz()).isEqualTo(14));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", " "})
    void aRowWithoutAReadingIsNoTrouble(String through) {
        TestAnalysis analysis = TestAnalysis.of(
                test(subject(FOAM, 20.0), List.of(power(14, "80", through)), new Lead.None()), List.of());
        assertThat(analysis.rows())
                .singleElement()
                .satisfies(r -> assertThat(r.trouble()).isEmpty());
    }

    @Test
    void aLeadThatWasTakenOutIsAddedOneThatStayedInIsNot() {
        double plainDb = figureDb(new Lead.None());
        assertThat(figureDb(new Lead.TakenOutOfLoss(0.4))).isCloseTo(plainDb + 0.4, within(1e-12));
        assertThat(figureDb(new Lead.StayedIn())).isEqualTo(plainDb);
        Expectation piece = new Expectation(FOAM.cable().attenuation(), 2, 20, List.of(), 0);
        assertThat(figureDb(new Lead.TakenOutOfCable(piece))).isCloseTo(plainDb + loss(FOAM, 14, 2), within(1e-12));
    }

    @Test
    void aLeadNobodyKnowsIsAskedFor() {
        BenchTest test = test(subject(FOAM, 20.0), List.of(power(14, "100", "79")), new Lead.TakenOut());
        assertThat(TestAnalysis.of(test, List.of()).findings()).contains(new Missing(Wanted.LEAD));
    }

    @Test
    void aSweepThatWasNotTakenYetIsAskedFor() {
        assertThat(TestAnalysis.of(swept(subject(FOAM, 20.0), new TestSweeps.Through(Optional.empty())), List.of())
                        .findings())
                .containsExactly(new Missing(Wanted.THROUGH_SWEEP));
        var oneEnd = new TestSweeps.OneEnd(Optional.empty(), Optional.empty(), false);
        assertThat(TestAnalysis.of(swept(subject(FOAM, 20.0), oneEnd), List.of())
                        .findings())
                .containsExactly(new Missing(Wanted.ONE_END_SWEEP));
    }

    @Test
    void aSweepOfOnePortIsNoSweepThrough() {
        var sweeps = new TestSweeps.Through(Optional.of(through(FOAM, 20).nearEnd()));
        assertThat(TestAnalysis.of(swept(subject(FOAM, 20.0), sweeps), List.of())
                        .findings())
                .singleElement()
                .isInstanceOfSatisfying(
                        TestFinding.Impossible.class,
                        f -> assertThat(f.why().getMessage()).contains("one port"));
    }

    @Test
    void aSweepTellsLossesAtTheBandsAndTheLength() {
        TestAnalysis analysis = TestAnalysis.of(sweptThrough(subject(FOAM, null), FOAM, 20), List.of());
        SweptLine line = analysis.swept().orElseThrow();
        assertThat(line.lengthByTypeM().getAsDouble()).isCloseTo(20, within(1e-6));
        assertThat(line.lengthByTypeUncertaintyM().getAsDouble()).isCloseTo(0.03 * 20 + 0.1, within(0.01));
        assertThat(line.lengthM()).isEqualTo(line.lengthByTypeM());
        assertThat(line.velocityFactor()).isEmpty();
        assertThat(analysis.outcome()).hasValue(Outcome.AS_THE_SHEET);
        assertThat(analysis.figures()).extracting(f -> f.point().frequencyMHz()).containsExactly(7.0, 14.0, 28.0);
    }

    @Test
    void bandsOutsideTheSweepAreNamed() {
        TestAnalysis analysis = TestAnalysis.of(sweptThrough(subject(FOAM, 20.0), FOAM, 20), List.of());
        assertThat(analysis.findings()).containsExactly(new TestFinding.BandNotSwept(List.of(1296.0), 1, 100));
    }

    @Test
    void aWaveOfAnotherSpeedNamesTheLengthItWouldBeAndNoCause() {
        TestAnalysis analysis = TestAnalysis.of(sweptThrough(subject(SOLID, 20.0), FOAM, 20), List.of(FOAM));
        assertThat(analysis.findings())
                .filteredOn(TestFinding.OtherVelocity.class::isInstance)
                .singleElement()
                .isInstanceOfSatisfying(TestFinding.OtherVelocity.class, f -> {
                    assertThat(f.measured()).isCloseTo(0.82, within(1e-6));
                    assertThat(f.lengthByTypeM()).isCloseTo(20 * 0.66 / 0.82, within(1e-6));
                });
        assertThat(analysis.causes()).isEmpty();
        assertThat(analysis.likeTypes()).extracting(Likeness::type).containsExactly(FOAM);
    }

    @Test
    void aTypeOfAnotherVelocityIsNotLikenedHoweverItsLossesMeet() {
        TypeSheet slowTwin = type("slow", 0.66, 0.62, 0.005);
        TestAnalysis analysis = TestAnalysis.of(sweptThrough(subject(null, 20.0), FOAM, 20), List.of(slowTwin, FOAM));
        assertThat(analysis.likeTypes()).extracting(Likeness::type).containsExactly(FOAM);
    }

    private static double figureDb(Lead lead) {
        BenchTest test = test(subject(FOAM, 20.0), List.of(power(14, "100", "79")), lead);
        return TestAnalysis.of(test, List.of()).figures().get(0).point().lossDb();
    }

    private interface LossAt {
        double db(double frequencyMHz);
    }

    private static TypeSheet type(String key, double velocityFactor, double k1, double k2) {
        return new TypeSheet(key, Cable.ofCoefficients(50, velocityFactor, new Attenuation(k1, k2)), 0.05);
    }

    private static double loss(TypeSheet type, double frequencyMHz, double lengthM) {
        return type.cable().attenuation().dbPer100m(frequencyMHz, 20) * lengthM / 100;
    }

    private static TestSubject subject(TypeSheet type, Double lengthM) {
        return new TestSubject(
                Optional.ofNullable(type),
                lengthM == null ? OptionalDouble.empty() : OptionalDouble.of(lengthM),
                20,
                List.of(),
                Optional.empty());
    }

    private static BenchTest losses(TypeSheet type, double lengthM, LossAt loss) {
        return test(subject(type, lengthM), rows(loss), new Lead.None());
    }

    private static List<TestRow> rows(LossAt loss) {
        return DoubleStream.of(BANDS)
                .mapToObj(f -> row(f, OptionalDouble.empty(), loss.db(f)))
                .toList();
    }

    private static TestRow row(double frequencyMHz, OptionalDouble lengthM, double lossDb) {
        return new TestRow.OfLoss(OptionalDouble.of(frequencyMHz), lengthM, OptionalDouble.of(lossDb));
    }

    private static TestRow power(double frequencyMHz, String baseline, String through) {
        return new TestRow.OfPower(OptionalDouble.of(frequencyMHz), OptionalDouble.empty(), baseline, through, "");
    }

    private static Wattmeter meter(Lead lead) {
        return new Wattmeter(PowerReading.Repeatability.USUAL, Wattmeter.USUAL_CLASS, lead);
    }

    private static BenchTest test(TestSubject subject, List<TestRow> rows, Lead lead) {
        return new BenchTest(subject, rows, meter(lead), new TestSweeps.None(), List.of());
    }

    private static BenchTest swept(TestSubject subject, TestSweeps sweeps) {
        return new BenchTest(subject, List.of(), meter(new Lead.None()), sweeps, List.of(7.0, 14.0, 28.0, 1296.0));
    }

    private static BenchTest sweptThrough(TestSubject subject, TypeSheet really, double lengthM) {
        return swept(subject, new TestSweeps.Through(Optional.of(through(really, lengthM))));
    }

    /** S of a line of 50 Ω between two ports of 50 Ω: nothing comes back, and e^(−γl) comes through. */
    private static Sweep.TwoPort through(TypeSheet type, double lengthM) {
        List<Double> f = IntStream.rangeClosed(1, 100).mapToObj(i -> (double) i).toList();
        return new Sweep.TwoPort(
                50,
                f,
                f.stream()
                        .map(mhz -> {
                            double magnitude = Math.pow(10, -loss(type, mhz, lengthM) / 20);
                            double phase =
                                    -2 * Math.PI * mhz * lengthM / (type.cable().velocityFactor() * SPEED_M_PER_US);
                            Complex s21 = Complex.ofPolar(magnitude, 0).multiply(Complex.ofCis(phase));
                            return new Sweep.Scattering(Complex.ZERO, s21, s21, Complex.ZERO);
                        })
                        .toList());
    }
}
