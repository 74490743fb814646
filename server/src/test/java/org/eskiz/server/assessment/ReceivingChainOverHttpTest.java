package org.eskiz.server.assessment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Preamplifiers, devices with a figure a band, and forks, through the whole server. */
@ExtendWith(RealServer.class)
class ReceivingChainOverHttpTest {

    @TestFactory
    Stream<DynamicTest> everyReferenceChain(Api api) throws IOException {
        try (InputStream file = getClass().getResourceAsStream("/reference/cascade-cases.json")) {
            JsonNode cases = JsonMapper.shared().readTree(file).get("cases");
            return StreamSupport.stream(cases.spliterator(), false)
                    .map(c -> DynamicTest.dynamicTest(c.get("name").asString(), () -> chain(api, c)))
                    .toList()
                    .stream();
        }
    }

    private static void chain(Api api, JsonNode c) {
        List<String> run = new ArrayList<>();
        c.get("chain")
                .forEach(stage -> run.add(
                        0,
                        stage.has("gainDb")
                                ? "{\"kind\": \"PREAMPLIFIER\", \"gainDb\": %s, \"noiseFigureDb\": %s}"
                                        .formatted(stage.get("gainDb"), stage.get("noiseFigureDb"))
                                : "{\"kind\": \"DEVICE\", \"lossDb\": %s}".formatted(stage.get("lossDb"))));
        JsonNode band = band(api, """
                {"receiver": {"environment": "%s", "noiseFigureDb": %s}, "run": [%s],
                 "bands": [{"frequencyMHz": %s, "load": {"swr": 1}}]}""".formatted(
                        c.get("environment").asString(),
                        c.get("receiverNoiseFigureDb"),
                        String.join(", ", run),
                        c.get("frequencyMHz")));
        double expected = c.get("receivePenaltyDb").asDouble();
        assertThat(band.get("receivePenaltyDb").asDouble())
                .isCloseTo(expected, within(1e-9 * (1 + Math.abs(expected))));
    }

    private static JsonNode band(Api api, String body) {
        return api.post("/api/assessments", body)
                .expect(200)
                .json()
                .get("bands")
                .get(0);
    }

    @Test
    void aPreamplifierThatWasStatedBesideTheRunStandsAtTheAntenna(Api api) {
        String rest = "\"bands\": [{\"frequencyMHz\": 433, \"load\": {\"swr\": 1}}]";
        JsonNode before = band(
                api,
                "{\"receiver\": {\"preamplifierGainDb\": 18, \"preamplifierNoiseFigureDb\": 0.6}, \"run\": [{\"kind\": \"DEVICE\", \"lossDb\": 5}], %s}"
                        .formatted(rest));
        JsonNode now = band(
                api,
                "{\"run\": [{\"kind\": \"DEVICE\", \"lossDb\": 5}, {\"kind\": \"PREAMPLIFIER\", \"gainDb\": 18, \"noiseFigureDb\": 0.6}], %s}"
                        .formatted(rest));
        assertThat(before.get("elements").size()).isEqualTo(2);
        assertThat(before.get("receivePenaltyDb")).isEqualTo(now.get("receivePenaltyDb"));
        assertThat(now.get("receivePenaltyDb").asDouble()).isNegative();
    }

    @Test
    void onTransmitItIsGoneRoundAndSaidSo(Api api) {
        JsonNode band = band(api, """
                {"radio": {"powerW": 50}, "receiver": {"neighbourPowerW": 100, "neighbourIsolationDb": 40},
                 "run": [{"kind": "DEVICE", "lossDb": 2}, {"id": "p", "kind": "PREAMPLIFIER", "gainDb": 18, "noiseFigureDb": 1, "bypassLossDb": 0.3, "largestInputDbm": -10}],
                 "bands": [{"frequencyMHz": 145, "load": {"swr": 1}}]}""");
        assertThat(band.get("totalLossDb").asDouble()).isCloseTo(2.3, within(1e-9));
        assertThat(codes(band)).contains("PREAMPLIFIER_BYPASSED", "PREAMPLIFIER_OVERLOADED");
        JsonNode over = band.get("notes")
                .valueStream()
                .filter(n -> n.get("code").asString().equals("PREAMPLIFIER_OVERLOADED"))
                .findFirst()
                .orElseThrow();
        // 50 dBm less 40 is 10 dBm, and −10 are borne
        assertThat(over.get("values").get("overDb").asDouble()).isCloseTo(20, within(1e-9));
    }

