package org.eskiz.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.OptionalDouble;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.NominalImpedance;
import org.junit.jupiter.api.Test;

class FindingsTest {

    private static final Cable FOAM = Cable.ofCoefficients(50, 0.85, new Attenuation(0.3957, 0.00139));
    private static final Cable TV = Cable.ofCoefficients(75, 0.85, new Attenuation(0.3957, 0.00139));
    private static final Conditions TWO_METRES = new Conditions(145, 20);
    private static final OptionalDouble NO_PIECE = OptionalDouble.empty();

    private static Radio radio(OptionalDouble powerW, Matching matching) {
        return new Radio(powerW, 50, matching, 0, false);
    }

    private static List<Finding> findings(Cable cable, Radio radio, double swr, OptionalDouble pieceM) {
        Run run = Run.of(new Element.Line(cable, 20));
        RunAssessment a = RunAssessment.of(run, radio, TWO_METRES, new Load.SwrAtAntenna(swr));
        List<LineJunction.Part> parts = List.of(new LineJunction.Part.Line(false, cable.impedanceOhm()));
        return Findings.of(run, parts, List.of(pieceM), 3, a);
    }

    private static List<Finding> findings(Radio radio, double swr) {
        return findings(FOAM, radio, swr, NO_PIECE);
    }

    private static final Radio PLAIN = radio(OptionalDouble.of(100), Matching.NONE);

    @Test
    void aPlainRunHasNothingToTell() {
        assertThat(findings(PLAIN, 1.5)).isEmpty();
    }

    @Test
    void aTransmitterWithoutAUnitIsToldOfAnSwrAboveTwoAtItsOwnEnd() {
        assertThat(findings(PLAIN, 2.5)).singleElement().isInstanceOfSatisfying(Finding.RadioSeesSwr.class, f -> {
            assertThat(f.swr()).isBetween(2.0, 2.5);
            assertThat(f.bearsSwr()).isEqualTo(2);
        });
        assertThat(findings(radio(OptionalDouble.empty(), Matching.NONE), 2.5)).isEmpty();
    }

    @Test
    void aUnitAtTheRadioCopesWithWhatTheLineShowsOneAtTheAntennaWithTheAntenna() {
        assertThat(findings(radio(OptionalDouble.of(100), Matching.AT_RADIO), 3.1))
                .isEmpty();
        assertThat(findings(radio(OptionalDouble.of(100), Matching.AT_ANTENNA), 3.1))
                .containsExactly(new Finding.BeyondMatchingUnit(3.1, 3));
    }

    @Test
    void anSwrOfFiftyIsNoLoad() {
        assertThat(findings(PLAIN, 49.9)).noneMatch(f -> f instanceof Finding.NoLoad);
        assertThat(findings(PLAIN, 50.1)).anyMatch(f -> f instanceof Finding.NoLoad load && load.fromSwr() == 50);
    }

    @Test
    void aPieceIsOfAnotherLengthFromHalfACentimetreOn() {
        assertThat(findings(FOAM, PLAIN, 1, OptionalDouble.of(20.004))).isEmpty();
        assertThat(findings(FOAM, PLAIN, 1, OptionalDouble.of(19.5)))
                .containsExactly(new Finding.OtherLength(0, 19.5, 20));
    }

    @Test
    void aFlatLineOfAnotherImpedanceStillReflectsAtTheRadio() {
        assertThat(findings(TV, radio(OptionalDouble.of(100), Matching.AT_ANTENNA), 1.5, NO_PIECE))
                .hasSize(2)
                .anyMatch(f -> f instanceof Finding.Junction j
                        && j.junction().problem() == LineJunction.Problem.OTHER_IMPEDANCE)
                .anyMatch(f -> f instanceof Finding.ReflectsAtRadio);
    }

    @Test
    void impedancesWithinATenthAreTheSameBehindTransformersToo() {
        List<LineJunction.Part> fourToOne =
                List.of(new LineJunction.Part.Transformer(4), new LineJunction.Part.Other());

        assertThat(LineJunction.stationOhm(fourToOne, 50)).isEqualTo(200);
        assertThat(NominalImpedance.isSame(55, 50)).isTrue();
        assertThat(NominalImpedance.isSame(75, 50)).isFalse();
    }
}
