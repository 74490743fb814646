package org.eskiz.server.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.eskiz.server.bench.BenchCalls.analyse;
import static org.eskiz.server.bench.BenchCalls.codes;
import static org.eskiz.server.bench.BenchCalls.log;
import static org.eskiz.server.bench.BenchCalls.store;

import java.util.List;
import java.util.UUID;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Tests of cables through the real interface and the real database. */
@ExtendWith(RealServer.class)
class BenchOverHttpTest {

    private static final String WATTMETER = """
            {"method": "WATTMETER", "testedOn": "2026-05-02", "piece": "Quay 30", "cableKey": "rg-213", "lengthM": 30,
             "joints": [{"connectorKey": "n"}, {"lossDb": 0.05}], "temperatureC": 18,
             "station": {"radio": "the club's", "meter": "crossed needles", "load": "oil can", "supply": "13.8 V"},
             "wattmeter": {"lead": "NONE"},
             "readings": [
               {"frequencyMHz": 7.1, "baseline": "98-100", "through": "86"},
               {"frequencyMHz": 28.5, "baseline": "100", "through": "77"},
               {"frequencyMHz": 145, "baseline": "50.0", "through": "%s"}]%s}""";

    @Test
    void readingsBecomeLossesAVerdictAndAreKept(Api api) {
        JsonNode analysis = analyse(api, WATTMETER.formatted("28.0", ""));
        JsonNode first = analysis.get("readings").get(0);
        assertThat(first.get("lossDb").asDouble()).isCloseTo(10 * Math.log10(99 / 86.0), within(1e-9));
        assertThat(first.get("leastDb").asDouble())
                .isLessThan(first.get("lossDb").asDouble());
        assertThat(first.get("expectedDb").asDouble()).isPositive();
        assertThat(analysis.get("outcome").asString()).isEqualTo("AS_THE_SHEET");
        assertThat(analysis.get("causes")).isEmpty();
        assertThat(first.get("uncertainty").get("terms"))
                .extracting(t -> t.get("source").asString())
                .contains("DRIFT", "FLICKER", "RESOLUTION", "REPEATABILITY", "METER_CLASS", "MISMATCH");
        double squares = 0;
        for (JsonNode term : first.get("uncertainty").get("terms")) {
            squares += Math.pow(term.get("standardDb").asDouble(), 2);
        }
        assertThat(first.get("mostDb").asDouble() - first.get("lossDb").asDouble())
                .isCloseTo(2 * Math.sqrt(squares), within(1e-9));
        assertThat(first.get("uncertainty").get("expandedDb").asDouble())
                .isCloseTo(2 * Math.sqrt(squares), within(1e-9));
        JsonNode drift = first.get("uncertainty").get("terms").get(0);
        assertThat(drift.get("withoutDb").asDouble())
                .isCloseTo(
                        2 * Math.sqrt(squares - Math.pow(drift.get("standardDb").asDouble(), 2)), within(1e-9));

        UUID id = UUID.randomUUID();
        String body = WATTMETER.formatted("28.0", ", \"id\": \"" + id + "\"");
        JsonNode stored = api.post("/api/bench/tests", body).expect(201).json();
        assertThat(stored.get("summary").get("revision").asInt()).isEqualTo(1);
        assertThat(stored.get("summary").get("cableName").asString()).isEqualTo("RG-213");
        assertThat(stored.get("document").get("readings").get(0).get("baseline").asString())
                .isEqualTo("98-100");
        // a repeated create does no harm; the same id for something else does
        api.post("/api/bench/tests", body).expect(201);
        api.post("/api/bench/tests", body.replace("28.0", "28.5")).expect(409);
        assertThat(log(api, id).get("figures")).hasSize(3);
    }

