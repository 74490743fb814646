package org.eskiz.server.comparison;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** How sure a run is, through the real interface. */
@ExtendWith(RealServer.class)
class ConfidenceOverHttpTest {

    /** The first of the reference cases. */
    private static final String RUN = """
            {"radio": {"powerW": 5, "matching": "AT_RADIO"}, "ambientC": 20,
             "run": [{"id": "j1", "kind": "JOINT", "lossDb": 0.2},
                     {"id": "main", "kind": "LINE", "lengthM": 21.4,
                      "cable": {"impedanceOhm": 50, "velocityFactor": 0.66, "attenuation": {"k1": 1.5397, "k2": 0.011033}}},
                     {"id": "j2", "kind": "JOINT", "lossDb": 0.2}],
             "bands": [{"id": "a", "frequencyMHz": 14.2, "load": {"swr": 1.0}},
                       {"id": "b", "frequencyMHz": 7.1, "load": {"swr": 6.0}},
                       {"id": "c", "frequencyMHz": 433, "load": {"swr": 1.3}}],
             "tolerance": {"sheetPercent": 30},
             "requirements": [{"kind": "LEAST_PERCENT", "percent": 14.1}]}""";

    @Test
    void aRunSaysItsChanceItsMiddleNinetyPercentAndWhatItRestsOn(Api api) {
        JsonNode sure = api.post("/api/confidence", RUN).expect(200).json();
        assertThat(sure.get("chance").asDouble()).isCloseTo(0.554, within(0.03));
        JsonNode onB = sure.get("bands").get(1);
        assertThat(onB.get("powerAtAntennaW").get("p50").asDouble()).isCloseTo(2.541, within(0.025));
        assertThat(onB.get("shares").get("angle").asDouble()).isCloseTo(0.235, within(0.02));
        assertThat(onB.get("shares").get("swr").asDouble()).isCloseTo(0.172, within(0.02));
        assertThat(onB.get("cables").get(0).get("elementId").asString()).isEqualTo("main");
        assertThat(onB.get("lossDb").get("p05").asDouble())
                .isLessThan(onB.get("lossDb").get("p95").asDouble());
    }

    @Test
    void rowsCarryTheirChanceWhereItIsAskedFor(Api api) {
        String asked = RUN.replace("\"lengthM\": 21.4,", "\"lengthM\": 21.4, \"candidate\": true,");
        JsonNode without = api.post("/api/comparisons", asked).expect(200).json();
        assertThat(without.get("rows").get(0).get("chance").isNull()).isTrue();
        JsonNode with = api.post("/api/comparisons", asked.replaceFirst("\\{", "{\"confidence\": true, "))
                .expect(200)
                .json();
        for (JsonNode row : with.get("rows")) {
            assertThat(row.get("chance").asDouble()).isBetween(0.0, 1.0);
            if (row.get("id").asString().equals(with.get("presentRowId").asString())) {
                assertThat(row.get("chance").asDouble()).isCloseTo(0.554, within(0.05));
            }
        }
    }

    @Test
    void aRunThatCannotBeAssessedIsRefusedInWords(Api api) {
        api.post("/api/confidence", "{}").expectProblem(422);
    }
}
