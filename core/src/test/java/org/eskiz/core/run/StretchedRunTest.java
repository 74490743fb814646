package org.eskiz.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.OptionalDouble;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import org.junit.jupiter.api.Test;

class StretchedRunTest {

    private static final Cable THIN = Cable.ofCoefficients(50, 0.66, new Attenuation(1.54, 0.011));
    private static final Cable TELEVISION = Cable.ofCoefficients(75, 0.83, new Attenuation(0.62, 0.0023));
    private static final Element JOINT = new Element.Pad(new InsertionLoss.Flat(0.1), OptionalDouble.empty());
    private static final Element TRANSFORMER = new Element.Transformer(4, new InsertionLoss.Flat(0.2));

    @Property(tries = 200)
    void itLosesWhatTheSameRunLosesWrittenOut(
            @ForAll @DoubleRange(min = 0.01, max = 300) double lengthM,
            @ForAll @DoubleRange(min = 1, max = 500) double frequencyMHz,
            @ForAll Matching matching) {
        var radio = new Radio(OptionalDouble.of(100), 50, matching, 0.3, true);
        var at = new Conditions(frequencyMHz, 30);
        var antenna = AntennaStates.of(new Load.SwrAtAntenna(3), run(30), radio, at);
        var losses = StretchedRun.of(run(30), List.of(1, 3), radio, at, antenna)
                .at(lengthM)
                .orElseThrow();
        var written = RunAssessment.of(run(lengthM), radio, at, antenna);
        assertThat(losses.totalDb()).isCloseTo(written.totalLossDb(), within(1e-9));
        assertThat(losses.throughDb()).isCloseTo(written.runLossDb() + written.matchingLossDb(), within(1e-9));
    }

    @Test
    void beyondWhatCanBeAssessedThereIsNothingToSay() {
        var at = new Conditions(1000, 20);
        var radio = Radio.matched(100);
        var antenna = AntennaStates.of(new Load.SwrAtAntenna(1), run(30), radio, at);
        assertThat(StretchedRun.of(run(30), List.of(1, 3), radio, at, antenna).at(1000))
                .isEmpty();
    }

    /** Two sections, of which the second takes a third, between and before other elements. */
    private static Run run(double lengthM) {
        return Run.of(
                JOINT,
                new Element.Line(THIN, lengthM * 2 / 3),
                JOINT,
                new Element.Line(TELEVISION, lengthM / 3),
                TRANSFORMER,
                new Element.Line(THIN, 2));
    }
}
