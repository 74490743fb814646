package org.eskiz.server.problem;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpRequest;
import java.util.stream.Stream;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** What cannot be read is 400, what cannot be is 422; each names the field, the value and what is allowed. */
@ExtendWith(RealServer.class)
class BadInputTest {

    private static final String GOOD = """
            {"radio": {"powerW": 100}, "run": [{"kind": "LINE", "cableKey": "rg-58", "lengthM": 20, "candidate": true}],
             "bands": [{"name": "2 m", "frequencyMHz": 145, "load": {"swr": 1.5}}]}""";

    private record Case(int status, String find, String replace, String path, String says) {}

    private static final Case[] CASES = {
        new Case(422, "\"lengthM\": 20", "\"lengthM\": -1", "run[0].lengthM", "from 0 to 10000, not -1"),
        new Case(422, "\"lengthM\": 20", "\"lengthM\": 10000.5", "run[0].lengthM", "not 10000.5"),
        new Case(422, "\"lengthM\": 20", "\"lengthM\": 1e999", "run[0].lengthM", "from 0 to 10000"),
        new Case(422, "\"lengthM\": 20", "\"lengthM\": null", "run[0].lengthM", "must be given"),
        new Case(422, "\"powerW\": 100", "\"powerW\": 0", "radio.powerW", "power in W"),
        new Case(422, "\"powerW\": 100", "\"powerW\": 100001", "radio.powerW", "not 100001"),
        new Case(422, "145", "0.09", "bands[0].frequencyMHz", "frequency in MHz"),
        new Case(422, "145", "30001", "bands[0].frequencyMHz", "not 30001"),
        new Case(422, "1.5", "0.99", "bands[0].load.swr", "from 1 to 1000, not 0.99"),
        new Case(422, "1.5", "1001", "bands[0].load.swr", "not 1001"),
        new Case(422, "rg-58", "rg-none", "run[0].cableKey", "no cable type \"rg-none\""),
        new Case(422, "{\"swr\": 1.5}", "{\"swr\": 2, \"swrAtRadio\": 2}", "bands[0].load", "exactly one of"),
        new Case(422, "{\"swr\": 1.5}", "{}", "bands[0].load", "exactly one of"),
        new Case(
                422,
                "{\"swr\": 1.5}",
                "{\"resistanceOhm\": 0, \"reactanceOhm\": 1}",
                "bands[0].load.resistanceOhm",
                "not 0"),
        new Case(422, "{\"swr\": 1.5}", "{\"resistanceOhm\": 50}", "bands[0].load.reactanceOhm", "must be given"),
        new Case(
                422,
                "[{\"name\": \"2 m\", \"frequencyMHz\": 145, \"load\": {\"swr\": 1.5}}]",
                "[]",
                "bands",
                "at least one"),
        new Case(422, "\"name\": \"2 m\"", "\"name\": \"\\u0000\"", "bands[0].name", "U+0000"),
        new Case(422, "\"name\": \"2 m\"", "\"name\": \"\\ud800\"", "bands[0].name", "U+D800"),
        new Case(
                422,
                "{\"powerW\": 100}",
                "{\"powerW\": 100, \"impedanceOhm\": 0.5}",
                "radio.impedanceOhm",
                "from 1 to 2000"),
        new Case(422, "\"run\"", "\"ambientC\": 121, \"run\"", "ambientC", "from -60 to 120"),
        new Case(400, "\"lengthM\": 20", "\"lengthM\": \"20\"", "run[0].lengthM", "String"),
        new Case(400, "\"lengthM\": 20", "\"lengthM\": 20, \"lengthM\": 21", "", "Duplicate"),
        new Case(400, "\"lengthM\": 20", "\"lengthFt\": 20", "run[0].lengthFt", "not known here"),
        new Case(400, "\"lengthM\": 20", "\"lengthM\": 20, \"lossDb\": 1", "run[0].lossDb", "not known here"),
        new Case(400, "\"lengthM\": 20", "\"lengthM\": NaN", "", ""),
        new Case(400, "LINE", "ROPE", "run[0]", "ROPE"),
        new Case(400, "{\"powerW\": 100}", "{\"matching\": \"SOMEWHERE\"}", "radio.matching", "AT_RADIO"),
        new Case(400, "{\"powerW\": 100}", "{\"matching\": 1}", "radio.matching", ""),
        new Case(400, "{\"powerW\": 100}", "{\"foldback\": \"true\"}", "radio.foldback", ""),
        new Case(400, "{\"powerW\": 100}", "[]", "radio", ""),
        new Case(400, "]}", "]} {}", "", ""),
        new Case(400, "]}", "]", "", ""),
    };

