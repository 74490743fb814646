package org.eskiz.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.bench.Cause.Kind;
import org.eskiz.core.bench.SheetDeviation.Outcome;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.InsertionLoss;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/** Measured losses against the sheet, and what their shape speaks for. */
class JudgingTest {

    private static final Expectation SHEET =
            new Expectation(new Attenuation(0.62, 0.005), 30, 20, List.of(new InsertionLoss.Flat(0.05)), 0.05);
    private static final double[] BANDS = {3.6, 7.1, 14.2, 28.5, 50.2, 145, 435};

    @Test
    void withinToleranceAndTheReadingsOwnIntervalItIsAsTheSheet() {
        double expected = SHEET.lossDb(145);
        assertThat(SHEET.lossDb(145)).isCloseTo((0.62 * Math.sqrt(145) + 0.005 * 145) * 0.3 + 0.05, within(1e-12));
        double allowed = 0.05 * expected + 0.1;
        assertThat(outcome(145, expected + allowed + 0.01, 0.02)).isEqualTo(Outcome.AS_THE_SHEET);
        assertThat(outcome(145, expected + allowed + 0.03, 0.02)).isEqualTo(Outcome.WORSE);
        assertThat(outcome(145, expected - allowed - 0.03, 0.02)).isEqualTo(Outcome.BETTER_THAN_IT_CAN_BE);
    }

    @Test
    void theDistanceFromASheetIsItsMeanShareAndNothingIsInfinitelyFarFromEverySheet() {
        List<LossPoint> tenPercentOver = DoubleStream.of(BANDS)
                .mapToObj(f -> LossPoint.within(f, SHEET.lossDb(f) + 0.1 * (SHEET.lossDb(f) + 0.1), 0.05))
                .toList();
        assertThat(SHEET.meanDistance(tenPercentOver)).isCloseTo(0.1, within(1e-12));
        assertThat(SHEET.meanDistance(List.of())).isInfinite();
    }

    @Test
    void aSweepThroughTellsItsNearEnd() {
        Sweep.TwoPort through = SweepReferenceTest.twoPort("bad-joint-rg213.s2p");
        assertThat(through.nearEnd().returnLossDb(3)).isEqualTo(through.returnLossDb(3));
        assertThat(through.nearEnd().frequenciesMHz()).isEqualTo(through.frequenciesMHz());
    }

    @Test
    void aWarmCableMayLoseMore() {
        Expectation warm = new Expectation(SHEET.type(), 30, 60, List.of(), 0);
        assertThat(warm.lossDb(100)).isCloseTo((6.2 * Math.sqrt(1 + 0.00393 * 40) + 0.5) * 0.3, within(1e-12));
    }

