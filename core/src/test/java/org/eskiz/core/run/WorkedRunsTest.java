package org.eskiz.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Runs worked with pencil and paper, so that each step of a ledger can be followed by hand. */
class WorkedRunsTest {

    /** 3 dB per 100 m at 100 MHz and nothing else: k1 = 0.3. */
    private static final Cable THREE_DB = Cable.ofCoefficients(50, 0.66, new Attenuation(0.3, 0));

    private static final Conditions AT_100_MHZ = new Conditions(100, 20);

    @Test
    void threeDecibelsAreHalf() {
        var a = assess(Run.of(new Element.Line(THREE_DB, 100)), Radio.matched(100), new Load.SwrAtAntenna(1));
        assertThat(a.runLossDb()).isCloseTo(3, within(2e-3));
        assertThat(a.powerAtAntennaW().orElseThrow()).isCloseTo(50.12, within(0.05));
    }

    /** |ρ| = 0.5 at SWR 3: additional loss 10·log10((1 − 0.25·10^(−0.6))/(1 − 0.25)) = 10·log10(0.93720/0.75) = 0.968 dB. */
    @Test
    void anSwrOfThreeBehindThreeDecibelsCostsAlmostOneMore() {
        var a = assess(Run.of(new Element.Line(THREE_DB, 100)), Radio.matched(100), new Load.SwrAtAntenna(3));
        assertThat(a.mismatchLossDb()).isCloseTo(0.968, within(0.02));
        // and the radio sees 0.5·10^(−0.3) = 0.2506, an SWR of 1.669
        assertThat(a.swrAtRadio()).isCloseTo(1.669, within(0.01));
    }

    /** Into a radio without a unit 1 − 0.2506² = 93.7 % get in: 0.282 dB. */
    @Test
    void withoutAMatchingUnitTheRestIsSentBack() {
        var plain = new Radio(OptionalDouble.of(100), 50, Matching.NONE, 0, false);
        var a = assess(Run.of(new Element.Line(THREE_DB, 100)), plain, new Load.SwrAtAntenna(3));
        assertThat(a.reflectionLossDb()).isCloseTo(0.282, within(0.005));
        assertThat(a.totalLossDb()).isCloseTo(3 + 0.968 + 0.282, within(0.03));
    }

    /** At the antenna the unit makes the run flat, and costs its own loss there. */
    @Test
    void aUnitAtTheAntennaTakesTheMismatchOutOfTheRun() {
        var atAntenna = new Radio(OptionalDouble.of(100), 50, Matching.AT_ANTENNA, 0.5, false);
        var a = assess(Run.of(new Element.Line(THREE_DB, 100)), atAntenna, new Load.SwrAtAntenna(3));
        assertThat(a.mismatchLossDb()).isCloseTo(0, within(2e-3));
        assertThat(a.totalLossDb()).isCloseTo(3.5, within(3e-3));
        assertThat(a.swrAtRadio()).isCloseTo(1, within(0.02));
    }

    @ParameterizedTest
    @CsvSource({"1, 0", "1.5, 0.04", "2, 0.1111", "3, 0.25", "5.8284, 0.5"})
    void theShareThatComesBackIsTheReflectionSquared(double swr, double share) {
        double reflection = StandingWave.reflectionOf(swr);
        assertThat(reflection * reflection).isCloseTo(share, within(1e-4));
        assertThat(StandingWave.swrOf(reflection)).isCloseTo(swr, within(1e-9));
    }

    @Test
    void lossesInARowAddUp() {
        var run = Run.of(
                new Element.Pad(new InsertionLoss.Flat(0.2), OptionalDouble.of(50)),
                new Element.Line(THREE_DB, 50),
                new Element.Pad(new InsertionLoss.Flat(0.3), OptionalDouble.of(50)));
        var a = assess(run, Radio.matched(100), new Load.SwrAtAntenna(1));
        assertThat(a.matchedLossDb()).isCloseTo(2.0, within(1e-9));
        assertThat(a.runLossDb()).isCloseTo(2.0, within(2e-3));
        assertThat(a.elements()).extracting(e -> e.matchedLossDb()).containsExactly(0.2, 1.5, 0.3);
    }

    @Test
    void whatGoesIntoAnElementIsWhatComesOutOfTheOneBefore() {
        var run = Run.of(
                new Element.Line(THREE_DB, 30),
                new Element.Pad(new InsertionLoss.Flat(0.2), OptionalDouble.of(50)),
                new Element.Line(THREE_DB, 70));
        var elements =
                assess(run, Radio.matched(100), new Load.SwrAtAntenna(2.2)).elements();
        assertThat(elements.get(0).powerInW().orElseThrow()).isCloseTo(100, within(1e-9));
        for (int i = 1; i < elements.size(); i++) {
            assertThat(elements.get(i).powerInW().orElseThrow())
                    .isCloseTo(elements.get(i - 1).powerOutW().orElseThrow(), within(1e-9));
        }
    }

    /** 4:1 and 200 Ω behind it is 50 Ω; 50 Ω behind it is 12.5, an SWR of 4. */
    @Test
    void aTransformerTurnsTheAntennaIntoAnother() {
        var run = Run.of(new Element.Transformer(4, new InsertionLoss.Flat(0)));
        assertThat(assess(run, Radio.matched(100), new Load.Impedance(200, 0)).swrAtRadio())
                .isCloseTo(1, within(1e-9));
        assertThat(assess(run, Radio.matched(100), new Load.Impedance(50, 0)).swrAtRadio())
                .isCloseTo(4, within(1e-9));
    }

    @Test
    void halfAWavelengthShowsTheAntennaItself() {
        // 0.66·299.792458/100/2 = 0.98932 m of a line that loses nothing
        Cable lossless = Cable.ofCoefficients(75, 0.66, new Attenuation(0, 0));
        double half = 0.66 * 299.792458 / 100 / 2;
        var a = assess(Run.of(new Element.Line(lossless, half)), Radio.matched(100), new Load.Impedance(100, 0));
        assertThat(a.inputImpedance().orElseThrow().resistanceOhm()).isCloseTo(100, within(1e-6));
        var quarter =
                assess(Run.of(new Element.Line(lossless, half / 2)), Radio.matched(100), new Load.Impedance(100, 0));
        assertThat(quarter.inputImpedance().orElseThrow().resistanceOhm()).isCloseTo(56.25, within(1e-6));
    }

    private static RunAssessment assess(Run run, Radio radio, Load load) {
        return RunAssessment.of(run, radio, AT_100_MHZ, load);
    }
}
