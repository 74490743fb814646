package org.eskiz.core.receive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.eskiz.core.ReferenceCases.assertAgrees;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.eskiz.core.ReferenceCases;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.core.run.Conditions;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.Load;
import org.eskiz.core.run.Matching;
import org.eskiz.core.run.Radio;
import org.eskiz.core.run.Run;
import org.eskiz.core.run.RunAssessment;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;

class CascadeTest {

    private static final Load MATCHED = new Load.SwrAtAntenna(1, OptionalDouble.empty());
    private static final Radio RECEIVER = new Radio(OptionalDouble.empty(), 50, Matching.NONE, 0, false);

    @TestFactory
    Stream<DynamicTest> everyReferenceChainIsReproduced() {
        return ReferenceCases.read("cascade-cases.json")
                .map(c -> DynamicTest.dynamicTest(c.get("name").asString(), () -> check(c)));
    }

    private static void check(JsonNode c) {
        List<Element> run = new ArrayList<>();
        c.get("chain").forEach(stage -> run.add(element(stage)));
        Collections.reverse(run);
        double frequencyMHz = c.get("frequencyMHz").asDouble();
        var environment = NoiseEnvironment.valueOf(c.get("environment").asString());
        var receiver = new Receiver(c.get("receiverNoiseFigureDb").asDouble());
        double penalty = receiver.penaltyDb(
                environment.noiseFactor(frequencyMHz, environment.usualTemperatureK()),
                receiver.equivalentLossDb(matched(new Run(run), frequencyMHz)));
        assertAgrees("penalty", penalty, c.get("receivePenaltyDb"), 1e-9);
    }

    private static Element element(JsonNode stage) {
        return stage.has("gainDb")
                ? preamplifier(
                        stage.get("gainDb").asDouble(),
                        stage.get("noiseFigureDb").asDouble())
                : pad(stage.get("lossDb").asDouble());
    }

    private static Element.Preamplifier preamplifier(double gainDb, double noiseFigureDb) {
        return new Element.Preamplifier(gainDb, noiseFigureDb, 0, OptionalDouble.empty());
    }

    private static Element.Pad pad(double lossDb) {
        return new Element.Pad(new InsertionLoss.Flat(lossDb), OptionalDouble.empty());
    }

    private static RunAssessment matched(Run run, double frequencyMHz) {
        return RunAssessment.of(run, RECEIVER, new Conditions(frequencyMHz, 20), MATCHED);
    }

    /** 3 dB of cable before a receiver of factor 2: 2 · 2 = 4; an amplifier of factor 1.25 and gain 100 before them: 1.25 + 3/100. */
    @Test
    void anAmplifierAtTheAntennaHidesWhatComesBehindIt() {
        double twoInDb = 10 * Math.log10(2);
        double behindAntenna = Cascade.noiseFactor(
                List.of(new Cascade.Stage.Amplifier(20, 10 * Math.log10(1.25)), new Cascade.Stage.Passive(twoInDb)), 2);
        assertThat(behindAntenna).isCloseTo(1.28, within(1e-12));
    }

    @Property
    void anAmplifierOfNothingChangesNothing(
            @ForAll @DoubleRange(min = 0, max = 20) double lossDb,
            @ForAll @DoubleRange(min = 0, max = 15) double figureDb) {
        var receiver = new Receiver(figureDb);
        RunAssessment with = matched(Run.of(pad(lossDb), preamplifier(0, 0)), 145);
        assertThat(receiver.equivalentLossDb(with)).isCloseTo(lossDb, within(1e-9));
    }

    @Property
    void nearerToTheAntennaIsNeverWorse(
            @ForAll @DoubleRange(min = 0, max = 20) double lossDb,
            @ForAll @DoubleRange(min = 0, max = 30) double gainDb,
            @ForAll @DoubleRange(min = 0, max = 10) double figureDb) {
        var receiver = new Receiver(5);
        Element.Preamplifier amplifier = preamplifier(gainDb, figureDb);
        double atTheMast = receiver.equivalentLossDb(matched(Run.of(pad(lossDb), amplifier), 145));
        double atTheRadio = receiver.equivalentLossDb(matched(Run.of(amplifier, pad(lossDb)), 145));
        assertThat(atTheMast).isLessThanOrEqualTo(atTheRadio + 1e-9);
    }

    @Test
    void aTransmitterNearByOverloadsTheFirstAmplifierThatSaysWhatItBears() {
        var bears = new Element.Preamplifier(20, 1, 0, OptionalDouble.of(-10));
        RunAssessment a = matched(Run.of(pad(3), bears, pad(2)), 145);
        // 0 dBm at the antenna, 2 dB taken before it: −2 dBm where −10 are borne
        assertThat(Cascade.overloadDb(a, 0)).hasValueCloseTo(8.0, within(1e-9));
        assertThat(Cascade.overloadDb(matched(Run.of(pad(3)), 145), 0)).isEmpty();
    }

    @Test
    void whatIsSentGoesRoundIt() {
        var bypassed = new Element.Preamplifier(20, 1, 0.4, OptionalDouble.empty());
        RunAssessment a =
                RunAssessment.of(Run.of(pad(3), bypassed), Radio.matched(100), new Conditions(145, 20), MATCHED);
        assertThat(a.totalLossDb()).isCloseTo(3.4, within(1e-9));
    }
}
