package org.eskiz.server.assessment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What a choice rests on beside the watts: reach, reception, the field near the antenna. */
@ExtendWith(RealServer.class)
class ChoosingOverHttpTest {

    @TestFactory
    Stream<DynamicTest> everyReferencePenalty(Api api) throws IOException {
        return cases("receive-cases.json")
                .map(c -> DynamicTest.dynamicTest(c.get("frequencyMHz") + " MHz", () -> penalty(api, c)));
    }

    private static void penalty(Api api, JsonNode c) {
        String body = """
                {"receiver": {"environment": "%s", "noiseFigureDb": %s, "antennaTemperatureK": %s},
                 "run": [{"kind": "DEVICE", "lossDb": %s}], "bands": [{"frequencyMHz": %s, "load": {"swr": 1}}]}""".formatted(
                        c.get("environment").asString(),
                        c.get("noiseFigureDb"),
                        c.get("antennaTemperatureK"),
                        c.get("runLossDb"),
                        c.get("frequencyMHz"));
        JsonNode band = api.post("/api/assessments", body)
                .expect(200)
                .json()
                .get("bands")
                .get(0);
        double expected = c.get("snrLossDb").asDouble();
        assertThat(band.get("receivePenaltyDb").asDouble()).isCloseTo(expected, within(1e-9 * expected + 1e-12));
        assertThat(band.get("near").isNull()).isTrue();
    }

    @Test
    void nearTheAntennaStandsWhatIsRadiatedAndHowFarToKeepAway(Api api) {
        String body = """
                {"radio": {"powerW": 100, "duty": 0.5}, "exposure": {"limits": "FCC_1_1310", "transmitting": 1, "groundFactor": 1},
                 "run": [], "bands": [{"frequencyMHz": 145, "load": {"swr": 1}, "antennaGainDbi": 10}, {"frequencyMHz": 0.2, "load": {"swr": 1}}]}""";
        JsonNode bands = api.post("/api/assessments", body).expect(200).json().get("bands");
        JsonNode near = bands.get(0).get("near");
        assertThat(near.get("eirpW").asDouble()).isCloseTo(1000, within(1e-9));
        assertThat(near.get("distanceM").asDouble()).isCloseTo(Math.sqrt(500 / (4 * Math.PI * 2)), within(1e-9));
        assertThat(bands.get(1).get("near").get("distanceM").isNull()).isTrue();
        assertThat(bands.get(1).get("receivePenaltyDb").isNull()).isTrue();
    }

    @TestFactory
    Stream<DynamicTest> everyReferenceReach(Api api) throws IOException {
        return cases("reach-cases.json")
                .map(c -> DynamicTest.dynamicTest(c.get("name").asString(), () -> reach(api, c)));
    }

    private static void reach(Api api, JsonNode c) {
        JsonNode cable = c.get("candidate");
        String line = """
                {"kind": "LINE", "candidate": true, "lengthM": 5, "cable": {"impedanceOhm": %s, "velocityFactor": %s, "attenuation": %s}}""".formatted(cable.get("impedanceOhm"), cable.get("velocityFactor"), cable.get("attenuation"));
        String run = Stream.of(elements(c.get("before")), Stream.of(line), elements(c.get("after")))
                .flatMap(s -> s)
                .reduce((a, b) -> a + ", " + b)
                .orElseThrow();
        String body = """
                {"radio": {"powerW": %s}, "run": [%s], "bands": [{"frequencyMHz": %s, "load": %s}], "reach": true,
                 "candidates": [{"cableKey": "rg-58"}], "requirements": [{"kind": "LEAST_POWER", "powerW": %s}]}""".formatted(
                        c.get("radioPowerW"), run, c.get("frequencyMHz"), c.get("load"), c.get("leastPowerAtAntennaW"));
        JsonNode ledger = api.post("/api/comparisons", body).expect(200).json();
        String present = ledger.get("presentRowId").asString();
        JsonNode row = StreamSupport.stream(ledger.get("rows").spliterator(), false)
                .filter(r -> r.get("id").asString().equals(present))
                .findFirst()
                .orElseThrow();
        JsonNode reach = row.get("reach").get(0);
        double expected = c.get("reachM").asDouble();
        assertThat(reach.get("lengthM").asDouble()).isCloseTo(expected, within(1e-6 * expected));
    }

    private static Stream<String> elements(JsonNode array) {
        return StreamSupport.stream(array.spliterator(), false).map(JsonNode::toString);
    }

    private static Stream<JsonNode> cases(String file) throws IOException {
        try (InputStream in = ChoosingOverHttpTest.class.getResourceAsStream("/reference/" + file)) {
            JsonNode cases = Api.parse(new String(in.readAllBytes(), StandardCharsets.UTF_8))
                    .get("cases");
            return StreamSupport.stream(cases.spliterator(), false);
        }
    }
}
