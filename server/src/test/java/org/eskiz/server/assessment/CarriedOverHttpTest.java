package org.eskiz.server.assessment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What was measured at the radio, carried to the antenna through the real interface. */
@ExtendWith(RealServer.class)
class CarriedOverHttpTest {

    private static final String RUN = """
            {"radio": {"powerW": 100, "matching": "%s"}, "run": [{"kind": "LINE", "cableKey": "rg-58", "lengthM": 25}],
             "bands": [{"frequencyMHz": 28.5, "load": %s}]}""";

    @Test
    void anImpedanceSeenThroughTheRunLeadsBackToTheAntenna(Api api) {
        JsonNode seen = api.post(
                        "/api/assessments", RUN.formatted("NONE", "{\"resistanceOhm\": 120, \"reactanceOhm\": -80}"))
                .expect(200)
                .json()
                .get("bands")
                .get(0);
        JsonNode carried = carry(api, "NONE", seen.get("inputImpedance").toString());
        assertThat(carried.get("resistanceOhm").asDouble()).isCloseTo(120, within(1e-6));
        assertThat(carried.get("reactanceOhm").asDouble()).isCloseTo(-80, within(1e-6));
        assertThat(carried.get("swrAtRadio").asDouble())
                .isCloseTo(seen.get("swrAtRadio").asDouble(), within(1e-9));
        assertThat(carried.get("swrAtAntenna").asDouble())
                .isGreaterThan(carried.get("swrAtRadio").asDouble());
    }

    @Test
    void anSwrAloneIsCarriedAsAMeanAndWhatCannotBeIsSaidBandByBand(Api api) {
        JsonNode carried = carry(api, "NONE", "{\"swrAtRadio\": 1.8}");
        assertThat(carried.get("resistanceOhm").isNull()).isTrue();
        assertThat(carried.get("swrAtAntenna").asDouble()).isGreaterThan(1.8);
        assertThat(carry(api, "NONE", "{\"swrAtRadio\": 40}").get("whyNot").asString())
                .contains("40");
        assertThat(carry(api, "NONE", "{\"resistanceOhm\": 0.1, \"reactanceOhm\": 0}")
                        .get("whyNot")
                        .asString())
                .contains("no antenna shows that");
        assertThat(carry(api, "AT_ANTENNA", "{\"resistanceOhm\": 50, \"reactanceOhm\": 0}")
                        .get("whyNot")
                        .asString())
                .isNotBlank();
    }

    private static JsonNode carry(Api api, String matching, String load) {
        return api.post("/api/assessments/at-the-antenna", RUN.formatted(matching, load))
                .expect(200)
                .json()
                .get("loads")
                .get(0);
    }
}
