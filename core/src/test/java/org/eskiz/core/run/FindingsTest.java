package org.eskiz.core.run;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.AttenuationPoint;
import org.eskiz.core.cable.AveragePower;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.core.cable.NominalImpedance;
import org.eskiz.core.cable.Ratings;
import org.junit.jupiter.api.Test;

class FindingsTest {

    private static final Cable FOAM = Cable.ofCoefficients(50, 0.85, new Attenuation(0.3957, 0.00139));
    private static final Cable TV = Cable.ofCoefficients(75, 0.85, new Attenuation(0.3957, 0.00139));
    private static final Conditions TWO_METRES = new Conditions(145, 20);
    private static final Ratings KNOWN =
            Ratings.ofLine(Optional.of(new AveragePower(500, 30, 40, 80)), OptionalDouble.empty());
    private static final MatchingUnit UNIT = new MatchingUnit(3, false, false, OptionalDouble.of(200));
    private static final OptionalDouble NO_PIECE = OptionalDouble.empty();

    private static Radio radio(OptionalDouble powerW, Matching matching) {
        return new Radio(powerW, 50, matching, 0, false);
    }

    private static List<Finding> findings(Cable cable, Radio radio, double swr, OptionalDouble pieceM) {
        Run run = Run.of(new Element.Line(cable, 20));
        RunAssessment a = RunAssessment.of(run, radio, TWO_METRES, new Load.SwrAtAntenna(swr));
        return Findings.of(List.of(false), List.of(pieceM), List.of(KNOWN), UNIT, a);
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
    void anSwrIsDeliberateWhereAUnitDealsWithItAndThePowerArrivesAllTheSame() {
        var openWire = Cable.ofCoefficients(450, 0.91, new Attenuation(0.05, 0.0001));
        Run run = Run.of(new Element.Line(openWire, 20));
        var wire = new Load.Impedance(4000, 1000);
        RunAssessment tuned = RunAssessment.of(run, radio(OptionalDouble.of(100), Matching.AT_RADIO), EIGHTY, wire);
        assertThat(tuned.swrAtAntenna()).isGreaterThan(50);
        assertThat(findings(run, tuned)).noneMatch(f -> f instanceof Finding.NoLoad);
        RunAssessment plain = RunAssessment.of(run, PLAIN, EIGHTY, wire);
        assertThat(findings(run, plain)).anyMatch(f -> f instanceof Finding.NoLoad);
        Run lossy = Run.of(new Element.Line(FOAM, 150));
        RunAssessment hopeless = RunAssessment.of(
                lossy, radio(OptionalDouble.of(100), Matching.AT_RADIO), TWO_METRES, new Load.SwrAtAntenna(100));
        assertThat(findings(lossy, hopeless)).anyMatch(f -> f instanceof Finding.NoLoad);
    }

    private static final Conditions EIGHTY = new Conditions(3.6, 20);

    private static List<Finding> findings(Run run, RunAssessment a) {
        int count = run.elements().size();
        return Findings.of(
                Collections.nCopies(count, false),
                Collections.nCopies(count, NO_PIECE),
                Collections.nCopies(count, KNOWN),
                UNIT,
                a);
    }

    @Test
    void aSteelCentreLosesMoreThanTheLawBelowTwentyMegahertzUnlessItsRowsAreFollowed() {
        var rows = List.of(new AttenuationPoint(1, 4), new AttenuationPoint(10, 9), new AttenuationPoint(100, 28));
        Cable clad = Cable.ofSheet(50, 0.66, rows).ofCopperCladSteel();
        assertThat(copperClad(clad, 7)).isTrue();
        assertThat(copperClad(clad, 21)).isFalse();
        assertThat(copperClad(clad.following(rows), 7)).isFalse();
        assertThat(copperClad(clad.following(rows), 0.5)).isTrue();
        assertThat(copperClad(FOAM, 7)).isFalse();
    }

    private static boolean copperClad(Cable cable, double frequencyMHz) {
        Run run = Run.of(new Element.Line(cable, 10));
        var a = RunAssessment.of(run, PLAIN, new Conditions(frequencyMHz, 20), new Load.SwrAtAntenna(1));
        return findings(run, a).contains(new Finding.CopperCladSteel(0));
    }

    @Test
    void whatATransformerLosesOverADecibelAtAHighSwrIsAnEstimate() {
        Run run = Run.of(new Element.Transformer(4, new InsertionLoss.Flat(0.3)));
        Radio tuned = radio(OptionalDouble.of(100), Matching.AT_RADIO);
        var far = RunAssessment.of(run, tuned, TWO_METRES, new Load.SwrAtAntenna(30));
        assertThat(findings(run, far)).anyMatch(f -> f instanceof Finding.TransformerEstimated t && t.lossDb() > 1);
        var near = RunAssessment.of(run, tuned, TWO_METRES, new Load.Impedance(200, 0));
        assertThat(findings(run, near)).noneMatch(f -> f instanceof Finding.TransformerEstimated);
    }

    @Test
    void whatNobodyHasRatedIsNamedAndTheMatchingUnitWithIt() {
        Run run = Run.of(
                new Element.Pad(new InsertionLoss.Flat(0.1), OptionalDouble.empty()),
                new Element.Line(FOAM, 20),
                new Element.Line(FOAM, 0));
        var a = RunAssessment.of(
                run, radio(OptionalDouble.of(100), Matching.AT_RADIO), TWO_METRES, new Load.SwrAtAntenna(1));
        List<Finding> found = Findings.of(
                Collections.nCopies(3, false),
                Collections.nCopies(3, NO_PIECE),
                List.of(Ratings.UNKNOWN, KNOWN, Ratings.UNKNOWN),
                MatchingUnit.UNSTATED,
                a);
        assertThat(found)
                .containsExactly(
                        new Finding.RatingUnknown(OptionalInt.of(0)), new Finding.RatingUnknown(OptionalInt.empty()));
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
        Run fourToOne = Run.of(new Element.Transformer(4, new InsertionLoss.Flat(0.1)), new Element.Line(FOAM, 1));
        assertThat(fourToOne.stationOhm(0, 50)).isEqualTo(50);
        assertThat(fourToOne.stationOhm(1, 50)).isEqualTo(200);
        assertThat(NominalImpedance.isSame(55, 50)).isTrue();
        assertThat(NominalImpedance.isSame(75, 50)).isFalse();
    }
}
