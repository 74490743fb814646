package org.eskiz.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.OptionalDouble;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import org.junit.jupiter.api.Test;

class LoadTransformationTest {

    private static final Cable CABLE = Cable.ofCoefficients(50, 0.66, new Attenuation(1.5397, 0.011033));
    private static final Run RUN = Run.of(
            new Element.Line(CABLE, 2),
            new Element.Pad(new InsertionLoss.Flat(0.1), OptionalDouble.empty()),
            new Element.Line(CABLE, 17),
            new Element.Transformer(4, new InsertionLoss.Flat(0.2)));

    /** There and back again: what the run shows of an antenna is carried back to that antenna. */
    @Property(tries = 200)
    void whatTheRunShowsOfAnAntennaLeadsBackToIt(
            @ForAll @DoubleRange(min = 5, max = 900) double r,
            @ForAll @DoubleRange(min = -800, max = 800) double x,
            @ForAll @DoubleRange(min = 1.8, max = 150) double mhz) {
        Conditions at = new Conditions(mhz, 20);
        RunAssessment there = RunAssessment.of(RUN, radio(Matching.NONE), at, new Load.Impedance(r, x));
        var seen = there.inputImpedance().orElseThrow();
        Load.Impedance back = LoadTransformation.impedance(
                new Load.Impedance(seen.resistanceOhm(), seen.reactanceOhm()), RUN, radio(Matching.NONE), at);
        assertThat(back.resistanceOhm()).isCloseTo(r, within(1e-6 * (1 + r + Math.abs(x))));
        assertThat(back.reactanceOhm()).isCloseTo(x, within(1e-6 * (1 + r + Math.abs(x))));
    }

    @Test
    void whatNoAntennaCanShowThroughTheRunIsRefused() {
        Conditions at = new Conditions(145, 20);
        assertThatThrownBy(
                        () -> LoadTransformation.impedance(new Load.Impedance(0.5, 0), RUN, radio(Matching.NONE), at))
                .isInstanceOf(ImpossibleLoadException.class)
                .hasMessageContaining("at 145.0 MHz");
        assertThatThrownBy(() ->
                        LoadTransformation.impedance(new Load.Impedance(50, 0), RUN, radio(Matching.AT_ANTENNA), at))
                .isInstanceOf(ReadingSaysNothingException.class);
    }

    private static Radio radio(Matching matching) {
        return new Radio(OptionalDouble.of(100), 50, matching, 0, false);
    }
}
