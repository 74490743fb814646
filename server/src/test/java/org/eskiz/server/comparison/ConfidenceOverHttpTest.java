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
    void aCableThatIsWrittenOutMaySayHowFarItIsOff(Api api) {
        String exact = RUN.replace("\"k2\": 0.011033}", "\"k2\": 0.011033}, \"tolerance\": 0");
        JsonNode sure = api.post("/api/confidence", exact).expect(200).json();
        assertThat(sure.get("bands").get(0).get("shares").get("cable").asDouble())
                .isZero();
        api.post("/api/confidence", exact.replace("\"tolerance\": 0", "\"tolerance\": 1.1"))
                .expectProblem(422);
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
            JsonNode middle = row.get("middle").get(2);
            assertThat(middle.get("leastDb").asDouble())
                    .isLessThan(middle.get("mostDb").asDouble());
            if (row.get("id").asString().equals(with.get("presentRowId").asString())) {
                assertThat(row.get("chance").asDouble()).isCloseTo(0.554, within(0.05));
            }
        }
    }

    @Test
    void moreCertaintyHasItsPriceAndTheSurestComesFirst(Api api) {
        String asked = RUN.replace("\"lengthM\": 21.4,", "\"lengthM\": 21.4, \"candidate\": true,")
                .replaceFirst("\\{", "{\"confidence\": true, \"preference\": \"SUREST\", ")
                .replace("14.1", "60");
        JsonNode sure = api.post("/api/comparisons", asked).expect(200).json();
        JsonNode steps = sure.get("chanceSteps");
        assertThat(steps.size()).isGreaterThan(1);
        assertThat(steps.get(0).get("costOfStep").isNull()).isTrue();
        for (int i = 1; i < steps.size(); i++) {
            assertThat(steps.get(i).get("passing").asInt())
                    .isGreaterThan(steps.get(i - 1).get("passing").asInt());
            assertThat(steps.get(i).get("costOfStep").asDouble()).isPositive();
            assertThat(steps.get(i).get("costPerMore").asDouble()
                            * steps.get(i).get("more").asInt())
                    .isCloseTo(steps.get(i).get("costOfStep").asDouble(), within(1e-9));
        }
        JsonNode cheapest = row(sure, steps.get(0).get("rowId").asString());
        assertThat(cheapest.get("surer").get("rowId")).isEqualTo(steps.get(1).get("rowId"));
        assertThat(cheapest.get("surer").get("cost")).isEqualTo(steps.get(1).get("costOfStep"));
        JsonNode surest = row(sure, steps.get(steps.size() - 1).get("rowId").asString());
        assertThat(surest.get("surer").isNull()).isTrue();
        assertThat(surest.get("passing").asInt())
                .isEqualTo((int) Math.round(20 * surest.get("chance").asDouble()));
        JsonNode rows = sure.get("rows");
        for (int i = 1; i < rows.size(); i++) {
            if (rows.get(i).get("verdict").equals(rows.get(i - 1).get("verdict"))) {
                assertThat(rows.get(i).get("chance").asDouble())
                        .isLessThanOrEqualTo(rows.get(i - 1).get("chance").asDouble());
            }
        }
    }

    @Test
    void aRowSaysHowFarItMayBeOffAndWhy(Api api) {
        String asked = RUN.replace("\"lengthM\": 21.4,", "\"lengthM\": 21.4, \"candidate\": true,")
                .replace("\"k2\": 0.011033}", "\"k2\": 0.011033}, \"tolerance\": 0.07");
        JsonNode ledger = api.post("/api/comparisons", asked).expect(200).json();
        JsonNode written = row(ledger, ledger.get("presentRowId").asString()).get("tolerance");
        assertThat(written.get("percent").asDouble()).isCloseTo(7, within(1e-9));
        assertThat(written.get("ofItself").asBoolean()).isTrue();
        JsonNode typical = row(ledger, "rg-58").get("tolerance");
        assertThat(typical.get("percent").asDouble()).isEqualTo(10);
        assertThat(typical.get("provenance").asString()).isEqualTo("TYPICAL");
        assertThat(typical.get("ofItself").asBoolean()).isFalse();
    }

    @Test
    void whatDoesNotFitDoesNotPassHoweverSurelyItArrives(Api api) {
        String asked = RUN.replace("\"lengthM\": 21.4,", "\"lengthM\": 21.4, \"candidate\": true,")
                .replaceFirst("\\{", "{\"confidence\": true, ")
                .replace("\"percent\": 14.1}", "\"percent\": 1}, {\"kind\": \"BUDGET\", \"cost\": 60}");
        for (JsonNode row :
                api.post("/api/comparisons", asked).expect(200).json().get("rows")) {
            if (row.get("verdict").asString().equals("FAIL")) {
                assertThat(row.get("passing").asInt()).isZero();
            }
        }
    }

    private static JsonNode row(JsonNode ledger, String id) {
        return ledger.get("rows")
                .valueStream()
                .filter(r -> r.get("id").asString().equals(id))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aRunThatCannotBeAssessedIsRefusedInWords(Api api) {
        api.post("/api/confidence", "{}").expectProblem(422);
    }
}
