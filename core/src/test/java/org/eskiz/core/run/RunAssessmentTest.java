package org.eskiz.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.catchThrowableOfType;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import org.junit.jupiter.api.Test;

class RunAssessmentTest {

    private static final Cable RG58 = Cable.ofCoefficients(50, 0.66, new Attenuation(1.5397, 0.011033));
    private static final Cable FOAM = Cable.ofCoefficients(50, 0.85, new Attenuation(0.3957, 0.00139));
    private static final Cable WINDOW = Cable.ofCoefficients(450, 0.91, new Attenuation(0.1469, 0.001227));
    private static final Conditions TWO_METRES = new Conditions(145, 20);

    @Test
    void aMatchedLoadLosesNothingExtra() {
        var a = RunAssessment.of(line(RG58, 20), Radio.matched(100), TWO_METRES, new Load.SwrAtAntenna(1));
        assertThat(a.mismatchLossDb()).isCloseTo(0, within(1e-3));
        assertThat(a.efficiencyRange()).isEmpty();
        assertThat(a.inputImpedance().orElseThrow().resistanceOhm()).isCloseTo(50, within(0.5));
    }

    @Test
    void anEmptyRunDeliversEverything() {
        var a = RunAssessment.of(Run.of(), Radio.matched(100), TWO_METRES, new Load.SwrAtAntenna(3));
        assertThat(a.powerAtAntennaW().orElseThrow()).isCloseTo(100, within(1e-9));
        assertThat(a.swrAtRadio()).isCloseTo(3, within(1e-9));
    }

    @Test
    void lengthZeroChangesNothing() {
        var none = RunAssessment.of(Run.of(), untuned(true), TWO_METRES, new Load.SwrAtAntenna(2.5));
        var zero = RunAssessment.of(line(RG58, 0), untuned(true), TWO_METRES, new Load.SwrAtAntenna(2.5));
        assertThat(zero.totalLossDb()).isCloseTo(none.totalLossDb(), within(1e-12));
    }

    @Test
    void aReceiverHasNoWatts() {
        var receiver = new Radio(OptionalDouble.empty(), 50, Matching.AT_RADIO, 0, false);
        var a = RunAssessment.of(line(RG58, 20), receiver, TWO_METRES, new Load.SwrAtAntenna(1.5));
        assertThat(a.powerAtAntennaW()).isEmpty();
        assertThat(a.elements().get(0).powerInW()).isEmpty();
        assertThat(a.totalLossDb()).isPositive();
    }

    @Test
    void foldbackIsFullToTwoAQuarterFromThreeAndLinearBetween() {
        assertThat(untuned(true).foldbackFraction(StandingWave.reflectionOf(2))).isEqualTo(1);
        assertThat(untuned(true).foldbackFraction(StandingWave.reflectionOf(2.5)))
                .isCloseTo(0.625, within(1e-12));
        assertThat(untuned(true).foldbackFraction(StandingWave.reflectionOf(3))).isCloseTo(0.25, within(1e-12));
        assertThat(untuned(true).foldbackFraction(1)).isEqualTo(0.25);
        assertThat(untuned(false).foldbackFraction(1)).isEqualTo(1);
    }

    @Test
    void aLossyRunFlattersTheReadingAtTheRadio() {
        var a = RunAssessment.of(line(RG58, 40), Radio.matched(100), TWO_METRES, new Load.SwrAtAntenna(3));
        assertThat(a.swrAtRadio()).isLessThan(1.3);
        var read =
                RunAssessment.of(line(RG58, 40), Radio.matched(100), TWO_METRES, new Load.SwrAtRadio(a.swrAtRadio()));
        assertThat(read.swrAtAntenna()).isCloseTo(3, within(0.05));
    }

    @Test
    void anImpossibleReadingTellsWhatTheRunCanShow() {
        var run = line(RG58, 60);
        var refused = catchThrowableOfType(
                ImpossibleReadingException.class,
                () -> RunAssessment.of(run, Radio.matched(100), TWO_METRES, new Load.SwrAtRadio(3)));
        // 12.08 dB out and again back leave |ρ| = 10^(−24.16/20) = 0.062, an SWR of 1.13; a line's Z0 is not quite
        // real.
        assertThat(refused.greatestSwr()).isBetween(1.12, 1.15);
        var justBelow = new Load.SwrAtRadio(refused.greatestSwr() * 0.999);
        assertThat(RunAssessment.of(run, Radio.matched(100), TWO_METRES, justBelow)
                        .swrAtAntenna())
                .isGreaterThan(3);
    }