    @Test
    void oneReadingOfAShortPieceCannotTellAndSaysWhatWould(Api api) {
        String body = """
                {"method": "WATTMETER", "cableKey": "rg-213", "lengthM": 2, "testedOn": "2026-05-02",
                 "readings": [{"frequencyMHz": 3.65, "baseline": "50.0", "through": "49.5"%s}]}""";
        JsonNode once = analyse(api, body.formatted(""));
        assertThat(once.get("outcome").asString()).isEqualTo("CANNOT_TELL");
        assertThat(once.get("findings"))
                .anySatisfy(f -> assertThat(f.get("code").asString()).isEqualTo("WOULD_TELL"));
        JsonNode again = analyse(api, body.formatted(", \"baselineAfter\": \"50.0\""));
        assertThat(again.get("readings").get(0).get("uncertainty").get("terms"))
                .extracting(t -> t.get("source").asString())
                .as("the drift is known")
                .doesNotContain("DRIFT");
    }

    @Test
    void returnLossesOfBothLooksAreHalvedAndOneOfThemIsAnEstimate(Api api) {
        String body = """
                {"method": "LOSSES", "cableKey": "rg-58", "lengthM": 20, "testedOn": "2026-05-02",
                 "readings": [{"frequencyMHz": 145, "openReturnLossDb": 7.0%s}]}""";
        JsonNode both = analyse(api, body.formatted(", \"shortedReturnLossDb\": 7.4"));
        assertThat(both.get("readings").get(0).get("lossDb").asDouble()).isCloseTo(3.6, within(1e-9));
        JsonNode one = analyse(api, body.formatted(""));
        assertThat(one.get("readings").get(0).get("lossDb").asDouble()).isCloseTo(3.5, within(1e-9));
        assertThat(one.get("readings").get(0).get("uncertainty").get("terms"))
                .extracting(t -> t.get("source").asString())
                .contains("ESTIMATE");
    }

    @Test
    void aTestIsNeverAlteredOnlyCorrected(Api api) {
        UUID id = UUID.randomUUID();
        api.post("/api/bench/tests", WATTMETER.formatted("28.0", ", \"id\": \"" + id + "\""))
                .expect(201);
        String path = "/api/bench/tests/" + id;
        JsonNode corrected = api.put(path, WATTMETER.formatted("20.0", ", \"revision\": 1"))
                .expect(200)
                .json();
        assertThat(corrected.get("summary").get("revision").asInt()).isEqualTo(2);
        assertThat(corrected.get("summary").get("outcome").asString()).isEqualTo("WORSE");
        JsonNode conflict = api.put(path, WATTMETER.formatted("21.0", ", \"revision\": 1"))
                .expect(409)
                .json();
        assertThat(conflict.toString()).contains("corrected meanwhile");
        api.put(path, WATTMETER.formatted("21.0", "")).expect(422);
        JsonNode history = api.get(path + "/revisions").expect(200).json();
        assertThat(history).hasSize(2);
        assertThat(history.get(1)
                        .get("document")
                        .get("readings")
                        .get(2)
                        .get("through")
                        .asString())
                .isEqualTo("28.0");
        // the same again is no correction
        assertThat(api.put(path, WATTMETER.formatted("20.0", ", \"revision\": 2"))
                        .expect(200)
                        .json()
                        .get("summary")
                        .get("revision")
                        .asInt())
                .isEqualTo(2);
    }

    @Test
    void theBaselinesLeadIsAddedOnlyWhenItWasTakenOut(Api api) {
        double plain = loss(analyse(api, lead("\"NONE\"")));
        double takenOut = loss(analyse(api, lead("\"TAKEN_OUT\", \"leadCableKey\": \"rg-58\", \"leadLengthM\": 2")));
        JsonNode stayed = analyse(api, lead("\"STAYED_IN\""));
        assertThat(takenOut - plain).isCloseTo(0.4, within(0.05));
        assertThat(loss(stayed)).isEqualTo(plain);
        assertThat(codes(stayed)).contains("LEAD_STAYED_IN");
        assertThat(codes(analyse(api, lead("\"TAKEN_OUT\"")))).contains("MISSING");
    }