    private static List<String> codes(JsonNode band) {
        return band.get("notes")
                .valueStream()
                .map(n -> n.get("code").asString())
                .toList();
    }

    @Test
    void aDeviceLosesWhatItsTableSays(Api api) {
        JsonNode bands = api.post("/api/assessments", """
                {"radio": {"powerW": 100},
                 "run": [{"kind": "DEVICE", "form": "FILTER", "lossByFrequency": [{"frequencyMHz": 10, "lossDb": 0.1}, {"frequencyMHz": 1000, "lossDb": 0.5}]},
                         {"kind": "DEVICE", "form": "SPLITTER", "ways": 4, "lossDb": 0.6}],
                 "bands": [{"frequencyMHz": 100, "load": {"swr": 1}}, {"frequencyMHz": 1296, "load": {"swr": 1}}]}""").expect(200).json().get("bands");
        assertThat(bands.get(0).get("elements").get(0).get("lossDb").asDouble()).isCloseTo(0.3, within(1e-9));
        assertThat(bands.get(0).get("elements").get(1).get("lossDb").asDouble())
                .isCloseTo(10 * Math.log10(4) + 0.6, within(1e-9));
        assertThat(codes(bands.get(0))).doesNotContain("EXTRAPOLATED_DEVICE");
        assertThat(codes(bands.get(1))).contains("EXTRAPOLATED_DEVICE");
    }

    @Test
    void aMeasuredTwoPortReflectsAsItWasMeasured(Api api) {
        JsonNode band = band(api, """
                {"radio": {"powerW": 100, "matching": "NONE"},
                 "run": [{"kind": "DEVICE", "twoPort": {"referenceOhm": 50, "points": [{"frequencyMHz": 100, "s11": [0.3, 0], "s21": [0, 0.9], "s12": [0, 0.9], "s22": [0.3, 0]}]}}],
                 "bands": [{"frequencyMHz": 100, "load": {"swr": 1}}]}""");
        // into 50 Ω: what comes back at the radio is S11 alone, and 0.9² arrives
        assertThat(band.get("swrAtRadio").asDouble()).isCloseTo(1.3 / 0.7, within(1e-9));
        assertThat(band.get("powerAtAntennaW").asDouble()).isCloseTo(81, within(1e-6));
    }

    @Test
    void eachBranchOfAForkIsTheRunStatedAlone(Api api) {
        String line = "{\"kind\": \"LINE\", \"cableKey\": \"rg-213\", \"lengthM\": 25}";
        JsonNode bands = api.post("/api/assessments", """
                {"radio": {"powerW": 50},
                 "run": [%s, {"kind": "FORK", "ports": [{"branch": "vhf", "lossDb": 0.2}, {"branch": "uhf", "lossByFrequency": [{"frequencyMHz": 400, "lossDb": 0.4}, {"frequencyMHz": 470, "lossDb": 0.4}]}]},
                         {"kind": "LINE", "cableKey": "rg-58", "lengthM": 3, "branch": "vhf"},
                         {"kind": "LINE", "cableKey": "rg-213", "lengthM": 5, "branch": "uhf"}],
                 "bands": [{"frequencyMHz": 145, "branch": "vhf", "load": {"swr": 1.5}}, {"frequencyMHz": 433, "branch": "uhf", "load": {"swr": 1.5}}]}""".formatted(line))
                .expect(200)
                .json()
                .get("bands");
        JsonNode vhf = alone(api, line, 0.2, "rg-58", 3, 145);
        JsonNode uhf = alone(api, line, 0.4, "rg-213", 5, 433);
        same(bands.get(0), vhf);
        same(bands.get(1), uhf);
        assertThat(bands.get(0).get("elements").get(3).get("aside").asBoolean()).isTrue();
        assertThat(bands.get(0).get("elements").get(2).get("aside").isNull()).isTrue();
    }

