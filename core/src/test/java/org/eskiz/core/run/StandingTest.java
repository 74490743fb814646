package org.eskiz.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Bump;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import org.junit.jupiter.api.Test;

/** Pads stand in the impedance where they are, and a body of another impedance reflects and does not heat. */
class StandingTest {

    private static final Cable COAX = Cable.ofCoefficients(50, 0.66, new Attenuation(0.6, 0.005));
    private static final Cable OPEN_WIRE = Cable.ofCoefficients(450, 0.91, new Attenuation(0.145, 0.0016));
    private static final Element TERMINALS = pad(0.0075);
    private static final Element FOUR = new Element.Transformer(4, new InsertionLoss.Flat(0.1));

    private static Element pad(double lossDb) {
        return new Element.Pad(new InsertionLoss.Flat(lossDb), OptionalDouble.empty());
    }

    private static Element line(Cable cable) {
        return new Element.Line(cable, 10);
    }

    @Test
    void aPadStandsInTheLineTowardTheAntennaElseTowardTheRadioElseInWhatTheRadioIsMadeFor() {
        Element pad = pad(0.1);
        assertThat(Run.of(pad, line(OPEN_WIRE)).standingOhm(0, 50)).isEqualTo(450);
        assertThat(Run.of(line(OPEN_WIRE), pad).standingOhm(1, 50)).isEqualTo(450);
        assertThat(Run.of(line(OPEN_WIRE), pad, line(COAX)).standingOhm(1, 50)).isEqualTo(50);
        assertThat(Run.of(pad, FOUR, line(OPEN_WIRE)).standingOhm(0, 50)).isEqualTo(50);
        assertThat(Run.of(FOUR, pad, FOUR, pad).standingOhm(3, 50)).isEqualTo(800);
        assertThat(Run.of(pad, new Element.Line(OPEN_WIRE, 0)).standingOhm(0, 50))
                .isEqualTo(50);
        assertThat(Run.of(line(OPEN_WIRE), FOUR, line(COAX)).standingOhm(1, 50)).isEqualTo(450);
        var stated = new Element.Pad(new InsertionLoss.Flat(0.1), OptionalDouble.of(75));
        assertThat(Run.of(stated, line(OPEN_WIRE)).standingOhm(0, 50)).isEqualTo(75);
    }

    @Test
    void bareTerminalsOnAnOpenWireLineCostHundredthsOfADecibelWhateverItsStandingWave() {
        var at = new Conditions(7.1, 20);
        Load load = new Load.SwrAtAntenna(80, OptionalDouble.of(450));
        var bare = RunAssessment.of(Run.of(line(OPEN_WIRE)), Radio.matched(100), at, load);
        var withTerminals =
                RunAssessment.of(Run.of(TERMINALS, line(OPEN_WIRE), TERMINALS), Radio.matched(100), at, load);
        assertThat(withTerminals.runLossDb() - bare.runLossDb()).isBetween(0.0, 0.6);
        assertThat(withTerminals.elements().get(0).lossDb()).isLessThan(0.4);
    }

    @Test
    void aTransformerThereAndBackCostsWhatItSays() {
        var up = new Element.Transformer(9, new InsertionLoss.Flat(0.2));
        var down = new Element.Transformer(1.0 / 9, new InsertionLoss.Flat(0.2));
        var a = RunAssessment.of(
                Run.of(up, line(OPEN_WIRE), down),
                Radio.matched(100),
                new Conditions(14.2, 20),
                new Load.Impedance(50, 0));
        assertThat(a.elements().get(0).lossDb() + a.elements().get(2).lossDb()).isCloseTo(0.4, within(0.005));
        assertThat(a.mismatchLossDb()).isCloseTo(0, within(0.01));
    }

    @Test
    void aChainOfBarrelsIsNothingOnFortyMetresAndABumpOnSeventyCentimetres() {
        var barrel =
                new Element.Pad(new InsertionLoss.Flat(0.02), OptionalDouble.empty(), Optional.of(new Bump(32, 40)));
        Run run = new Run(Stream.concat(Stream.generate(() -> (Element) barrel).limit(4), Stream.of(line(COAX)))
                .toList());
        assertThat(swrAtRadio(run, 7.1)).isLessThan(1.05);
        assertThat(swrAtRadio(run, 433)).isGreaterThan(1.5);
    }

    private static double swrAtRadio(Run run, double frequencyMHz) {
        return RunAssessment.of(run, Radio.matched(100), new Conditions(frequencyMHz, 20), new Load.SwrAtAntenna(1))
                .swrAtRadio();
    }

    @Test
    void aBumpReflectsAndDoesNotHeat() {
        var bumped = new Element.Pad(new InsertionLoss.Flat(0), OptionalDouble.empty(), Optional.of(new Bump(32, 40)));
        var a = RunAssessment.of(
                Run.of(bumped), Radio.matched(100), new Conditions(433, 20), new Load.Impedance(50, 0));
        assertThat(a.runLossDb()).isCloseTo(0, within(1e-12));
        assertThat(a.matchedLossDb()).isGreaterThan(0.05);
        assertThat(a.mismatchLossDb()).isCloseTo(-a.matchedLossDb(), within(1e-12));
    }
}