    private static String lead(String said) {
        return WATTMETER.formatted("28.0", "").replace("\"NONE\"", said);
    }

    private static double loss(JsonNode analysis) {
        return analysis.get("readings").get(2).get("lossDb").asDouble();
    }

    @Test
    void whatCannotBeIsSaidAtItsRowAndTheOthersStand(Api api) {
        JsonNode analysis = analyse(api, """
                {"method": "WATTMETER", "cableKey": "rg-213", "lengthM": 30, "readings": [
                  {"frequencyMHz": 7.1, "baseline": "50", "through": "60"},
                  {"frequencyMHz": 14.2, "through": "60"},
                  {"frequencyMHz": 28.5, "baseline": "100", "through": "0"},
                  {"frequencyMHz": 50.2, "baseline": "many", "through": "4"},
                  {"frequencyMHz": 145, "baseline": "50"},
                  {"frequencyMHz": 435, "baseline": "50", "through": "18.5"}]}""");
        JsonNode readings = analysis.get("readings");
        assertThat(readings.get(0).get("trouble").asString()).contains("more came through the cable (60)");
        assertThat(readings.get(1).get("trouble").asString()).contains("no baseline");
        assertThat(readings.get(2).get("trouble").asString()).contains("\"0\" is 0.0 W");
        assertThat(readings.get(3).get("trouble").asString()).contains("\"many\" is no reading");
        assertThat(readings.get(4).get("trouble").isNull()).isTrue();
        assertThat(readings.get(5).get("lossDb").asDouble()).isPositive();
        assertThat(codes(analysis)).contains("THROUGH_ABOVE_BASELINE");
    }

    @Test
    void twoLengthsPartTheCableFromItsConnectorsAndTwoLevelsShouldAgree(Api api) {
        JsonNode analysis = analyse(api, """
                {"method": "WATTMETER", "cableKey": "rg-58", "lengthM": 10, "readings": [
                  {"frequencyMHz": 28.5, "baseline": "100.0", "through": "78.0"},
                  {"frequencyMHz": 28.5, "lengthM": 30, "baseline": "100.0", "through": "51.0"},
                  {"frequencyMHz": 145, "baseline": "5.0", "through": "2.8"},
                  {"frequencyMHz": 145, "baseline": "50.0", "through": "20.0"}]}""");
        JsonNode parted = analysis.get("severalLengths").get(0);
        assertThat(parted.get("cableDbPer100m").asDouble()).isCloseTo(9.23, within(0.05));
        assertThat(parted.get("connectorsDb").asDouble()).isCloseTo(0.155, within(0.01));
        assertThat(codes(analysis)).contains("LEVELS_DISAGREE");
    }

    @Test
    void aCableTypeIsMadeOfATestAndKeepsTheWayBackToIt(Api api) {
        UUID id = UUID.randomUUID();
        api.post("/api/bench/tests", """
                        {"id": "%s", "method": "THROUGH_SWEEP", "testedOn": "2026-05-03", "piece": "Quay 12", "cableKey": "rg-58",
                         "lengthM": 12.4, "bandsMHz": [7.1, 145], "throughFileId": "%s"}""".formatted(id, store(api, "through-rg58-12m4.s2p")))
                .expect(201);
        String name = "Quay RG-58 " + System.nanoTime();
        JsonNode made = api.post("/api/bench/tests/" + id + "/cable-type", "{\"name\": \"" + name + "\"}")
                .expect(201)
                .json();
        String key = made.get("summary").get("madeTypes").get(0).asString();
        JsonNode type = api.get("/api/cable-types/" + key).expect(200).json();
        assertThat(type.get("provenance").asString()).isEqualTo("MEASURED");
        assertThat(type.get("sourceTitle").asString()).isEqualTo("bench test of Quay 12");
        assertThat(type.get("mechanicsProvenance").asString()).isEqualTo("TYPICAL");
        assertThat(type.get("velocityFactor").asDouble()).isCloseTo(0.66, within(0.0033));
        assertThat(type.get("outerDiameterMm").asDouble()).isEqualTo(5);
        double at145 = type.get("fit").get("k1").asDouble() * Math.sqrt(145)
                + type.get("fit").get("k2").asDouble() * 145;
        assertThat(at145 * 0.124).isCloseTo(2.4974, within(0.05));
        // it stands in every ledger at once
        api.post("/api/cable-types/" + key + "/retirement", "").expect(200);
    }

