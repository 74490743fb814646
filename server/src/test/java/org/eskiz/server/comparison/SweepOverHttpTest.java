package org.eskiz.server.comparison;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

@ExtendWith(RealServer.class)
class SweepOverHttpTest {

    private static final String COMPARISON = """
            {"radio": {"powerW": 100}, "run": [{"kind": "JOINT", "connectorKey": "n"},
             {"kind": "LINE", "cableKey": "rg-58", "lengthM": 20, "candidate": true}],
             "bands": [{"frequencyMHz": 7.1, "load": {"swr": 3}},
                       {"frequencyMHz": 145, "matching": "NONE", "load": {"swrAtRadio": 1.3}}]}""";

    private static String sweep(String what) {
        return "{\"comparison\": %s, \"rowIds\": [\"foam-10\", \"rg-58\"], %s}".formatted(COMPARISON, what);
    }

    @Test
    void atTheBandsACurveIsTheLedger(Api api) {
        JsonNode sweep = api.post(
                        "/api/sweeps", sweep("\"overFrequency\": {\"fromMHz\": 7.1, \"toMHz\": 145, \"points\": 3}"))
                .expect(200)
                .json();
        JsonNode ledger = api.post("/api/comparisons", COMPARISON).json();
        assertThat(sweep.get("bands").get(0).asInt()).isZero();
        assertThat(sweep.get("bands").get(2).asInt()).isEqualTo(1);
        assertThat(sweep.get("at").get(1).asDouble()).isCloseTo(Math.sqrt(7.1 * 145), within(1e-9));
        for (JsonNode curve : sweep.get("rows")) {
            JsonNode cells = row(ledger, curve.get("id").asString()).get("cells");
            for (int band = 0; band < 2; band++) {
                JsonNode point = curve.get("points").get(2 * band);
                for (String figure : new String[] {"totalLossDb", "powerAtAntennaW", "swrAtRadio"}) {
                    assertThat(point.get(figure).asDouble())
                            .isCloseTo(cells.get(band).get(figure).asDouble(), within(1e-9));
                }
            }
        }
    }

    @Test
    void overLengthLossRisesFromTheJointsAlone(Api api) {
        JsonNode sweep = api.post("/api/sweeps", sweep("\"overLength\": {\"band\": 0, \"toM\": 40, \"points\": 5}"))
                .expect(200)
                .json();
        JsonNode ledger = api.post("/api/comparisons", COMPARISON).json();
        JsonNode points = sweep.get("rows").get(1).get("points");
        assertThat(points.get(0).get("matchedLossDb").asDouble()).isLessThan(0.02);
        assertThat(points.get(2).get("totalLossDb").asDouble())
                .isCloseTo(
                        row(ledger, "rg-58")
                                .get("cells")
                                .get(0)
                                .get("totalLossDb")
                                .asDouble(),
                        within(1e-9));
        assertThat(points.get(4).get("matchedLossDb").asDouble())
                .isGreaterThan(points.get(2).get("matchedLossDb").asDouble());
    }

    @Test
    void whatCannotBeSweptIsNamed(Api api) {
        refused(
                api,
                sweep("\"overFrequency\": {\"fromMHz\": 145, \"toMHz\": 7, \"points\": 3}"),
                "above fromMHz 145.0");
        refused(api, sweep("\"overLength\": {\"band\": 2, \"toM\": 40, \"points\": 5}"), "must be below 2");
        refused(api, sweep("\"overLength\": {\"band\": 1, \"toM\": 40, \"points\": 402}"), "from 2 to 401, not 402");
        refused(api, sweep("\"overLength\": null"), "exactly one of");
        refused(
                api,
                sweep("\"overLength\": {\"band\": 1, \"toM\": 40, \"points\": 5}")
                        .replace("foam-10", "foam-11"),
                "no row \"foam-11\"");
    }

    private static void refused(Api api, String body, String told) {
        assertThat(api.post("/api/sweeps", body)
                        .expectProblem(422)
                        .get("detail")
                        .asString())
                .contains(told);
    }

    private static JsonNode row(JsonNode ledger, String id) {
        Stream<JsonNode> rows = StreamSupport.stream(ledger.get("rows").spliterator(), false);
        return rows.filter(r -> r.get("id").asString().equals(id)).findFirst().orElseThrow();
    }
}
