package org.eskiz.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import org.junit.jupiter.api.Test;

/** A run that forks, against the same runs stated one by one. */
class ForkedRunTest {

    private static final Cable COAX = Cable.ofCoefficients(50, 0.85, new Attenuation(0.39, 0.0014));
    private static final Cable OTHER = Cable.ofCoefficients(75, 0.8, new Attenuation(0.5, 0.002));
    private static final Radio RADIO = Radio.matched(100);
    private static final Load LOAD = new Load.SwrAtAntenna(2, OptionalDouble.empty());

    private static Element.Line line(Cable cable, double lengthM) {
        return new Element.Line(cable, lengthM);
    }

    private static Element.Pad pad(double lossDb) {
        return new Element.Pad(new InsertionLoss.Flat(lossDb), OptionalDouble.empty());
    }

    /** Two radios on one line through two diplexers. */
    private static Run forked(double lengthM) {
        var diplexer = new Element.Fork(Map.of("low", pad(0.2), "high", pad(0.5)));
        return new Run(
                List.of(
                        line(COAX, 1),
                        line(OTHER, 2),
                        diplexer,
                        line(COAX, lengthM),
                        diplexer,
                        line(COAX, 3),
                        line(OTHER, 4)),
                List.of("low", "high", "", "", "", "low", "high"));
    }

    @Property
    void eachBranchIsTheRunThatWouldBeStatedAlone(@ForAll @DoubleRange(min = 0, max = 80) double lengthM) {
        Run low = Run.of(line(COAX, 1), pad(0.2), line(COAX, lengthM), pad(0.2), line(COAX, 3));
        Run high = Run.of(line(OTHER, 2), pad(0.5), line(COAX, lengthM), pad(0.5), line(OTHER, 4));
        same(RunAssessment.of(forked(lengthM), RADIO, new Conditions(28.5, 20, "low"), LOAD), low);
        same(RunAssessment.of(forked(lengthM), RADIO, new Conditions(145, 20, "high"), LOAD), high);
    }

    private static void same(RunAssessment branch, Run alone) {
        Conditions at = new Conditions(branch.conditions().frequencyMHz(), 20);
        RunAssessment stated = RunAssessment.of(alone, RADIO, at, LOAD);
        assertThat(branch.totalLossDb()).isCloseTo(stated.totalLossDb(), within(1e-9));
        assertThat(branch.matchedLossDb()).isCloseTo(stated.matchedLossDb(), within(1e-9));
        assertThat(branch.swrAtRadio()).isCloseTo(stated.swrAtRadio(), within(1e-9));
        List<RunAssessment.ElementLoss> ofAll = branch.elements();
        double sum =
                ofAll.stream().mapToDouble(RunAssessment.ElementLoss::lossDb).sum();
        assertThat(sum).isCloseTo(branch.runLossDb(), within(1e-9));
        double voltage = RunProfile.of(branch).lines().stream()
                .mapToDouble(l -> l.maxVoltage().value())
                .max()
                .orElseThrow();
        double alsoVoltage = RunProfile.of(stated).lines().stream()
                .mapToDouble(l -> l.maxVoltage().value())
                .max()
                .orElseThrow();
        assertThat(voltage).isCloseTo(alsoVoltage, within(1e-6));
    }

    @Test
    void whatStandsAsideHasNothingOfTheBand() {
        RunAssessment low = RunAssessment.of(forked(20), RADIO, new Conditions(28.5, 20, "low"), LOAD);
        assertThat(low.elements().get(1).lossDb()).isZero();
        assertThat(StrainBound.of(low)[1].voltageRms()).isZero();
        assertThat(RunProfile.of(low).lines()).hasSize(3);
    }

    @Test
    void aReadingWasTakenThroughItsOwnBranch() {
        Run run = forked(20);
        Conditions at = new Conditions(145, 20, "high");
        double shown =
                RunAssessment.of(run, RADIO, at, new Load.Impedance(80, 10)).swrAtRadio();
        RunAssessment read = RunAssessment.of(
                run, RADIO, at, new Load.SwrAtRadio(shown, OptionalDouble.empty(), java.util.Optional.empty()));
        assertThat(read.swrAtRadio()).isCloseTo(shown, within(1e-6));
    }

    @Test
    void aSplitterGivesEachPortItsShare() {
        var split = new InsertionLoss.Split(4, new InsertionLoss.Flat(0.6));
        assertThat(split.lossDb(145)).isCloseTo(6.6206, within(1e-4));
    }

    @Test
    void whereNoPortLeadsIsSaid() {
        assertThatThrownBy(() -> forked(20).on("middle")).hasMessageContaining("\"middle\"");
    }

    @Test
    void aTableIsAStraightLineOverTheLogarithmOfFrequencyAndEndsWhereItEnds() {
        var table = new InsertionLoss.Table(
                List.of(new InsertionLoss.Table.Point(10, 0.1), new InsertionLoss.Table.Point(1000, 0.5)));
        assertThat(table.lossDb(100)).isCloseTo(0.3, within(1e-12));
        assertThat(table.lossDb(10)).isEqualTo(0.1);
        assertThat(table.lossDb(5000)).isEqualTo(0.5);
        assertThat(table.isExtrapolatedAt(1000)).isFalse();
        assertThat(table.isExtrapolatedAt(1001)).isTrue();
        assertThat(table.isExtrapolatedAt(9)).isTrue();
    }
}