    @Test
    void aTestWithoutADayOrWithoutALossIsNotKept(Api api) {
        String id = ", \"id\": \"" + UUID.randomUUID() + "\"";
        assertThat(api.post(
                                "/api/bench/tests",
                                WATTMETER.formatted("28.0", id).replace("\"testedOn\": \"2026-05-02\",", ""))
                        .expect(422)
                        .json()
                        .toString())
                .contains("testedOn");
        assertThat(api.post(
                                "/api/bench/tests",
                                "{\"method\": \"WATTMETER\", \"testedOn\": \"2026-05-02\", \"id\": \"%s\"}"
                                        .formatted(UUID.randomUUID()))
                        .expect(422)
                        .json()
                        .toString())
                .contains("nothing to keep yet");
        api.post("/api/bench/analyses", WATTMETER.formatted("28.0", "").replace("rg-213", "rg-999"))
                .expect(422);
        api.get("/api/bench/tests/" + UUID.randomUUID()).expect(404);
    }

    @Test
    void theLogGoesOutAsATableThatTricksNoSpreadsheet(Api api) {
        UUID id = UUID.randomUUID();
        api.post(
                        "/api/bench/tests",
                        WATTMETER.formatted("28.0", ", \"id\": \"" + id + "\"").replace("Quay 30", "=Quay 30"))
                .expect(201);
        List<String> lines = api.get("/api/bench/tests.csv?ids=" + id)
                .expect(200)
                .response()
                .body()
                .lines()
                .toList();
        assertThat(lines).hasSize(4);
        assertThat(lines.get(1)).contains("'=Quay 30,rg-213,RG-213,WATTMETER,30,AS_THE_SHEET,7.1,");
    }

    @Test
    void aTableOfLossesIsReadInAnyUsualForm(Api api) {
        JsonNode rows = api.post("/api/bench/loss-tables", "{\"text\": \"MHz;dB\\n7,1;0,52\\n145;2,5\"}")
                .expect(200)
                .json()
                .get("rows");
        assertThat(rows.get(0).get("frequencyMHz").asDouble()).isEqualTo(7.1);
        assertThat(rows.get(1).get("lossDb").asDouble()).isEqualTo(2.5);
        JsonNode percent = api.post(
                        "/api/bench/loss-tables",
                        "{\"figure\": \"PERCENT_LOST\", \"text\": \"7 50\\n14 100\\nsee below\"}")
                .expect(200)
                .json();
        assertThat(percent.get("rows").get(0).get("lossDb").asDouble()).isCloseTo(10 * Math.log10(2), within(1e-9));
        assertThat(percent.get("rows")).hasSize(1);
        assertThat(percent.get("skipped"))
                .as("the words, and what is more than all")
                .hasSize(2);
        JsonNode both = api.post(
                        "/api/bench/loss-tables",
                        "{\"figure\": \"BOTH_RETURN_LOSSES\", \"text\": \"MHz;open;shorted\\n145;7;7.4\"}")
                .expect(200)
                .json();
        assertThat(both.get("rows").get(0).get("openReturnLossDb").asDouble()).isEqualTo(7);
        assertThat(both.get("rows").get(0).get("shortedReturnLossDb").asDouble())
                .isEqualTo(7.4);
        api.post("/api/bench/loss-tables", "{}").expect(422);
        api.post("/api/bench/loss-tables", "{\"text\": \"nothing\"}").expect(422);
    }
}
