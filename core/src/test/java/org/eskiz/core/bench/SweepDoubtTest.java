package org.eskiz.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.IntStream;
import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.bench.SweepDoubt.Kind;
import org.eskiz.core.bench.TestFinding.Wanted;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Cable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Sweeps made by formula: of a line that is as it should be, and of what no passive thing can show. */
class SweepDoubtTest {

    private static final double VELOCITY = 0.66;
    private static final double LENGTH_M = 10;
    private static final Attenuation LAW = new Attenuation(1.2, 0.01);
    private static final List<Double> GRID =
            IntStream.rangeClosed(1, 200).mapToObj(i -> 0.5 * i).toList();

    @Test
    void aLineAsItShouldBeIsNotDoubted() {
        Sweep.TwoPort sweep = through(SweepDoubtTest::lossDb, 0);
        assertThat(SweepDoubt.of(sweep)).isEmpty();
        assertThat(SweepDoubt.of(sweep, LineFromSweep.through(sweep))).isEmpty();
    }

    @Test
    void gainIsAMissingCalibration() {
        Sweep.TwoPort sweep = through(f -> -0.4, 0);
        assertThat(SweepDoubt.of(sweep)).singleElement().satisfies(d -> {
            assertThat(d.kind()).isEqualTo(Kind.GAIN);
            assertThat(d.number()).isCloseTo(-0.4, within(1e-9));
        });
    }

    @Test
    void aLittleBelowNothingIsTheAnalysersOwnNoise() {
        assertThat(SweepDoubt.of(through(f -> -0.05, 0))).isEmpty();
    }

    @Test
    void aFewBadPointsAreNotAFaultOfTheWholeSweep() {
        assertThat(SweepDoubt.of(through(f -> f < 3 ? -0.5 : lossDb(f), 0))).isEmpty();
    }

    @Test
    void moreOutThanInIsACalibrationThatDoesNotFit() {
        Sweep.TwoPort sweep = through(f -> 0.1, 0.5);
        assertThat(SweepDoubt.of(sweep)).extracting(SweepDoubt::kind).containsExactly(Kind.MORE_OUT_THAN_IN);
        assertThat(SweepDoubt.of(sweep).get(0).number()).isCloseTo(0.25 + Math.pow(10, -0.01), within(1e-9));
    }

    @Test
    void aLossThatWaversAllOverIsALoosePlug() {
        Sweep.TwoPort sweep = through(f -> 3 + 2.5 * Math.sin(2 * f), 0);
        assertThat(SweepDoubt.of(sweep, LineFromSweep.through(sweep)))
                .extracting(SweepDoubt::kind)
                .containsExactly(Kind.RIPPLE_EVERYWHERE);
    }

    @Test
    void aLookIntoOneEndThatSendsBackMoreThanItGotIsDoubted() {
        assertThat(SweepDoubt.of(oneEnd(1, 1.05))).extracting(SweepDoubt::kind).containsExactly(Kind.GAIN);
        assertThat(SweepDoubt.of(oneEnd(1, 1))).isEmpty();
    }

    @Test
    void openAndShortedTellLossImpedanceAndLength() {
        MeasuredLine line = LineFromSweep.openAndShorted(oneEnd(1, 1), oneEnd(-1, 1));
        assertThat(line.impedanceOhm()).hasValueCloseTo(50.0, within(1e-6));
        assertThat(line.lengthM(VELOCITY)).isCloseTo(LENGTH_M, within(1e-6));
        assertThat(line.lossDbAt(50)).hasValueCloseTo(lossDb(50), within(1e-6));
        assertThat(line.isEstimate()).isFalse();
    }

    @Test
    void oneLookAloneIsAnEstimateAndAsksForTheOther() {
        TestAnalysis open = analysed(Optional.of(oneEnd(1, 1)), Optional.empty());
        assertThat(open.findings()).contains(new TestFinding.Estimate(false));
        assertThat(open.swept().orElseThrow().line().isEstimate()).isTrue();
        TestAnalysis shorted = analysed(Optional.empty(), Optional.of(oneEnd(-1, 1)));
        assertThat(shorted.findings()).contains(new TestFinding.Estimate(true));
    }

    @Test
    void bothLooksAreAMeasurement() {
        TestAnalysis both = analysed(Optional.of(oneEnd(1, 1)), Optional.of(oneEnd(-1, 1)));
        assertThat(both.findings()).isEmpty();
        assertThat(both.outcome()).hasValue(SheetDeviation.Outcome.AS_THE_SHEET);
        assertThat(both.ownCable().orElseThrow().cable().attenuation().k1()).isCloseTo(1.2, within(1e-3));
    }

