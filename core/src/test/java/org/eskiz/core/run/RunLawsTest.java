package org.eskiz.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import net.jqwik.api.Arbitraries;
import net.jqwik.api.Arbitrary;
import net.jqwik.api.Combinators;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.Provide;
import net.jqwik.api.constraints.DoubleRange;
import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;

/** Laws that hold for every run, tried on random ones. */
class RunLawsTest {

    @Property(tries = 300)
    void elementLossesAddUpToTheRunLoss(
            @ForAll("runs") Run run,
            @ForAll("radios") Radio radio,
            @ForAll("conditions") Conditions at,
            @ForAll("loads") Load load) {
        var assessment = RunAssessment.of(run, radio, at, load);
        double sum = assessment.elements().stream()
                .mapToDouble(RunAssessment.ElementLoss::lossDb)
                .sum();
        assertThat(sum).isCloseTo(assessment.runLossDb(), within(1e-9 + 1e-9 * assessment.runLossDb()));
    }

    @Property(tries = 300)
    void powerNeverRisesAlongTheRun(
            @ForAll("runs") Run run,
            @ForAll("radios") Radio radio,
            @ForAll("conditions") Conditions at,
            @ForAll("loads") Load load) {
        var assessment = RunAssessment.of(run, radio, at, load);
        double power = radio.powerW().orElseThrow();
        for (var element : assessment.elements()) {
            assertThat(element.powerInW().orElseThrow()).isLessThanOrEqualTo(power * (1 + 1e-12));
            power = element.powerOutW().orElseThrow();
            assertThat(power)
                    .isPositive()
                    .isLessThanOrEqualTo(element.powerInW().orElseThrow() * (1 + 1e-12));
        }
        assertThat(assessment.powerAtAntennaW().orElseThrow()).isLessThanOrEqualTo(power * (1 + 1e-9));
    }

    @Property(tries = 300)
    void theFourPlacesOfLossAddUpToTheTotal(
            @ForAll("runs") Run run,
            @ForAll("radios") Radio radio,
            @ForAll("conditions") Conditions at,
            @ForAll("loads") Load load) {
        var a = RunAssessment.of(run, radio, at, load);
        double sum =
                a.matchedLossDb() + a.mismatchLossDb() + a.matchingLossDb() + a.reflectionLossDb() + a.foldbackDb();
        assertThat(sum).isCloseTo(a.totalLossDb(), within(1e-9));
        assertThat(a.totalLossAtWorstAngleDb()).isGreaterThanOrEqualTo(a.totalLossDb() - 1e-9);
    }

    @Property(tries = 300)
    void splittingALineChangesNothing(
            @ForAll("cables") Cable cable,
            @ForAll @DoubleRange(min = 0.1, max = 60) double lengthM,
            @ForAll @DoubleRange(min = 0, max = 1) double share,
            @ForAll("radios") Radio radio,
            @ForAll("conditions") Conditions at,
            @ForAll("loads") Load load) {
        var whole = RunAssessment.of(Run.of(new Element.Line(cable, lengthM)), radio, at, load);
        var split = RunAssessment.of(
                Run.of(new Element.Line(cable, lengthM * share), new Element.Line(cable, lengthM * (1 - share))),
                radio,
                at,
                load);
        assertThat(split.totalLossDb()).isCloseTo(whole.totalLossDb(), within(1e-7));
        assertThat(split.matchedLossDb()).isCloseTo(whole.matchedLossDb(), within(1e-9));
    }

    @Property(tries = 300)
    void deEmbeddingUndoesEmbedding(
            @ForAll("runs") Run run,
            @ForAll("conditions") Conditions at,
            @ForAll @DoubleRange(min = 1, max = 500) double resistanceOhm,
            @ForAll @DoubleRange(min = -500, max = 500) double reactanceOhm) {
        TwoPort whole = Chain.of(run, at, 50).whole();
        Complex load = Complex.ofCartesian(resistanceOhm, reactanceOhm);
        PortState back = whole.towardAntenna(whole.towardRadio(PortState.atImpedance(load)));
        double digitsLost = Math.pow(10, Chain.of(run, at, 50).matchedLossDb() / 10);
        assertThat(back.impedance().subtract(load).abs()).isLessThanOrEqualTo(1e-8 * digitsLost * load.abs());
    }