    static Stream<Arguments> faults() {
        return Stream.of(
                Arguments.of(Kind.CONTACT, (DoubleUnaryOperator) f -> 0.6, 0.6),
                Arguments.of(Kind.CONDUCTOR, (DoubleUnaryOperator) f -> 0.1 * Math.sqrt(f), 0.1 * Math.sqrt(435)),
                Arguments.of(Kind.DIELECTRIC, (DoubleUnaryOperator) f -> 0.01 * f, 4.35),
                Arguments.of(Kind.BUMP, (DoubleUnaryOperator) f -> 1e-5 * f * f, 1e-5 * 435 * 435),
                Arguments.of(Kind.PROPORTIONAL, (DoubleUnaryOperator) f -> 0.5 * SHEET.lossDb(f), 0.5));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("faults")
    void theShapeOfTheExcessNamesTheFault(Kind kind, DoubleUnaryOperator excess, double amount) {
        SheetDeviation judged = judged(excess, 0.05);
        assertThat(judged.outcome()).isEqualTo(Outcome.WORSE);
        Cause best = judged.causes().get(0);
        assertThat(best.kind()).isEqualTo(kind);
        assertThat(best.amount()).isCloseTo(amount, within(0.1 * amount));
        assertThat(best.share()).isEqualTo(1);
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("faults")
    void andStillDoesWhenTheReadingsWaver(Kind kind, DoubleUnaryOperator excess, double amount) {
        double[] waver = {0.02, -0.03, 0.01, -0.02, 0.03, -0.01, 0.02};
        List<LossPoint> points = IntStream.range(0, BANDS.length)
                .mapToObj(i -> LossPoint.within(
                        BANDS[i], SHEET.lossDb(BANDS[i]) + excess.applyAsDouble(BANDS[i]) + waver[i], 0.06))
                .toList();
        assertThat(SheetDeviation.of(points, SHEET).causes())
                .extracting(Cause::kind)
                .contains(kind);
    }

    @Test
    void aRippleOverASweepIsAMismatchInside() {
        List<LossPoint> points = DoubleStream.iterate(10, f -> f <= 430, f -> f + 2)
                .mapToObj(f -> LossPoint.within(f, SHEET.lossDb(f) + 0.4 + 0.5 * Math.sin(f / 7), 0.01))
                .toList();
        assertThat(SheetDeviation.of(points, SHEET).causes())
                .extracting(Cause::kind)
                .containsExactly(Kind.RIPPLE);
    }

    @Test
    void fewerThanFourFrequenciesClaimNoCauseAndAGoodPieceNone() {
        List<LossPoint> three = DoubleStream.of(3.6, 28.5, 145)
                .mapToObj(f -> LossPoint.within(f, SHEET.lossDb(f) + 1, 0.05))
                .toList();
        assertThat(SheetDeviation.of(three, SHEET).outcome()).isEqualTo(Outcome.WORSE);
        assertThat(SheetDeviation.of(three, SHEET).causes()).isEmpty();
        assertThat(judged(f -> 0, 0.05).causes()).isEmpty();
    }

    @Test
    void aCableOfOnesOwnIsPartedFromItsJointsAndBroughtToTheTemperatureOfASheet() {
        List<LossPoint> points = DoubleStream.of(BANDS)
                .mapToObj(f -> LossPoint.within(f, 0.3 + new Attenuation(1.2, 0.01).dbPer100m(f, 35) * 25 / 100, 0.05))
                .toList();
        OwnCable own = OwnCable.of(points, 25, 35, true);
        assertThat(own.jointsDb()).isCloseTo(0.3, within(1e-9));
        assertThat(own.attenuation().k1()).isCloseTo(1.2, within(1e-9));
        assertThat(own.attenuation().k2()).isCloseTo(0.01, within(1e-9));
        assertThat(own.worstResidualDb()).isLessThan(1e-9);
        assertThatThrownBy(() -> OwnCable.of(points.subList(0, 2), 25, 35, true))
                .hasMessageContaining("2 frequencies");
    }

    @Test
    void noneOfTheFittedTermsIsEverNegative() {
        List<LossPoint> falling = DoubleStream.of(BANDS)
                .mapToObj(f -> LossPoint.within(f, 2 - f / 1000, 0.05))
                .toList();
        OwnCable own = OwnCable.of(falling, 25, 20, true);
        assertThat(own.attenuation()).isEqualTo(new Attenuation(0, 0));
        assertThat(own.jointsDb()).isPositive();
    }

    @Test
    void stepsTooCoarseForTheLengthAreRefused() {
        Sweep.TwoPort sweep = SweepReferenceTest.twoPort("through-rg58-12m4.s2p");
        SweepSteps.requireFineEnough(sweep, 12.4, 0.66);
        double longest = SweepSteps.longestLengthM(sweep, 0.66);
        assertThat(longest).isCloseTo(0.66 * 299_792_458 / (2 * 0.7475e6), within(0.01));
        assertThatThrownBy(() -> SweepSteps.requireFineEnough(sweep, 1.01 * longest, 0.66))
                .hasMessageContaining("too coarse");
        Sweep.OnePort one = SweepReferenceTest.onePort("open-rg8x-30m5.s1p");
        assertThat(SweepSteps.longestLengthM(one, 0.8)).isCloseTo(0.8 * 299_792_458 / (4 * 0.1475e6), within(0.01));
    }

    @Test
    void aMissingCalibrationIsSeen() {
        Sweep.TwoPort good = SweepReferenceTest.twoPort("through-rg58-12m4.s2p");
        assertThat(doubts(good)).isEmpty();
        assertThat(doubts(scaled(good, 1.6))).containsExactly(SweepDoubt.Kind.GAIN);
        assertThat(doubts(new Sweep.TwoPort(
                        50,
                        good.frequenciesMHz(),
                        good.scattering().stream()
                                .map(s -> new Sweep.Scattering(Complex.ofCartesian(0.9, 0), s.s21(), s.s12(), s.s22()))
                                .toList())))
                .containsExactly(SweepDoubt.Kind.MORE_OUT_THAN_IN);
        assertThat(doubts(new Sweep.TwoPort(
                        50,
                        good.frequenciesMHz(),
                        good.scattering().stream()
                                .map(s -> new Sweep.Scattering(
                                        s.s11(),
                                        times(s.s21(), rippled(s.s21())),
                                        times(s.s12(), rippled(s.s21())),
                                        s.s22()))
                                .toList())))
                .containsExactly(SweepDoubt.Kind.RIPPLE_EVERYWHERE);
        Sweep.OnePort open = SweepReferenceTest.onePort("open-rg8x-30m5.s1p");
        assertThat(SweepDoubt.of(open)).isEmpty();
        Sweep.OnePort loud = new Sweep.OnePort(
                50,
                open.frequenciesMHz(),
                open.reflections().stream().map(s -> s.multiply(1.2)).toList());
        assertThat(SweepDoubt.of(loud)).extracting(SweepDoubt::kind).containsExactly(SweepDoubt.Kind.GAIN);
        assertThat(doubts(SweepReferenceTest.twoPort("bad-joint-rg213.s2p")))
                .containsExactly(SweepDoubt.Kind.MISMATCH_COUNTS);
    }

    @Test
    void aSweepOfNoCableIsSaidToBeNone() {
        List<Double> f = List.of(10.0, 20.0, 30.0, 40.0);
        Complex zero = Complex.ZERO;
        Complex one = Complex.ONE;
        assertThatThrownBy(() -> LineFromSweep.through(
                        new Sweep.TwoPort(50, f, times(4, new Sweep.Scattering(zero, zero, zero, zero)))))
                .hasMessageContaining("at 10.0 MHz nothing comes through");
        Complex half = Complex.ofCartesian(0.5, 0);
        assertThatThrownBy(() -> LineFromSweep.through(
                        new Sweep.TwoPort(50, f, times(4, new Sweep.Scattering(half, half, half, half)))))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> LineFromSweep.fromOneEnd(new Sweep.OnePort(50, f, times(4, half))))
                .hasMessageContaining("does not turn");
        assertThatThrownBy(() -> LineFromSweep.openAndShorted(
                        new Sweep.OnePort(50, f, times(4, one)), new Sweep.OnePort(50, f, times(4, one.negate()))))
                .isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> LineFromSweep.fromOneEnd(new Sweep.OnePort(50, List.of(10.0), List.of(half))))
                .hasMessageContaining("at least two points");
    }

