package org.eskiz.server.comparison;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.eskiz.core.choice.Verdict;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

@ExtendWith(RealServer.class)
class ComparisonOverHttpTest {

    private static final String RUN = """
            "radio": {"powerW": 50, "matching": "NONE"},
            "run": [{"id": "j1", "kind": "JOINT", "connectorKey": "n"},
                    {"id": "main", "kind": "LINE", "cableKey": "rg-213", "lengthM": 31, "candidate": true},
                    {"id": "j2", "kind": "JOINT", "connectorKey": "n"}],
            "bands": [{"id": "a", "name": "2 m", "frequencyMHz": 144.3, "load": {"swr": 1.5}},
                      {"id": "b", "name": "70 cm", "frequencyMHz": 432.2, "load": {"swr": 1.7}}]""";

    private static final String OWN = """
            {"id": "own-1", "name": "Cable from the attic", "cable": {"impedanceOhm": 50, "velocityFactor": 0.83,
             "attenuation": {"points": [{"frequencyMHz": 145, "attenuationDbPer100m": 9}]}}}""";

    @Test
    void theWholeCatalogueIsTriedAndThePresentCableIsARow(Api api) {
        JsonNode ledger = compare(api, ", \"requirements\": [{\"kind\": \"LEAST_POWER\", \"powerW\": 20}]");
        assertThat(ledger.get("rows")).hasSize(24);
        assertThat(ledger.get("presentRowId").asString()).isEqualTo("rg-213");
        JsonNode present = row(ledger, "rg-213");
        assertThat(present.get("verdict").asString()).isEqualTo("FAIL");
        JsonNode reason = present.get("reasons").get(0);
        assertThat(reason.get("code").asString()).isEqualTo("MISSED");
        assertThat(reason.get("bandId").asString()).isEqualTo("b");
        assertThat(reason.get("values").get("asked").asDouble()).isEqualTo(20);
        assertThat(reason.get("values").get("asked").asDouble()
                        - reason.get("values").get("reached").asDouble())
                .isBetween(4.0, 5.0);
        assertThat(reason.has("text")).isFalse();
    }

    @Test
    void cellsAgreeWithAnAssessmentOfTheSameRun(Api api) {
        JsonNode cell = row(compare(api, ""), "foam-10").get("cells").get(1);
        JsonNode band = api.post("/api/assessments", "{" + RUN.replace("rg-213", "foam-10") + "}")
                .expect(200)
                .json()
                .get("bands")
                .get(1);
        assertThat(cell.get("totalLossDb").asDouble())
                .isEqualTo(band.get("totalLossDb").asDouble());
        assertThat(cell.get("powerAtAntennaW").asDouble())
                .isEqualTo(band.get("powerAtAntennaW").asDouble());
        assertThat(cell.get("swrAtRadio").asDouble())
                .isEqualTo(band.get("swrAtRadio").asDouble());
    }

    @Test
    void costIsCableAndTheConnectorsThatTouchIt(Api api) {
        JsonNode row = row(compare(api, ""), "foam-10");
        assertThat(row.get("cost").get("amount").asDouble()).isCloseTo(3.6 * 31 + 2 * 5.5, within(1e-9));
        assertThat(row.get("cost").get("currency").asString()).isEqualTo("EUR");
        assertThat(row.get("cost").get("sample").asBoolean()).isTrue();
        assertThat(row.get("mass").get("totalKg").asDouble()).isCloseTo(3.131, within(1e-9));
    }

    @Test
    void rowsComeInTheOrderOfTheSchool(Api api) {
        String asked = ", \"requirements\": [{\"kind\": \"LEAST_POWER\", \"powerW\": 20}]";
        assertThat(firstId(compare(api, asked))).isEqualTo("airspaced-10");
        assertThat(firstId(compare(api, asked + ", \"preference\": \"MOST_MARGIN\"")))
                .isEqualTo("hardline-22");
    }

    @Test
    void theVerdictComesFirstWhateverTheImpedance(Api api) {
        JsonNode rows = compare(api, ", \"requirements\": [{\"kind\": \"LEAST_POWER\", \"powerW\": 20}]")
                .get("rows");
        assertThat(rows.valueStream().map(r -> Verdict.valueOf(r.get("verdict").asString())))
                .isSorted();
        assertThat(rows.valueStream().map(r -> r.get("suitability").asString()))
                .contains("SUITED", "OTHER_IMPEDANCE", "BALANCED");
    }

    @Test
    void anOverloadedCableFailsThoughNobodyAskedAndTheReasonNamesItsPart(Api api) {
        String kilowatt = RUN.replace("\"powerW\": 50", "\"powerW\": 1500");
        JsonNode ledger = api.post(
                        "/api/comparisons", "{" + kilowatt + ", \"candidates\": [{\"cableKey\": \"rg-174\"}]}")
                .expect(200)
                .json();
        JsonNode reason = row(ledger, "rg-174").get("reasons").get(0);
        assertThat(reason.get("code").asString()).isEqualTo("TOO_HOT");
        assertThat(reason.get("verdict").asString()).isEqualTo("FAIL");
        assertThat(reason.get("elementId").asString()).isEqualTo("main");
        assertThat(reason.get("values").get("reached").asDouble()).isLessThan(0.2);
        assertThat(reason.get("values").get("asked").asDouble()).isEqualTo(1);
    }

