package org.eskiz.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;
import static org.eskiz.core.ReferenceCases.assertAgrees;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.eskiz.core.ReferenceCases;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;

class RunProfileTest {

    private static final double AGREEMENT = 1e-6;
    private static final Cable THIN = Cable.ofCoefficients(50, 0.66, new Attenuation(1.54, 0.011));

    @TestFactory
    Stream<DynamicTest> everyReferenceProfileIsReproduced() {
        return ReferenceCases.read("profile-cases.json")
                .map(c -> DynamicTest.dynamicTest(c.get("cableKey").asString(), () -> check(c)));
    }

    private static void check(JsonNode c) {
        Cable cable = Cable.ofCoefficients(
                c.get("cable").get("impedanceOhm").asDouble(),
                c.get("cable").get("velocityFactor").asDouble(),
                new Attenuation(
                        c.get("cable").get("attenuation").get("k1").asDouble(),
                        c.get("cable").get("attenuation").get("k2").asDouble()));
        double lengthM = c.get("lengthM").asDouble();
        Load load = new Load.Impedance(
                c.get("load").get("resistanceOhm").asDouble(),
                c.get("load").get("reactanceOhm").asDouble());
        Radio radio = Radio.matched(c.get("powerEnteringW").asDouble());
        LineProfile line = profile(
                        new Element.Line(cable, lengthM),
                        radio,
                        c.get("frequencyMHz").asDouble(),
                        load)
                .lines()
                .get(0);
        JsonNode expect = c.get("expect");
        assertAgrees("max voltage", line.maxVoltage().value(), expect.get("maxVoltageRms"), AGREEMENT);
        assertThat(lengthM - line.maxVoltage().fromRadioM().orElseThrow())
                .isCloseTo(expect.get("maxVoltageAtFromAntennaM").asDouble(), within(lengthM / 100_000));
        assertAgrees("max current", line.maxCurrent().value(), expect.get("maxCurrentRms"), AGREEMENT);
        assertAgrees("max heat", line.maxHeatWPerM().value(), expect.get("maxHeatWPerM"), AGREEMENT);
        assertAgrees(
                "equivalent power", line.equivalentMatchedPowerW(), expect.get("equivalentMatchedPowerW"), AGREEMENT);
        List<LineProfile.Point> points = line.points();
        assertAgrees("at the radio", points.get(0).voltageRms().max(), expect.get("voltageAtRadioRms"), AGREEMENT);
        assertAgrees(
                "at the antenna",
                points.get(points.size() - 1).voltageRms().max(),
                expect.get("voltageAtAntennaRms"),
                AGREEMENT);
    }

    private static RunProfile profile(Element.Line line, Radio radio, double frequencyMHz, Load load) {
        return RunProfile.of(RunAssessment.of(Run.of(line), radio, new Conditions(frequencyMHz, 20), load));
    }

    @Property(tries = 60)
    void heatAlongTheLineAddsUpToWhatIsLost(
            @ForAll @DoubleRange(min = 1, max = 40) double lengthM,
            @ForAll @DoubleRange(min = 1.8, max = 60) double frequencyMHz,
            @ForAll @DoubleRange(min = 5, max = 500) double resistanceOhm,
            @ForAll @DoubleRange(min = -300, max = 300) double reactanceOhm) {
        LineProfile line = profile(
                        new Element.Line(THIN, lengthM),
                        Radio.matched(100),
                        frequencyMHz,
                        new Load.Impedance(resistanceOhm, reactanceOhm))
                .lines()
                .get(0);
        List<LineProfile.Point> points = line.points();
        double step = lengthM / (points.size() - 1);
        double heat = 0;
        for (int i = 1; i < points.size(); i++) {
            heat += step
                    * (points.get(i - 1).heatWPerM().max()
                            + points.get(i).heatWPerM().max())
                    / 2;
        }
        double lost = points.get(0).powerW().max()
                - points.get(points.size() - 1).powerW().max();
        assertThat(heat).isCloseTo(lost, within(0.02 * lost));
    }

