package org.eskiz.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Bump;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.core.unit.Decibels;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Runs drawn many at once are what each of them is by itself. */
class DrawnBandTest {

    private static final Conditions AT = new Conditions(145, 10);
    private static final double[] LOSS = {1, 1.3, 0.7, 1.1};
    private static final double[] LENGTH = {1, 0.98, 1.02, 1.01};
    private static final double[] WARMER = {0, 15, -12, 4};
    private static final double[] TURNS = {0, 0.3, 0.55, 0.9};
    private static final double[] SWRS = {2.1, 1.9, 2.4, 1};

    private static final Cable COAX = Cable.ofCoefficients(50, 0.82, new Attenuation(0.6, 0.004));
    private static final Cable OTHER = Cable.ofCoefficients(75, 0.66, new Attenuation(0.9, 0.001));

    private static Run run(Cable cable) {
        return Run.of(
                new Element.Pad(new InsertionLoss.Flat(0.2), OptionalDouble.empty(), Optional.of(new Bump(35, 18))),
                new Element.Line(cable, 23),
                new Element.Transformer(2, new InsertionLoss.Flat(0.3)),
                new Element.Line(OTHER, 4),
                new Element.Pad(new InsertionLoss.Flat(0.1), OptionalDouble.empty()));
    }

    static Stream<Radio> radios() {
        return Stream.of(
                new Radio(OptionalDouble.of(100), 50, Matching.AT_RADIO, 0.4, false),
                new Radio(OptionalDouble.of(100), 50, Matching.NONE, 0, true),
                new Radio(OptionalDouble.of(100), 50, Matching.NONE, 0, false),
                new Radio(OptionalDouble.of(100), 50, Matching.AT_ANTENNA, 0.4, true));
    }

    @ParameterizedTest
    @MethodSource("radios")
    void everyDrawIsTheRunByItself(Radio radio) {
        DrawnBand.Left left = band(radio).left(run(COAX));
        for (int k = 0; k < LOSS.length; k++) {
            RunAssessment alone = alone(radio, run(COAX), k);
            assertThat(-Decibels.ofPower(left.atAntenna()[k])).isCloseTo(alone.totalLossDb(), within(2e-3));
            assertThat(-Decibels.ofPower(left.through()[k])).isCloseTo(alone.throughLossDb(), within(2e-3));
        }
    }

    @ParameterizedTest
    @MethodSource("radios")
    void whatWentBeforeDoesNotMatter(Radio radio) {
        DrawnBand.Left fresh = band(radio).left(run(COAX));
        DrawnBand used = band(radio);
        Run first = run(OTHER);
        used.left(first);
        List<Element> changed = IntStream.range(0, 5)
                .mapToObj(i ->
                        i == 1 ? run(COAX).elements().get(1) : first.elements().get(i))
                .toList();
        assertThat(used.left(new Run(changed)).atAntenna()).containsExactly(fresh.atAntenna());
        used.left(Run.of(new Element.Line(OTHER, 3)));
        assertThat(used.left(run(COAX)).through()).containsExactly(fresh.through());
    }

    @Test
    void ofARunBeyondAssessmentAsGoodAsNothingIsLeft() {
        Run hopeless = Run.of(new Element.Pad(new InsertionLoss.Flat(20_000), OptionalDouble.empty()));
        double[][] one = {LOSS};
        DrawnBand band = new DrawnBand(
                Radio.matched(100), AT, antenna(), new Draws(LOSS.length, one, one, new double[LOSS.length]));
        assertThat(band.left(hopeless).atAntenna()).containsOnly(Decibels.fractionLeft(300));
    }

    private static DrawnBand band(Radio radio) {
        double[] asSaid = new double[LOSS.length];
        Arrays.fill(asSaid, 1);
        double[][] loss = {LOSS, LOSS, asSaid, asSaid, asSaid};
        double[][] length = {asSaid, LENGTH, asSaid, asSaid, asSaid};
        return new DrawnBand(radio, AT, antenna(), new Draws(LOSS.length, loss, length, WARMER));
    }

    private static DrawnAntenna antenna() {
        return DrawnAntenna.ofSwr(SWRS, TURNS, 50);
    }

    private static RunAssessment alone(Radio radio, Run said, int k) {
        Element.Pad joint = (Element.Pad) said.elements().get(0);
        Element.Line line = (Element.Line) said.elements().get(1);
        Run deviating = Run.of(
                new Element.Pad(new InsertionLoss.Flat(0.2 * LOSS[k]), joint.impedanceOhm(), joint.bump()),
                new Element.Line(line.cable().withAttenuationScaledBy(LOSS[k]), line.lengthM() * LENGTH[k]),
                said.elements().get(2),
                said.elements().get(3),
                said.elements().get(4));
        double reflection = StandingWave.reflectionOf(SWRS[k]);
        double angle = 2 * Math.PI * TURNS[k];
        double re = reflection * Math.cos(angle);
        double im = reflection * Math.sin(angle);
        double norm = (1 - re) * (1 - re) + im * im;
        var load = new Load.Impedance(50 * (1 - reflection * reflection) / norm, 50 * 2 * im / norm);
        return RunAssessment.of(deviating, radio, new Conditions(AT.frequencyMHz(), AT.ambientC() + WARMER[k]), load);
    }
}