    @Property(tries = 300)
    void aTwoPortOfTheRunIsReciprocal(@ForAll("runs") Run run, @ForAll("conditions") Conditions at) {
        TwoPort t = Chain.of(run, at, 50).whole();
        Complex determinant = t.a().multiply(t.d()).subtract(t.b().multiply(t.c()));
        double scale = Math.max(1, t.a().multiply(t.d()).abs());
        assertThat(determinant.subtract(1).abs()).isLessThanOrEqualTo(1e-10 * scale);
    }

    @Property(tries = 300)
    void aUniformLineFollowsTheTextbookFormula(
            @ForAll @DoubleRange(min = 0.5, max = 20) double matchedLossDb,
            @ForAll @DoubleRange(min = 1, max = 20) double swr) {
        // Equal conductor and dielectric terms make Z0 real, as the formula supposes.
        double f = 100;
        double per100m = matchedLossDb / 0.3;
        var law = new Attenuation(per100m / 2 / Math.sqrt(f), per100m / 2 / f);
        var run = Run.of(new Element.Line(Cable.ofCoefficients(50, 0.8, law), 30));
        var assessed = RunAssessment.of(run, Radio.matched(100), new Conditions(f, 20), new Load.SwrAtAntenna(swr));
        double a = Math.pow(10, matchedLossDb / 10);
        double rho2 = Math.pow(StandingWave.reflectionOf(swr), 2);
        double textbook = 10 * Math.log10((a * a - rho2) / (a * (1 - rho2)));
        assertThat(assessed.runLossDb()).isCloseTo(textbook, within(1e-9));
    }

    @Provide
    Arbitrary<Cable> cables() {
        return Combinators.combine(
                        Arbitraries.of(50.0, 75.0, 300.0, 450.0),
                        Arbitraries.doubles().between(0.6, 0.98),
                        Arbitraries.doubles().between(0, 1.6),
                        Arbitraries.doubles().between(0, 0.01))
                .as((z, vf, k1, k2) -> Cable.ofCoefficients(z, vf, new Attenuation(k1, k2)));
    }

    @Provide
    Arbitrary<Run> runs() {
        Arbitrary<Element> line = Combinators.combine(
                        cables(), Arbitraries.doubles().between(0, 20))
                .as(Element.Line::new);
        Arbitrary<Element> pad = Arbitraries.doubles()
                .between(0, 1)
                .map(db -> new Element.Pad(new InsertionLoss.Flat(db), OptionalDouble.empty()));
        Arbitrary<Element> transformer = Combinators.combine(
                        Arbitraries.of(0.25, 1.0, 4.0, 9.0),
                        Arbitraries.doubles().between(0, 0.5))
                .as((r, db) -> new Element.Transformer(r, new InsertionLoss.Flat(db)));
        return Arbitraries.frequencyOf(
                        net.jqwik.api.Tuple.of(4, line),
                        net.jqwik.api.Tuple.of(3, pad),
                        net.jqwik.api.Tuple.of(1, transformer))
                .list()
                .ofMinSize(1)
                .ofMaxSize(6)
                .map(Run::new);
    }

    @Provide
    Arbitrary<Radio> radios() {
        return Combinators.combine(
                        Arbitraries.of(Matching.values()),
                        Arbitraries.doubles().between(0, 1),
                        Arbitraries.of(true, false))
                .as((matching, db, foldback) -> new Radio(OptionalDouble.of(100), 50, matching, db, foldback));
    }

    @Provide
    Arbitrary<Conditions> conditions() {
        return Combinators.combine(
                        Arbitraries.of(1.85, 7.1, 14.2, 28.5, 50.2, 145.0, 433.0),
                        Arbitraries.doubles().between(-40, 60))
                .as(Conditions::new);
    }

    @Provide
    Arbitrary<Load> loads() {
        List<Arbitrary<? extends Load>> kinds = new ArrayList<>();
        kinds.add(Arbitraries.doubles().between(1, 20).map(s -> new Load.SwrAtAntenna(s)));
        kinds.add(Combinators.combine(
                        Arbitraries.doubles().between(2, 800),
                        Arbitraries.doubles().between(-800, 800))
                .as(Load.Impedance::new));
        return Arbitraries.oneOf(kinds.get(0).map(l -> (Load) l), kinds.get(1).map(l -> (Load) l));
    }
}