    private static <T> List<T> times(int n, T value) {
        return Collections.nCopies(n, value);
    }

    @Test
    void openAndShortedMustBeOfTheSameFrequencies() {
        assertThatThrownBy(() -> LineFromSweep.openAndShorted(
                        SweepReferenceTest.onePort("open-rg8x-30m5.s1p"),
                        SweepReferenceTest.onePort("kink-foam7-27m4.s1p")))
                .hasMessageContaining("the shorted one 801 from 1.0 to 900.0 MHz");
    }

    @Test
    void aPieceThatAgesIsSeenAndOneBadReadingDoesNotBendIt() {
        List<Ageing.Test> tests = IntStream.range(0, 6)
                .mapToObj(i -> new Ageing.Test(LocalDate.of(2020 + i, 5, 1), 100 + 6 * i))
                .toList();
        Ageing ageing = Ageing.of(tests).orElseThrow();
        assertThat(ageing.percentPerYear()).isCloseTo(6, within(0.02));
        assertThat(ageing.interval()).hasValueSatisfying(i -> {
            assertThat(i.least()).isLessThanOrEqualTo(6);
            assertThat(i.most()).isGreaterThanOrEqualTo(5.98);
        });
        List<Ageing.Test> withABadOne = Stream.concat(
                        tests.stream(), Stream.of(new Ageing.Test(LocalDate.of(2022, 11, 1), 300)))
                .toList();
        assertThat(Ageing.of(withABadOne).orElseThrow().percentPerYear()).isCloseTo(6, within(0.5));
    }

