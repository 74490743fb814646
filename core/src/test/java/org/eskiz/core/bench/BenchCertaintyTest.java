package org.eskiz.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.DoubleStream;
import java.util.stream.IntStream;
import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.bench.Cause.Kind;
import org.eskiz.core.bench.PowerReading.Repeatability;
import org.eskiz.core.bench.SheetDeviation.Outcome;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Bump;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.core.run.LineConstants;
import org.eskiz.core.run.TwoPort;
import org.junit.jupiter.api.Test;

/** What a bench may say of cables of which everything is known, and what it may not. */
class BenchCertaintyTest {

    private static final double[] BANDS = {3.65, 7.1, 14.2, 28.5, 50.2, 145, 433};
    private static final TypeSheet USUAL =
            new TypeSheet("usual", Cable.ofCoefficients(50, 0.66, new Attenuation(1.3, 0.011)), 0.1);
    private static final TestJoint UHF =
            new TestJoint(new InsertionLoss.MatedPair(0.004, 0, 300), Optional.of(new Bump(32, 40)));

    @Test
    void aShortPieceReadOnceOnALowBandTellsNothingAndWhatWouldIsSaid() {
        TestAnalysis analysis = read(2, List.of(), Optional.empty(), List.of(power(3.65, "50.0", "49.6")));
        assertThat(analysis.outcome()).hasValue(Outcome.CANNOT_TELL);
        assertThat(analysis.causes()).isEmpty();
        assertThat(analysis.rows().get(0).outcome()).hasValue(Outcome.CANNOT_TELL);
        assertThat(analysis.findings())
                .filteredOn(TestFinding.WouldTell.class::isInstance)
                .singleElement()
                .isInstanceOfSatisfying(TestFinding.WouldTell.class, f -> {
                    assertThat(f.remedy()).isEqualTo(TestFinding.Remedy.HIGHER_BAND);
                    assertThat(f.frequencyMHz()).isGreaterThan(100);
                });
    }

    @Test
    void whereNoBandIsHighEnoughTheLargestTermSaysWhatWouldHelp() {
        TestAnalysis analysis = read(0.3, List.of(), Optional.empty(), List.of(power(433, "50.0", "49.0")));
        assertThat(analysis.findings()).contains(new TestFinding.WouldTell(TestFinding.Remedy.BASELINE_AGAIN, 433));
    }

    @Test
    void plugsThatNobodyEnteredAreNoFault() {
        List<TestRow> rows = DoubleStream.of(BANDS)
                .mapToObj(f -> (TestRow) new TestRow.OfLoss(
                        OptionalDouble.of(f),
                        OptionalDouble.empty(),
                        OptionalDouble.of(cableDb(f, 20) + 2 * UHF.seenByPower().lossDb(f))))
                .toList();
        assertThat(read(20, List.of(), Optional.of(UHF), rows).outcome()).hasValue(Outcome.AS_THE_SHEET);
    }

    @Test
    void andWhereTheyMayBeTheyAreTheFirstRivalOfABadContact() {
        List<TestRow> rows = losses(20, f -> 1);
        assertThat(read(20, List.of(), Optional.of(UHF), rows).causes().get(0).kind())
                .isEqualTo(Kind.JOINTS_NOT_ENTERED);
        assertThat(read(20, List.of(UHF, UHF), Optional.of(UHF), rows).causes())
                .extracting(Cause::kind)
                .contains(Kind.CONTACT)
                .doesNotContain(Kind.JOINTS_NOT_ENTERED);
    }

    @Test
    void whatNoFaultLooksLikeIsGivenNoCause() {
        List<TestRow> rows = losses(20, f -> f < 10 ? 3 : f < 100 ? 0.2 : 2);
        TestAnalysis analysis = read(20, List.of(UHF), Optional.empty(), rows);
        assertThat(analysis.outcome()).hasValue(Outcome.WORSE);
        assertThat(analysis.causes()).isEmpty();
    }

    @Test
    void anOwnCableNeverPutsIntoItsJointsWhatTheCauseFindsInTheCable() {
        TestAnalysis wet = read(20, List.of(UHF), Optional.empty(), losses(20, f -> 0.012 * f));
        assertThat(wet.causes())
                .extracting(Cause::kind)
                .contains(Kind.DIELECTRIC)
                .doesNotContain(Kind.CONTACT);
        assertThat(wet.ownCable().orElseThrow().cable().jointsDb()).isZero();
    }

    @Test
    void readingsThatScatterAreBelievedLess() {
        Random random = new Random(3);
        List<LossPoint> steady = new ArrayList<>();
        List<LossPoint> scattered = new ArrayList<>();
        for (double f : BANDS) {
            Uncertainty drift = Uncertainty.of(new Uncertainty.Term(Uncertainty.Source.DRIFT, 0.05));
            steady.add(new LossPoint(f, cableDb(f, 20), drift));
            scattered.add(new LossPoint(f, cableDb(f, 20) + 0.4 * random.nextGaussian(), drift));
        }
        assertThat(Scatter.widened(steady)).isEqualTo(steady);
        assertThat(Scatter.widened(scattered).get(0).uncertainty().standardDb()).isGreaterThan(0.1);
    }