    @Test
    void aFigureOfOnesOwnIsARowWithoutAPrice(Api api) {
        JsonNode ledger = compare(api, ", \"candidates\": [{\"cableKey\": \"rg-58\"}, " + OWN + "]");
        assertThat(ledger.get("rows").valueStream().map(r -> r.get("id").asString()))
                .containsExactlyInAnyOrder("rg-58", "own-1", "rg-213");
        JsonNode own = row(ledger, "own-1");
        assertThat(own.get("name").asString()).isEqualTo("Cable from the attic");
        assertThat(own.get("cost").isNull()).isTrue();
        JsonNode source = own.get("assignment").get(0).get("source");
        assertThat(source.get("candidateId").asString()).isEqualTo("own-1");
        assertThat(own.get("assignment").get(0).get("elementId").asString()).isEqualTo("main");
        assertThat(own.get("assignment").get(0).get("lengthM").asDouble()).isEqualTo(31);
    }

    @Test
    void aPresentCableOfOnesOwnIsRecognisedAmongTheCandidates(Api api) {
        String inline = OWN.replaceAll("(?s).*\"cable\": ", "\"cable\": ").replaceAll("}\\s*$", "");
        String body = "{" + RUN.replace("\"cableKey\": \"rg-213\"", inline) + ", \"candidates\": [" + OWN + "]}";
        JsonNode ledger = api.post("/api/comparisons", body).expect(200).json();
        assertThat(ledger.get("rows")).hasSize(1);
        assertThat(ledger.get("presentRowId").asString()).isEqualTo("own-1");
    }

    @Test
    void detailsComeForTheCellsAskedForOnly(Api api) {
        JsonNode ledger = compare(api, ", \"details\": [{\"rowId\": \"foam-10\", \"band\": 1}]");
        assertThat(ledger.get("details")).hasSize(1);
        JsonNode assessment = ledger.get("details").get(0).get("assessment");
        assertThat(assessment.get("elements")).hasSize(3);
        double sum = assessment
                .get("elements")
                .valueStream()
                .mapToDouble(e -> e.get("lossDb").asDouble())
                .sum();
        assertThat(sum).isCloseTo(assessment.get("runLossDb").asDouble(), within(1e-9));
        assertThat(assessment.get("elements").get(1).get("id").asString()).isEqualTo("main");
    }

    @Test
    void extrapolationsAreSaid(Api api) {
        String at13cm = RUN.replace("432.2", "2400");
        JsonNode ledger = api.post(
                        "/api/comparisons",
                        "{" + at13cm + ", \"candidates\": [{\"cableKey\": \"rg-174\"}],"
                                + "\"details\": [{\"rowId\": \"rg-174\", \"band\": 1}]}")
                .expect(200)
                .json();
        JsonNode note =
                ledger.get("details").get(0).get("assessment").get("notes").get(0);
        assertThat(note.get("code").asString()).isEqualTo("EXTRAPOLATED_CABLE");
        assertThat(note.get("elementId").asString()).isEqualTo("main");
        assertThat(note.get("values").get("of").asString()).isEqualTo("rg-174");
        assertThat(row(ledger, "rg-174")
                        .get("reasons")
                        .valueStream()
                        .map(r -> r.get("code").asString()))
                .contains("EXTRAPOLATED");
    }

    @Test
    void whatIsAskedMustMakeSense(Api api) {
        refused(api, ", \"requirements\": [{\"kind\": \"LEAST_POWER\"}]", "requirements[0].powerW");
        refused(api, ", \"requirements\": [{\"powerW\": 5}]", "requirements[0].kind");
        refused(
                api,
                ", \"requirements\": [{\"kind\": \"MOST_LOSS\", \"lossDb\": 1, \"powerW\": 5}]",
                "requirements[0]");
        refused(api, ", \"candidates\": [{}]", "candidates[0]");
        refused(api, ", \"candidates\": [{\"cableKey\": \"none\"}]", "candidates[0].cableKey");
        refused(api, ", \"candidates\": [" + OWN + ", " + OWN + "]", "candidates[1]");
        refused(api, ", \"candidates\": [" + OWN.replace("own-1", "rg-58") + "]", "candidates[0].id");
        refused(api, ", \"details\": [{\"rowId\": \"foam-10\", \"band\": 2}]", "details[0].band");
        refused(api, ", \"details\": [{\"rowId\": \"none\", \"band\": 0}]", "details[0].rowId");
        String receiver = RUN.replace("\"powerW\": 50, ", "");
        JsonNode problem = api.post(
                        "/api/comparisons",
                        "{" + receiver + ", \"requirements\": [{\"kind\": \"LEAST_POWER\", \"powerW\": 5}]}")
                .expectProblem(422);
        assertThat(problem.get("detail").asString()).contains("a receiver has no watts");
    }

    @Test
    void aReceiverIsComparedWithoutWatts(Api api) {
        String body = "{" + RUN.replace("\"powerW\": 50, ", "")
                + ", \"requirements\": [{\"kind\": \"MOST_LOSS\", \"lossDb\": 3}]}";
        JsonNode cell = row(api.post("/api/comparisons", body).expect(200).json(), "foam-10")
                .get("cells")
                .get(0);
        assertThat(cell.get("powerAtAntennaW").isNull()).isTrue();
        assertThat(cell.get("totalLossDb").asDouble()).isPositive();
    }

    private static void refused(Api api, String rest, String path) {
        JsonNode problem = api.post("/api/comparisons", "{" + RUN + rest + "}").expectProblem(422);
        assertThat(problem.get("errors").valueStream().map(e -> e.get("path").asString()))
                .contains(path);
    }

    private static JsonNode compare(Api api, String rest) {
        return api.post("/api/comparisons", "{" + RUN + rest + "}").expect(200).json();
    }

    private static String firstId(JsonNode ledger) {
        return ledger.get("rows").get(0).get("id").asString();
    }

    private static JsonNode row(JsonNode ledger, String id) {
        return ledger.get("rows")
                .valueStream()
                .filter(r -> r.get("id").asString().equals(id))
                .findFirst()
                .orElseThrow();
    }
}
