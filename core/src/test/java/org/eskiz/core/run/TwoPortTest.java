package org.eskiz.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.run.TwoPort.ReflectionDisc;
import org.junit.jupiter.api.Test;

class TwoPortTest {

    private static final Complex Z0 = Complex.ofCartesian(50, 0);

    /** A T of 8.55, 141.9 and 8.55 Ω is the pad of 3 dB in every book: A = 1 + 8.55/141.9, C = 1/141.9. */
    @Test
    void aPadIsItsTOfResistors() {
        TwoPort pad = TwoPort.pad(3, 50);
        double across = 50 * 2 * Math.pow(10, 0.15) / (Math.pow(10, 0.3) - 1);
        double along = 50 * (Math.pow(10, 0.15) - 1) / (Math.pow(10, 0.15) + 1);
        assertThat(across).isCloseTo(141.93, within(0.01));
        assertThat(along).isCloseTo(8.55, within(0.005));
        assertReal(pad.a(), 1 + along / across);
        assertReal(pad.b(), 2 * along + along * along / across);
        assertReal(pad.c(), 1 / across);
        assertReal(pad.d(), 1 + along / across);
    }

    @Test
    void aPadInItsOwnImpedanceLosesWhatItSays() {
        // V and I of 1 V across 50 Ω: 10 dB before it there is 10^(1/2) times of both
        PortState before = TwoPort.pad(10, 50).towardRadio(new PortState(Complex.ONE, Complex.ONE.divide(50)));
        assertReal(before.voltage(), Math.sqrt(10));
        assertReal(before.current(), Math.sqrt(10) / 50);
    }

    @Test
    void aQuarterWaveTurnsAnImpedanceOver() {
        // 50 Ω line, 100 Ω behind it: 50²/100 = 25 Ω
        TwoPort quarter = TwoPort.line(Complex.ofCartesian(0, Math.PI / 2), Z0);
        PortState state = quarter.towardRadio(new PortState(Complex.ONE, Complex.ONE.divide(100)));
        Complex seen = state.voltage().divide(state.current());
        assertThat(seen.real()).isCloseTo(25, within(1e-9));
        assertThat(seen.imag()).isCloseTo(0, within(1e-9));
    }

    @Test
    void aTransformerOfFourMakesFiftyOfTwoHundred() {
        PortState state = TwoPort.idealTransformer(4).towardRadio(new PortState(Complex.ONE, Complex.ONE.divide(200)));
        assertReal(state.voltage().divide(state.current()), 50);
    }

    @Test
    void behindThreeDecibelsNoReflectionIsAboveAHalf() {
        // |Γ| = |Γ_L|·10^(−2·3/20): a short behind a pad of 3 dB shows 0.5012, SWR 3.01
        ReflectionDisc disc = TwoPort.pad(3, 50).passiveLoadsSeenFromRadio(50);
        assertThat(disc.centre()).isCloseTo(0, within(1e-12));
        assertThat(disc.radius()).isCloseTo(Math.pow(10, -0.3), within(1e-12));
    }

    @Test
    void nothingInBetweenShowsEveryPassiveLoad() {
        ReflectionDisc disc = TwoPort.THROUGH.passiveLoadsSeenFromRadio(50);
        assertThat(disc.least()).isZero();
        assertThat(disc.greatest()).isCloseTo(1, within(1e-12));
    }

    /** A pad of 75 Ω seen from 50 Ω is never matched by a load of its own impedance: (75 − 50)/(75 + 50) = 0.2. */
    @Test
    void aPadOfAnotherImpedanceHasItsOwnReflectionInside() {
        TwoPort pad = TwoPort.pad(20, 75);
        ReflectionDisc disc = pad.passiveLoadsSeenFromRadio(50);
        assertThat(disc.least()).isLessThan(0.2);
        assertThat(disc.greatest()).isGreaterThan(0.2).isLessThan(0.22);
    }

    @Property
    void everyPassiveLoadShowsWithinTheDisc(
            @ForAll @DoubleRange(min = 0.1, max = 10) double lossDb,
            @ForAll @DoubleRange(min = 0, max = 6) double turn,
            @ForAll @DoubleRange(min = 20, max = 600) double lineOhm,
            @ForAll @DoubleRange(min = 0.1, max = 5000) double loadOhm,
            @ForAll @DoubleRange(min = -5000, max = 5000) double reactance) {
        TwoPort run = TwoPort.line(Complex.ofCartesian(lossDb / 8.685889638, turn), Complex.ofCartesian(lineOhm, 0));
        Complex load = Complex.ofCartesian(loadOhm, reactance);
        PortState state = run.towardRadio(new PortState(Complex.ONE, Complex.ONE.divide(load)));
        Complex seen = state.voltage().divide(state.current());
        double reflection = seen.subtract(50).divide(seen.add(50)).abs();
        ReflectionDisc disc = run.passiveLoadsSeenFromRadio(50);
        assertThat(reflection).isBetween(disc.least() - 1e-9, disc.greatest() + 1e-9);
    }

    @Property
    void thereAndBackIsWhereItWas(
            @ForAll @DoubleRange(min = 0, max = 10) double lossDb,
            @ForAll @DoubleRange(min = 0, max = 6) double turn,
            @ForAll @DoubleRange(min = 1, max = 1000) double loadOhm) {
        TwoPort run = TwoPort.line(Complex.ofCartesian(lossDb / 8.685889638, turn), Z0)
                .then(TwoPort.idealTransformer(4))
                .then(TwoPort.pad(0.5, 200));
        PortState at = new PortState(Complex.ONE, Complex.ONE.divide(loadOhm));
        PortState back = run.towardAntenna(run.towardRadio(at));
        assertThat(back.voltage().subtract(at.voltage()).abs()).isCloseTo(0, within(1e-6));
        assertThat(back.current().subtract(at.current()).abs()).isCloseTo(0, within(1e-6));
    }

    private static void assertReal(Complex value, double expected) {
        assertThat(value.real()).isCloseTo(expected, within(1e-9));
        assertThat(value.imag()).isCloseTo(0, within(1e-12));
    }
}