    @Property(tries = 60)
    void noPointLiesBeyondTheExtremes(
            @ForAll @DoubleRange(min = 0, max = 400) double lengthM,
            @ForAll @DoubleRange(min = 0.2, max = 1300) double frequencyMHz,
            @ForAll @DoubleRange(min = 1, max = 30) double swr) {
        LineProfile line = profile(
                        new Element.Line(THIN, Math.min(lengthM, 25_000 / frequencyMHz)),
                        Radio.matched(100),
                        frequencyMHz,
                        new Load.SwrAtAntenna(swr))
                .lines()
                .get(0);
        assertThat(line.points()).allSatisfy(p -> {
            assertThat(p.voltageRms().max())
                    .isLessThanOrEqualTo(line.maxVoltage().value() * (1 + 1e-9));
            assertThat(p.currentRms().max())
                    .isLessThanOrEqualTo(line.maxCurrent().value() * (1 + 1e-9));
            assertThat(p.heatWPerM().max())
                    .isLessThanOrEqualTo(line.maxHeatWPerM().value() * (1 + 1e-9));
            assertThat(p.powerW().min()).isPositive();
        });
    }

    @Test
    void aMatchedLineHeatsAsTheTextbookSays() {
        LineProfile line = profile(new Element.Line(THIN, 30), Radio.matched(100), 145, new Load.Impedance(50, 0))
                .lines()
                .get(0);
        // the line's own impedance is not quite real, so a 50 Ω load is not quite a match
        assertThat(line.equivalentMatchedPowerW()).isCloseTo(100, within(0.5));
        assertThat(line.maxVoltage().value()).isCloseTo(Math.sqrt(100 * 50), within(0.2));
        assertThat(line.electricalLengthWavelengths()).isCloseTo(30 / (0.66 * 299.792458 / 145), within(1e-9));
        assertThat(line.delayNs()).isCloseTo(30 / 0.299792458 / 0.66, within(1e-9));
    }

    @Test
    void everyElementIsFoundAtItsPlace() {
        Run run = Run.of(
                new Element.Pad(new InsertionLoss.Flat(0.1), OptionalDouble.empty()),
                new Element.Line(THIN, 2),
                new Element.Transformer(4, new InsertionLoss.Flat(0.2)),
                new Element.Line(THIN, 10));
        var assessment =
                RunAssessment.of(run, Radio.matched(100), new Conditions(7.1, 20), new Load.Impedance(200, 30));
        RunProfile profile = RunProfile.of(assessment);
        assertThat(profile.lines()).extracting(LineProfile::element).containsExactly(1, 3);
        assertThat(profile.pads()).extracting(RunProfile.PadProfile::element).containsExactly(0, 2);
        assertThat(profile.lines().get(1).points().get(0).fromRadioM()).isEqualTo(2);
        for (LineProfile line : profile.lines()) {
            var loss = assessment.elements().get(line.element());
            assertThat(line.points().get(0).powerW().max())
                    .isCloseTo(loss.powerInW().orElseThrow(), within(1e-9));
            assertThat(line.points().get(line.points().size() - 1).powerW().max())
                    .isCloseTo(loss.powerOutW().orElseThrow(), within(1e-9));
        }
    }

    @Test
    void withoutAKnownAngleNoPlaceIsClaimed() {
        LineProfile line = profile(new Element.Line(THIN, 20), Radio.matched(100), 28.5, new Load.SwrAtAntenna(3))
                .lines()
                .get(0);
        assertThat(line.maxVoltage().fromRadioM()).isEmpty();
        assertThat(line.points().get(30).voltageRms().min())
                .isLessThan(line.points().get(30).voltageRms().max());
    }

    @Test
    void aReceiverHasNoVoltage() {
        var receiver = new Radio(OptionalDouble.empty(), 50, Matching.NONE, 0, false);
        assertThatThrownBy(() -> profile(new Element.Line(THIN, 20), receiver, 145, new Load.SwrAtAntenna(2)))
                .hasMessageContaining("receiver");
    }
}