    @TestFactory
    Stream<DynamicTest> everyBadValueIsNamed(Api api) {
        return Stream.of(CASES)
                .flatMap(c -> Stream.of("/api/assessments", "/api/comparisons")
                        .map(path -> DynamicTest.dynamicTest(path + " " + c.replace(), () -> refused(api, path, c))));
    }

    private static void refused(Api api, String path, Case c) {
        assertThat(GOOD).contains(c.find());
        JsonNode problem = api.post(path, GOOD.replace(c.find(), c.replace())).expectProblem(c.status());
        assertThat(problem.get("detail").asString()).contains(c.says());
        if (!c.path().isEmpty()) {
            assertThat(problem.get("errors").get(0).get("path").asString()).isEqualTo(c.path());
            assertThat(problem.get("errors").get(0).get("message").asString()).contains(c.says());
        }
    }

    @Test
    void theGoodRequestIsGood(Api api) {
        api.post("/api/assessments", GOOD).expect(200);
        api.post("/api/comparisons", GOOD).expect(200);
    }

    @Test
    void allFaultsAreToldAtOnce(Api api) {
        String bad = GOOD.replace("20", "-20")
                .replace("145", "0")
                .replace("1.5", "0.5")
                .replace("rg-58", "none");
        JsonNode problem = api.post("/api/assessments", bad).expectProblem(422);
        assertThat(problem.get("errors").valueStream().map(e -> e.get("path").asString()))
                .containsExactlyInAnyOrder(
                        "run[0].lengthM", "bands[0].frequencyMHz", "bands[0].load.swr", "run[0].cableKey");
    }

    @Test
    void beyondThreeHundredDbAnAssessmentIsRefused(Api api) {
        JsonNode problem =
                api.post("/api/assessments", GOOD.replace("20", "9999")).expectProblem(422);
        assertThat(problem.get("errors").get(0).get("path").asString()).isEqualTo("run");
        assertThat(problem.get("detail").asString()).contains("2023 dB").contains("at most 300 dB");
    }

    @Test
    void sixtyFourElementsAreAllowedAndSixtyFiveNot(Api api) {
        String joint = "{\"kind\": \"JOINT\", \"lossDb\": 0.1}, ";
        api.post("/api/assessments", GOOD.replace("[{\"kind\"", "[" + joint.repeat(63) + "{\"kind\""))
                .expect(200);
        JsonNode problem = api.post(
                        "/api/assessments", GOOD.replace("[{\"kind\"", "[" + joint.repeat(64) + "{\"kind\""))
                .expectProblem(422);
        assertThat(problem.get("detail").asString()).contains("at most 64 elements");
    }

    @Test
    void hugeBodiesAreRefusedWhetherAnnouncedOrNot(Api api) {
        String huge = GOOD.replace("2 m", "x".repeat(1 << 20));
        api.post("/api/assessments", huge).expectProblem(413);
        var chunked = HttpRequest.BodyPublishers.fromPublisher(HttpRequest.BodyPublishers.ofString(huge));
        api.send(api.request("/api/assessments")
                        .header("Content-Type", "application/json")
                        .POST(chunked))
                .expectProblem(413);
    }

    @Test
    void onlyJsonBodiesAreRead(Api api) {
        api.send(api.request("/api/assessments")
                        .header("Content-Type", "text/plain")
                        .POST(HttpRequest.BodyPublishers.ofString(GOOD)))
                .expectProblem(415);
        api.post("/api/assessments", "").expectProblem(400);
    }

    @Test
    void whatTheUrlNamesIsNotHere(Api api) {
        api.get("/api/nothing").expectProblem(404);
        api.get("/api/plans/not-an-id").expectProblem(404);
        api.get("/api/cable-types/none").expectProblem(404);
        api.get("/api/assessments").expectProblem(405);
    }
}