    @Test
    void aLookIntoALoadTellsPlacesAndAsksForNothing() {
        var sweeps = new TestSweeps.OneEnd(Optional.empty(), Optional.empty(), true);
        assertThat(TestAnalysis.of(test(sweeps), List.of()).findings()).isEmpty();
        var none = new TestSweeps.OneEnd(Optional.empty(), Optional.empty(), false);
        assertThat(TestAnalysis.of(test(none), List.of()).findings())
                .containsExactly(new TestFinding.Missing(Wanted.ONE_END_SWEEP));
    }

    @Test
    void twoSweepsOfOtherFrequenciesAreNoPair() {
        Sweep.OnePort half = new Sweep.OnePort(
                50, GRID.subList(0, 100), oneEnd(-1, 1).reflections().subList(0, 100));
        assertThatThrownBy(() -> LineFromSweep.openAndShorted(oneEnd(1, 1), half))
                .isInstanceOf(SweepException.class)
                .hasMessageContaining("200 points")
                .hasMessageContaining("100");
    }

    /** Half a circle from one point to the next: 0.66·c/(2·0.5 MHz) is 198 m through a line, half of it from one end. */
    @ParameterizedTest
    @ValueSource(doubles = {0.3, 0.66, 0.95})
    void stepsFollowALineOfHalfACircleAStep(double velocity) {
        double through = SweepSteps.longestLengthM(through(SweepDoubtTest::lossDb, 0), velocity);
        assertThat(through).isCloseTo(velocity * 299.792458, within(1e-9));
        assertThat(SweepSteps.longestLengthM(oneEnd(1, 1), velocity)).isCloseTo(through / 2, within(1e-9));
    }

    @Test
    void stepsThatAreTooCoarseSayWhichWouldDo() {
        assertThatThrownBy(() -> SweepSteps.requireFineEnough(oneEnd(1, 1), 200, VELOCITY))
                .isInstanceOf(SweepException.class)
                .hasMessageContaining("0.5000 MHz")
                .hasMessageContaining("0.247 MHz");
    }

    private static TestAnalysis analysed(Optional<Sweep> open, Optional<Sweep> shorted) {
        return TestAnalysis.of(test(new TestSweeps.OneEnd(open, shorted, false)), List.of());
    }

    private static BenchTest test(TestSweeps sweeps) {
        var type = new TypeSheet("solid", Cable.ofCoefficients(50, VELOCITY, LAW), 0.05);
        return new BenchTest(
                new TestSubject(Optional.of(type), OptionalDouble.of(LENGTH_M), 20, List.of(), Optional.empty()),
                List.of(),
                new Wattmeter(PowerReading.Repeatability.USUAL, Wattmeter.USUAL_CLASS, new Lead.None()),
                sweeps,
                List.of(7.0, 14.0, 28.0, 50.0));
    }

    private static double lossDb(double frequencyMHz) {
        return LAW.dbPer100m(frequencyMHz, 20) * LENGTH_M / 100;
    }

    private static double turn(double frequencyMHz) {
        return 2 * Math.PI * frequencyMHz * LENGTH_M / (VELOCITY * 299.792458);
    }

    private static Sweep.TwoPort through(DoubleUnaryOperator lossDb, double reflected) {
        return new Sweep.TwoPort(
                50,
                GRID,
                GRID.stream()
                        .map(f -> {
                            Complex s21 = Complex.ofCis(-turn(f)).multiply(Math.pow(10, -lossDb.applyAsDouble(f) / 20));
                            Complex s11 = Complex.ofCartesian(reflected, 0);
                            return new Sweep.Scattering(s11, s21, s21, s11);
                        })
                        .toList());
    }

    /** What a far end sends back, through the line there and back: 1 where it is open, −1 where it is shorted. */
    private static Sweep.OnePort oneEnd(double farEnd, double times) {
        return new Sweep.OnePort(
                50,
                GRID,
                GRID.stream()
                        .map(f -> Complex.ofCis(-2 * turn(f))
                                .multiply(farEnd
                                        * times
                                        * Math.pow(10, -2 * lossDb(f) / 20)
                                        / (times > 1 ? Math.pow(10, -2 * lossDb(f) / 20) : 1)))
                        .toList());
    }
}