    @Test
    void aReadingThroughThePresentRunBelongsToTheAntenna() {
        var radio = Radio.matched(100);
        var present = line(RG58, 30);
        var antenna = AntennaStates.of(new Load.SwrAtRadio(1.2), present, radio, TWO_METRES);
        var better = RunAssessment.of(line(FOAM, 30), radio, TWO_METRES, antenna);
        var same = RunAssessment.of(present, radio, TWO_METRES, antenna);
        assertThat(same.swrAtRadio()).isCloseTo(1.2, within(1e-9));
        assertThat(better.swrAtRadio()).isGreaterThan(1.3);
        assertThat(better.swrAtAntenna()).isCloseTo(same.swrAtAntenna(), within(1e-12));
    }

    @Test
    void aUnitAtTheAntennaMakesTheLineFlatButALineOfAnotherImpedanceStillReflects() {
        var radio = new Radio(OptionalDouble.of(100), 50, Matching.AT_ANTENNA, 0.3, false);
        var load = new Load.Impedance(10, 300);
        var coax = RunAssessment.of(line(FOAM, 30), radio, TWO_METRES, load);
        assertThat(coax.mismatchLossDb()).isCloseTo(0, within(1e-3));
        assertThat(coax.totalLossDb()).isCloseTo(coax.matchedLossDb() + 0.3, within(1e-3));
        var window = RunAssessment.of(line(WINDOW, 30), radio, TWO_METRES, load);
        assertThat(window.swrAtRadio()).isCloseTo(9, within(0.3));
        assertThat(window.reflectionLossDb()).isGreaterThan(4);
    }

    @Test
    void aTransformerBetweenBalancedLineAndRadioTakesTheMismatchAway() {
        var at = new Conditions(7.1, 20);
        var nineToOne = new Element.Transformer(9, new InsertionLoss.Flat(0));
        var run = Run.of(nineToOne, new Element.Line(WINDOW, 20));
        var a = RunAssessment.of(run, untuned(false), at, new Load.Impedance(450, 0));
        assertThat(a.swrAtRadio()).isCloseTo(1, within(0.02));
    }

    @Test
    void readingAtTheRadioIsRefusedBehindAUnitAtTheAntenna() {
        var radio = new Radio(OptionalDouble.of(100), 50, Matching.AT_ANTENNA, 0, false);
        assertThatThrownBy(() -> RunAssessment.of(line(FOAM, 30), radio, TWO_METRES, new Load.SwrAtRadio(1.5)))
                .isInstanceOf(ReadingSaysNothingException.class)
                .hasMessageContaining("1.5");
    }

    @Test
    void beyondThreeHundredDbIsRefusedWithTheNumber() {
        assertThatThrownBy(() ->
                        RunAssessment.of(line(RG58, 10_000), Radio.matched(100), TWO_METRES, new Load.SwrAtAntenna(1)))
                .isInstanceOf(RunTooLossyException.class)
                .hasMessageContaining("2014 dB");
    }

    @Test
    void valuesThatCannotExistAreNamed() {
        assertThatThrownBy(() -> new Element.Line(RG58, -1)).hasMessageContaining("-1.0");
        assertThatThrownBy(() -> new Load.Impedance(0, 10)).hasMessageContaining("resistance");
        assertThatThrownBy(() -> new Load.SwrAtAntenna(0.9)).hasMessageContaining("0.9");
        assertThatThrownBy(() -> new Conditions(Double.NaN, 20)).hasMessageContaining("NaN");
        assertThatThrownBy(() -> Cable.ofCoefficients(50, 1.2, FOAM.attenuation()))
                .hasMessageContaining("1.2");
    }

    private static Run line(Cable cable, double lengthM) {
        return Run.of(new Element.Line(cable, lengthM));
    }

    private static Radio untuned(boolean foldback) {
        return new Radio(OptionalDouble.of(100), 50, Matching.NONE, 0, foldback);
    }

    /** A quarter wave of line turns an impedance over its own; a half wave repeats it (textbook). */
    @Test
    void quarterAndHalfWavesTransformAsTheTextbookSays() {
        double wavelengthM = 0.66 * 299.792458 / 14.2;
        Cable lossless = Cable.ofCoefficients(75, 0.66, new Attenuation(0, 0));
        var load = new Load.Impedance(112.5, 0);
        var quarter = RunAssessment.of(
                Run.of(new Element.Line(lossless, wavelengthM / 4)),
                Radio.matched(100),
                new Conditions(14.2, 20),
                load);
        assertThat(quarter.inputImpedance().orElseThrow().resistanceOhm()).isCloseTo(75 * 75 / 112.5, within(1e-6));
        assertThat(quarter.swrAtRadio()).isCloseTo(1, within(1e-6));
        var half = RunAssessment.of(
                Run.of(new Element.Line(lossless, wavelengthM / 2)),
                Radio.matched(100),
                new Conditions(14.2, 20),
                load);
        assertThat(half.inputImpedance().orElseThrow().resistanceOhm()).isCloseTo(112.5, within(1e-6));
    }
}