    private static JsonNode alone(
            Api api, String line, double portDb, String key, double lengthM, double frequencyMHz) {
        return band(api, """
                {"radio": {"powerW": 50}, "run": [%s, {"kind": "DEVICE", "lossDb": %s}, {"kind": "LINE", "cableKey": "%s", "lengthM": %s}],
                 "bands": [{"frequencyMHz": %s, "load": {"swr": 1.5}}]}""".formatted(line, portDb, key, lengthM, frequencyMHz));
    }

    private static void same(JsonNode branch, JsonNode alone) {
        for (String figure : List.of("totalLossDb", "powerAtAntennaW", "swrAtRadio", "receivePenaltyDb")) {
            assertThat(branch.get(figure).asDouble())
                    .isCloseTo(alone.get(figure).asDouble(), within(1e-9));
        }
    }

    @Test
    void whatDoesNotHangTogetherIsSaid(Api api) {
        JsonNode problem = api.post("/api/assessments", """
                {"run": [{"kind": "FORK", "ports": [{"branch": "a"}, {"branch": "a"}]},
                         {"kind": "DEVICE", "branch": "b", "lossDb": 1, "lossByFrequency": [{"frequencyMHz": 7, "lossDb": 1}, {"frequencyMHz": 7, "lossDb": 2}]}],
                 "bands": [{"frequencyMHz": 7, "load": {"swr": 1}}]}""").expectProblem(422);
        List<String> paths = problem.get("errors")
                .valueStream()
                .map(e -> e.get("path").asString())
                .toList();
        assertThat(paths)
                .contains(
                        "run[0].ports[1].branch",
                        "run[1].branch",
                        "bands[0].branch",
                        "run[1].lossByFrequency",
                        "run[1].lossByFrequency[1].frequencyMHz");
    }

    @Test
    void anAmplifierIsNoDevice(Api api) {
        JsonNode problem = api.post("/api/assessments", """
                {"run": [{"kind": "DEVICE", "twoPort": {"referenceOhm": 50, "points": [{"frequencyMHz": 100, "s11": [0, 0], "s21": [2, 0], "s12": [2, 0], "s22": [0, 0]}]}}],
                 "bands": [{"frequencyMHz": 100, "load": {"swr": 1}}]}""").expectProblem(422);
        assertThat(problem.get("detail").asString()).contains("more comes out of it");
    }

    @Test
    void aLedgerJudgesThePenaltyBehindThePreamplifier(Api api) {
        String body = """
                {"receiver": {"environment": "QUIET_RURAL", "noiseFigureDb": 6}, "wholeCatalogue": false,
                 "run": [{"id": "c", "kind": "LINE", "cableKey": "rg-58", "lengthM": 30, "candidate": true}%s],
                 "bands": [{"id": "b", "frequencyMHz": 145, "load": {"swr": 1.5}}],
                 "requirements": [{"kind": "MOST_RECEIVE_PENALTY", "penaltyDb": 1}], "confidence": true}""";
        JsonNode bare = row(api, body.formatted(""));
        JsonNode amplified =
                row(api, body.formatted(", {\"kind\": \"PREAMPLIFIER\", \"gainDb\": 20, \"noiseFigureDb\": 0.8}"));
        assertThat(bare.get("verdict").asString()).isEqualTo("FAIL");
        assertThat(bare.get("chance").asDouble()).isLessThan(0.05);
        assertThat(amplified.get("verdict").asString()).isEqualTo("PASS");
        assertThat(amplified.get("chance").asDouble()).isGreaterThan(0.95);
    }

    private static JsonNode row(Api api, String body) {
        return api.post("/api/comparisons", body)
                .expect(200)
                .json()
                .get("rows")
                .valueStream()
                .filter(r -> "rg-58"
                        .equals(r.get("assignment")
                                .get(0)
                                .get("source")
                                .get("cableKey")
                                .asString(null)))
                .findFirst()
                .orElseThrow();
    }
}