    @Test
    void anHonestSweepWithUhfEndsIsAsTheSheetAndItsRippleHasAName() {
        TestAnalysis analysis = TestAnalysis.of(swept(15, List.of(UHF, UHF), false), List.of());
        assertThat(analysis.outcome()).hasValue(Outcome.AS_THE_SHEET);
        assertThat(analysis.findings())
                .anyMatch(TestFinding.JointsRipple.class::isInstance)
                .noneMatch(TestFinding.OtherImpedance.class::isInstance)
                .noneMatch(TestFinding.ChangeInside.class::isInstance);
    }

    @Test
    void aSweepFromOneSideIsTakenAsTheSameFromBoth() {
        TestAnalysis both = TestAnalysis.of(swept(15, List.of(), false), List.of());
        TestAnalysis one = TestAnalysis.of(swept(15, List.of(), true), List.of());
        assertThat(one.findings()).contains(new TestFinding.OnePath());
        assertThat(one.outcome()).hasValue(Outcome.AS_THE_SHEET);
        assertThat(one.figures().get(6).point().lossDb())
                .isCloseTo(both.figures().get(6).point().lossDb(), within(1e-6));
    }

    @Test
    void aLengthThatThePhaseMayHaveLostIsAskedFor() {
        BenchTest test = swept(15, List.of(), false);
        TestSubject unknown =
                new TestSubject(Optional.of(USUAL), OptionalDouble.empty(), 20, List.of(), Optional.empty());
        TestAnalysis analysis = TestAnalysis.of(
                new BenchTest(unknown, List.of(), test.meter(), test.sweeps(), test.bandsMHz()), List.of());
        assertThat(analysis.findings()).anyMatch(TestFinding.LengthMayWrap.class::isInstance);
    }

    private static TestAnalysis read(
            double lengthM, List<TestJoint> joints, Optional<TestJoint> usual, List<TestRow> rows) {
        return TestAnalysis.of(
                new BenchTest(
                        new TestSubject(Optional.of(USUAL), OptionalDouble.of(lengthM), 20, joints, usual),
                        rows,
                        METER,
                        new TestSweeps.None(),
                        List.of()),
                List.of());
    }

    private static final Wattmeter METER = new Wattmeter(Repeatability.USUAL, 0.05, new Lead.None());

    private static TestRow power(double frequencyMHz, String baseline, String through) {
        return new TestRow.OfPower(OptionalDouble.of(frequencyMHz), OptionalDouble.empty(), baseline, through, "");
    }

    /** A cable with UHF joints that everybody knows of, and a fault. */
    private static List<TestRow> losses(double lengthM, DoubleUnaryOperator fault) {
        return DoubleStream.of(BANDS)
                .mapToObj(f -> (TestRow) new TestRow.OfLoss(
                        OptionalDouble.of(f),
                        OptionalDouble.empty(),
                        OptionalDouble.of(cableDb(f, lengthM) + fault.applyAsDouble(f))))
                .toList();
    }

    private static double cableDb(double frequencyMHz, double lengthM) {
        return USUAL.cable().attenuation().dbPer100m(frequencyMHz, 20) * lengthM / 100;
    }

    private static BenchTest swept(double lengthM, List<TestJoint> ends, boolean isOnePath) {
        List<Double> f =
                IntStream.range(0, 801).mapToObj(i -> 1 + 499.0 * i / 800).toList();
        List<Sweep.Scattering> points = f.stream()
                .map(x -> scattering(network(x, lengthM, ends), isOnePath))
                .toList();
        return new BenchTest(
                new TestSubject(Optional.of(USUAL), OptionalDouble.of(lengthM), 20, ends, Optional.empty()),
                List.of(),
                METER,
                new TestSweeps.Through(Optional.of(new Sweep.TwoPort(50, f, points))),
                DoubleStream.of(BANDS).boxed().toList());
    }

    private static TwoPort network(double f, double lengthM, List<TestJoint> ends) {
        TwoPort line = LineConstants.of(USUAL.cable(), f, 20).ofLength(lengthM);
        return ends.isEmpty() ? line : joint(f).then(line).then(joint(f));
    }

    private static TwoPort joint(double f) {
        return TwoPort.pad(UHF.pad().lossDb(f), 50).then(TwoPort.bump(UHF.bump().orElseThrow(), f));
    }

    /** Microwave Engineering, 4th edition, table 4.2. */
    private static Sweep.Scattering scattering(TwoPort t, boolean isOnePath) {
        Complex b = t.b().divide(50);
        Complex c = t.c().multiply(50);
        Complex all = t.a().add(b).add(c).add(t.d());
        Complex through = Complex.ofCartesian(2, 0).divide(all);
        Complex near = t.a().add(b).subtract(c).subtract(t.d()).divide(all);
        return isOnePath
                ? new Sweep.Scattering(near, through, Complex.ZERO, Complex.ZERO)
                : new Sweep.Scattering(
                        near,
                        through,
                        through,
                        b.subtract(t.a()).subtract(c).add(t.d()).divide(all));
    }
}