    @Test
    void tooFewTestsOrDaysSayNothing() {
        Ageing.Test first = new Ageing.Test(LocalDate.of(2025, 1, 1), 100);
        Ageing.Test second = new Ageing.Test(LocalDate.of(2025, 6, 1), 104);
        Ageing.Test third = new Ageing.Test(LocalDate.of(2026, 1, 1), 108);
        assertThat(Ageing.of(List.of(first, third))).isEmpty();
        assertThat(Ageing.of(List.of(
                        first,
                        new Ageing.Test(LocalDate.of(2025, 1, 20), 101),
                        new Ageing.Test(LocalDate.of(2025, 2, 20), 102))))
                .isEmpty();
        assertThat(Ageing.of(List.of(third, first, second))).hasValueSatisfying(a -> {
            assertThat(a.percentPerYear()).isCloseTo(8, within(1.7));
            assertThat(a.interval()).isEmpty();
        });
    }

    @Test
    void retirementComesByPercentAndDbTogetherOrByDbAlone() {
        var usual = Ageing.RetirementLimit.USUAL;
        assertThat(usual.isReached(1, 1.28)).isFalse();
        assertThat(usual.isReached(1, 1.31)).isTrue();
        assertThat(usual.isReached(2, 2.4)).isFalse();
        assertThat(usual.isReached(8, 9.1)).isTrue();
    }

    private static List<SweepDoubt.Kind> doubts(Sweep.TwoPort sweep) {
        List<SweepDoubt> first = SweepDoubt.of(sweep);
        List<SweepDoubt> doubts = first.isEmpty() ? SweepDoubt.of(sweep, LineFromSweep.through(sweep)) : first;
        return doubts.stream().map(SweepDoubt::kind).toList();
    }

    private static Sweep.TwoPort scaled(Sweep.TwoPort sweep, double factor) {
        return new Sweep.TwoPort(
                sweep.referenceOhm(),
                sweep.frequenciesMHz(),
                sweep.scattering().stream()
                        .map(s ->
                                new Sweep.Scattering(s.s11(), times(s.s21(), factor), times(s.s12(), factor), s.s22()))
                        .toList());
    }

    /** Weaker and stronger again as the phase turns. */
    private static double rippled(Complex s21) {
        return 0.75 + 0.25 * Math.cos(3 * s21.arg());
    }

    private static Complex times(Complex c, double factor) {
        return c.multiply(factor);
    }

    private static Outcome outcome(double f, double lossDb, double eitherSideDb) {
        return SheetDeviation.of(List.of(LossPoint.within(f, lossDb, eitherSideDb)), SHEET)
                .outcome();
    }

    private static SheetDeviation judged(DoubleUnaryOperator excess, double eitherSideDb) {
        return SheetDeviation.of(
                DoubleStream.of(BANDS)
                        .mapToObj(f -> LossPoint.within(f, SHEET.lossDb(f) + excess.applyAsDouble(f), eitherSideDb))
                        .toList(),
                SHEET);
    }
}
