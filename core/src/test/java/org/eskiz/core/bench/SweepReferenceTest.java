package org.eskiz.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Stream;
import org.eskiz.core.cable.Attenuation;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Sweeps made independently of this code, with noise: loss within 2 % or 0.02 dB, length within 0.5 %. */
class SweepReferenceTest {

    @Test
    void aSweepThroughTellsLossLengthAndVelocity() {
        JsonNode expected = expected("through-rg58-12m4.s2p");
        MeasuredLine line = LineFromSweep.through(twoPort("through-rg58-12m4.s2p"));
        assertLosses(line, expected);
        assertLength(line, expected);
        assertThat(line.impedanceOhm()).hasValueCloseTo(50.0, within(1.0));
        assertThat(line.isEstimate()).isFalse();
    }

    @Test
    void oneEndOpenAndShortedTellsTheSame() {
        JsonNode expected = expected("open-rg8x-30m5.s1p + short-rg8x-30m5.s1p");
        MeasuredLine line = LineFromSweep.openAndShorted(onePort("open-rg8x-30m5.s1p"), onePort("short-rg8x-30m5.s1p"));
        assertLosses(line, expected);
        assertLength(line, expected);
        line.points().forEach(p -> assertThat(p.matchedLossDb()).isPositive());
    }

    @Test
    void oneOfTheTwoAloneIsAnEstimate() {
        JsonNode expected = expected("open-rg8x-30m5.s1p + short-rg8x-30m5.s1p");
        for (String file : List.of("open-rg8x-30m5.s1p", "short-rg8x-30m5.s1p")) {
            MeasuredLine line = LineFromSweep.fromOneEnd(onePort(file));
            assertThat(line.isEstimate()).isTrue();
            assertThat(line.lengthM(0.8)).as(file).isCloseTo(30.5, within(30.5 * 0.02));
            double at = expected.get("lossDbAt").get("28.5").asDouble();
            assertThat(line.lossDbAt(28.5)).as(file).hasValueCloseTo(at, within(0.1 * at));
        }
    }

    @Test
    void aResistiveJointIsToldByItsFlatExcess() {
        JsonNode expected = expected("bad-joint-rg213.s2p");
        MeasuredLine line = LineFromSweep.through(twoPort("bad-joint-rg213.s2p"));
        assertLength(line, expected);
        var sheet = new Expectation(new Attenuation(0.62, 0.00504), 18.8, 20, List.of(), 0.05);
        List<LossPoint> points = Stream.of(3.6, 7.1, 14.2, 28.5, 50.2, 145.0, 290.0, 430.0)
                .map(f -> LossPoint.within(f, line.plainLossDbAt(f).orElseThrow(), 0.03))
                .toList();
        SheetDeviation against = SheetDeviation.of(points, sheet);
        assertThat(against.outcome()).isEqualTo(SheetDeviation.Outcome.WORSE);
        assertThat(against.causes()).singleElement().satisfies(c -> {
            assertThat(c.kind()).isEqualTo(Cause.Kind.CONTACT);
            assertThat(c.amount()).isCloseTo(0.5, within(0.15));
        });
    }

    @Test
    void aCableMadeOfTheSweepHasTheLawOfTheSheet() {
        MeasuredLine line = LineFromSweep.through(twoPort("through-rg58-12m4.s2p"));
        List<LossPoint> points = line.points().stream()
                .map(p -> LossPoint.within(p.frequencyMHz(), p.matchedLossDb(), 0.02))
                .toList();
        OwnCable own = OwnCable.of(points, 12.4, 20, true);
        double at145 = own.attenuation().dbPer100m(145, 20) * 12.4 / 100 + own.jointsDb();
        assertThat(at145)
                .isCloseTo(
                        expected("through-rg58-12m4.s2p")
                                .get("lossDbAt")
                                .get("145")
                                .asDouble(),
                        within(0.02));
        assertThat(own.worstResidualDb()).isLessThan(0.05);
    }

    private static void assertLosses(MeasuredLine line, JsonNode expected) {
        expected.get("lossDbAt").properties().forEach(at -> {
            double db = at.getValue().asDouble();
            assertThat(line.lossDbAt(Double.parseDouble(at.getKey())))
                    .as("%s MHz", at.getKey())
                    .hasValueCloseTo(db, within(Math.max(0.02 * db, 0.02)));
        });
    }

    private static void assertLength(MeasuredLine line, JsonNode expected) {
        double lengthM = expected.get("lengthM").asDouble();
        double velocityFactor = expected.get("velocityFactor").asDouble();
        assertThat(line.lengthM(velocityFactor)).isCloseTo(lengthM, within(0.005 * lengthM));
        assertThat(line.velocityFactor(lengthM)).isCloseTo(velocityFactor, within(0.005 * velocityFactor));
    }

    static Sweep.TwoPort twoPort(String file) {
        return (Sweep.TwoPort) Touchstone.read(text(file));
    }

    static Sweep.OnePort onePort(String file) {
        return (Sweep.OnePort) Touchstone.read(text(file));
    }

    private static JsonNode expected(String sweep) {
        return JsonMapper.builder().build().readTree(text("expected.json")).get(sweep);
    }

    static String text(String file) {
        try (InputStream in = SweepReferenceTest.class.getResourceAsStream("/reference/sweeps/" + file)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
