package org.eskiz.server.transfer;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.Api;
import org.eskiz.server.EskizServer;
import org.eskiz.server.RealServer;
import org.eskiz.server.ThrowAwayCluster;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.boot.SpringApplication;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** Plans and workspaces that travel, through the real interface and real databases. */
@ExtendWith(RealServer.class)
class TransferOverHttpTest {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private static String body(String text, String choices) {
        ObjectNode body = JSON.createObjectNode();
        body.put("text", text);
        body.set("choices", JSON.readTree(choices));
        return body.toString();
    }

    private static String resource(String path) throws IOException {
        try (InputStream in = TransferOverHttpTest.class.getResourceAsStream(path)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    /** What is here after a file was taken is what it was written from. */
    @Test
    void aWorkspaceGoesToAnotherPlaceAndNothingIsLost(Api api) {
        String here = withSomething(api);
        try (ThrowAwayCluster other = ThrowAwayCluster.start();
                var context = SpringApplication.run(
                        EskizServer.class, RealServer.arguments(other.url(), "--eskiz.demo=false"))) {
            Api there = Api.at(context.getEnvironment().getRequiredProperty("local.server.port", Integer.class));
            JsonNode preview = there.post("/api/transfers/previews", body(here, "[]"))
                    .expect(200)
                    .json();
            assertThat(preview.get("taken").asBoolean()).isFalse();
            List<String> choices = new ArrayList<>();
            preview.get("parts").forEach(p -> {
                if (p.get("state").asString().equals("CLASH")) {
                    choices.add("{\"kind\": \"%s\", \"id\": \"%s\", \"take\": \"THEIRS\"}"
                            .formatted(p.get("kind").asString(), p.get("id").asString()));
                }
            });
            there.post("/api/transfers", body(here, choices.toString())).expect(200);
            ObjectNode arrived = (ObjectNode)
                    there.get("/api/transfers/workspace").expect(200).json();
            ObjectNode sent = (ObjectNode) JSON.readTree(here);
            for (String part : new String[] {"plans", "cableTypes", "connectors", "kits", "favourites", "retired"}) {
                assertThat(arrived.get(part)).as(part).isEqualTo(sent.get(part));
            }
            assertThat(arrived.get("pieces").toString())
                    .isEqualTo(sent.get("pieces").toString());
            assertThat(texts(arrived)).containsExactlyInAnyOrderElementsOf(texts(sent));
            assertThat(arrived.get("tests")).isEqualTo(sent.get("tests"));
            // once more, and nothing is new
            JsonNode again = there.post("/api/transfers/previews", body(arrived.toString(), "[]"))
                    .expect(200)
                    .json();
            again.get("parts")
                    .forEach(p -> assertThat(p.get("state").asString())
                            .as(p.toString())
                            .isEqualTo("SAME"));
        }
    }

    /** More than any body holds: out as it is written, in again in parts. */
    @Test
    void sixLongSweepsGoOutAndComeInAgain() {
        try (ThrowAwayCluster cluster = ThrowAwayCluster.start();
                var context = SpringApplication.run(
                        EskizServer.class, RealServer.arguments(cluster.url(), "--eskiz.demo=false"))) {
            sixLongSweeps(Api.at(context.getEnvironment().getRequiredProperty("local.server.port", Integer.class)));
        }
    }

    private static void sixLongSweeps(Api api) {
        for (int s = 0; s < 6; s++) {
            StringBuilder sweep = new StringBuilder("# MHz S RI R 50\\n");
            for (int i = 1; i <= 90_000; i++) {
                sweep.append(i / 10.0)
                        .append(" 0.")
                        .append(100_000_000 + i * 7 + s)
                        .append(" 0.1234567890123\\n");
            }
            JsonNode kept = api.post(
                            "/api/bench/files", "{\"fileName\": \"long %d.s1p\", \"text\": \"%s\"}".formatted(s, sweep))
                    .expect(201)
                    .json();
            api.post("/api/bench/tests", """
                    {"id": "%s", "method": "LOSSES", "testedOn": "2025-06-01", "lengthM": 19, "piece": "long",
                     "readings": [{"frequencyMHz": 145, "lossDb": 2.2}], "terminatedFileId": "%s"}""".formatted(
                                    UUID.randomUUID(), kept.get("id").asString()))
                    .expect(201);
        }
        byte[] file = api.get("/api/transfers/workspace")
                .expect(200)
                .response()
                .body()
                .getBytes(StandardCharsets.UTF_8);
        assertThat(file.length).isGreaterThan(16 << 20);
        UUID upload = UUID.randomUUID();
        int part = 1 << 20;
        for (int i = 0; i * part < file.length; i++) {
            api.send(api.request("/api/transfers/uploads/" + upload + "/parts/" + i)
                            .header("Content-Type", "application/octet-stream")
                            .PUT(HttpRequest.BodyPublishers.ofByteArray(
                                    file, i * part, Math.min(part, file.length - i * part))))
                    .expect(204);
        }
        JsonNode again = api.post("/api/transfers/previews", "{\"uploadId\": \"%s\"}".formatted(upload))
                .expect(200)
                .json();
        assertThat(again.get("sweeps").asInt()).isGreaterThanOrEqualTo(6);
        assertThat(again.get("parts").valueStream().map(p -> p.get("state").asString()))
                .containsOnly("SAME");
        assertThat(api.post("/api/transfers", "{\"uploadId\": \"%s\"}".formatted(upload))
                        .expect(200)
                        .json()
                        .get("taken")
                        .asBoolean())
                .isTrue();
        // what was taken is not kept
        api.post("/api/transfers/previews", "{\"uploadId\": \"%s\"}".formatted(upload))
                .expectProblem(422);
    }

    private static List<String> texts(JsonNode file) {
        List<String> texts = new ArrayList<>();
        file.get("sweeps").forEach(s -> texts.add(s.get("text").asString()));
        return texts;
    }

    private static String withSomething(Api api) {
        UUID piece = UUID.randomUUID();
        api.post("/api/cable-types", """
                {"key": "t%1$s", "name": "Travelling %1$s", "provenance": "MEASURED", "impedanceOhm": 50, "velocityFactor": 0.8,
                 "points": [{"frequencyMHz": 100, "attenuationDbPer100m": 9.5}]}""".formatted(piece.toString().substring(0, 8)))
                .expect(201);
        api.post("/api/locker/pieces", """
                {"id": "%1$s", "label": "T %1$s", "cableKey": "t%2$s", "lengthM": 20, "boughtOn": "2024-03-01",
                 "near": {"connectorKey": "n", "gender": "PLUG"}, "price": 12.5, "priceCurrency": "EUR"}""".formatted(piece, piece.toString().substring(0, 8)))
                .expect(201);
        api.put("/api/locker/movements/" + UUID.randomUUID(), """
                {"kind": "WAS_OUT", "pieceIds": ["%s"], "on": "2024-05-02", "until": "2024-05-04", "wet": true}""".formatted(piece))
                .expect(200);
        api.post("/api/locker/pieces/" + piece + "/changes", """
                {"id": "%s", "kind": "NEW_END", "on": "2025-05-02", "lengthAfterM": 19}""".formatted(UUID.randomUUID()))
                .expect(200);
        JsonNode sweep = api.post(
                        "/api/bench/files",
                        "{\"fileName\": \"a.s1p\", \"text\": \"# MHz S RI R 50\\n10 1 0\\n20 0.5 0.2\"}")
                .expect(201)
                .json();
        api.post("/api/bench/tests", """
                {"id": "%s", "method": "LOSSES", "testedOn": "2025-06-01", "pieceId": "%s", "cableKey": "t%s", "lengthM": 19,
                 "readings": [{"frequencyMHz": 145, "lossDb": 2.2}], "terminatedFileId": "%s"}""".formatted(
                                UUID.randomUUID(),
                                piece,
                                piece.toString().substring(0, 8),
                                sweep.get("id").asString()))
                .expect(201);
        UUID plan = UUID.randomUUID();
        api.post("/api/plans", plan(plan, "Roof <script>alert(1)</script>", piece, 19))
                .expect(201);
        api.post("/api/plans/" + plan + "/decisions", """
                {"id": "%s", "planVersion": 0, "rowId": "rg-213", "reason": "good enough"}""".formatted(UUID.randomUUID()))
                .expect(201);
        return api.get("/api/transfers/workspace").expect(200).response().body();
    }

    private static String plan(UUID id, String name, UUID piece, double lengthM) {
        return """
                {"id": "%s", "site": "Here", "name": "%s", "document": {"schemaVersion": 1, "done": ["cut"], "assessment":
                 {"radio": {"powerW": 100}, "run": [{"kind": "LINE", "pieceId": "%s", "lengthM": 19},
                  {"kind": "JOINT", "connectorKey": "n"}, {"kind": "LINE", "cableKey": "rg-213", "lengthM": %s, "candidate": true}],
                  "bands": [{"id": "a", "frequencyMHz": 145, "load": {"swr": 1.5}}]}}}""".formatted(id, name, piece, lengthM);
    }

    @Test
    void aPlanTravelsWithAllThatItNeedsAndClashesAreAsked(Api api) {
        JsonNode last = JSON.readTree(withSomething(api))
                .get("plans")
                .valueStream()
                .filter(p -> p.get("name").asString().startsWith("Roof"))
                .reduce((a, b) -> b)
                .orElseThrow();
        String path = "/api/plans/" + last.get("id").asString();
        String file = api.get("/api/transfers" + path.substring(4))
                .expect(200)
                .response()
                .body();
        JsonNode parts = JSON.readTree(file);
        assertThat(parts.get("plans")).hasSize(1);
        assertThat(parts.get("pieces")).hasSize(1);
        assertThat(parts.get("tests")).hasSize(1);
        assertThat(parts.get("sweeps")).hasSize(1);
        assertThat(parts.get("cableTypes").toString()).contains("rg-213").contains("Travelling");
        assertThat(parts.get("plans").get(0).get("decisions")).hasSize(1);

        String changed =
                file.replace("\"lengthM\":20.0", "\"lengthM\":21.0").replace("\"done\":[\"cut\"]", "\"done\":[]");
        JsonNode preview = api.post("/api/transfers/previews", body(changed, "[]"))
                .expect(200)
                .json();
        assertThat(preview.toString())
                .contains("\"CLASH\"")
                .contains("\"SAME\"")
                .contains("<script>");
        assertThat(api.post("/api/transfers", body(changed, "[]"))
                        .expect(422)
                        .json()
                        .toString())
                .contains("clashes with what is here: choose one of [MINE, THEIRS, BOTH]");
        String id = last.get("id").asString();
        api.post("/api/transfers", body(changed, choice(id, "MINE"))).expect(200);
        assertThat(api.get(path).json().get("version").asInt()).isZero();
        api.post("/api/transfers", body(changed, choice(id, "BOTH"))).expect(200);
        assertThat(api.get("/api/plans?find=(from+file)").json().toString()).contains("(from a file)");
        api.post("/api/transfers", body(changed, choice(id, "THEIRS"))).expect(200);
        JsonNode replaced = api.get(path).expect(200).json();
        assertThat(replaced.get("version").asInt()).isEqualTo(1);
        assertThat(replaced.get("document").get("done")).isEmpty();
    }

    private static String choice(String id, String take) {
        return "[{\"kind\": \"PLAN\", \"id\": \"%s\", \"take\": \"%s\"}]".formatted(id, take);
    }

    @Test
    void whatCannotBeReadIsRefusedAndNothingIsHalfTaken(Api api) {
        String good = withSomething(api);
        long before = total(api);
        refused(api, "", "the file is empty");
        refused(api, good.substring(0, good.length() / 2), "this is not whole, or not JSON: line 1, column");
        refused(api, "[]", "does not begin with {");
        refused(api, "{\"a\": 1}", "it has no schemaVersion");
        refused(
                api,
                good.replace("\"schemaVersion\":1,\"writtenAt\"", "\"schemaVersion\":7,\"writtenAt\""),
                "comes from a later Eskiz");
        refused(api, "{\"format\": \"other\", \"schemaVersion\": 1}", "its format is not \\\"eskiz\\\"");
        String twice = "{\"piece\": {\"id\": \"%1$s\", \"label\": \"Twice %1$s\", \"lengthM\": 3}}"
                .formatted(UUID.randomUUID());
        assertThat(api.post(
                                "/api/transfers",
                                body(
                                        "{\"format\": \"eskiz\", \"schemaVersion\": 1, \"pieces\": [" + twice + ","
                                                + twice + "]}",
                                        "[]"))
                        .expect(422)
                        .json()
                        .toString())
                .contains("is in the file twice");
        // one impossible plan among good parts: all of them stay out
        UUID piece = UUID.randomUUID();
        String half = """
                {"format": "eskiz", "schemaVersion": 1,
                 "pieces": [{"piece": {"id": "%1$s", "label": "Half %1$s", "lengthM": 3}}],
                 "plans": [%2$s]}""".formatted(piece, plan(UUID.randomUUID(), "Half", UUID.randomUUID(), 10));
        assertThat(api.post("/api/transfers", body(half, "[]"))
                        .expect(422)
                        .json()
                        .toString())
                .contains("\\\"Half\\\": document.assessment.run[0].pieceId there is no piece");
        api.get("/api/locker/pieces/" + piece).expect(404);
        StringBuilder run = new StringBuilder("{\"kind\": \"JOINT\", \"connectorKey\": \"n\"}");
        run.append(", {\"kind\": \"JOINT\", \"connectorKey\": \"n\"}".repeat(9_999));
        String huge = plan(UUID.randomUUID(), "Huge", piece, 10)
                .replace("{\"kind\": \"JOINT\", \"connectorKey\": \"n\"}", run);
        assertThat(api.post(
                                "/api/transfers",
                                body("{\"format\": \"eskiz\", \"schemaVersion\": 1, \"plans\": [" + huge + "]}", "[]"))
                        .expect(422)
                        .json()
                        .toString())
                .contains("must be at most 64 elements");
        assertThat(api.post("/api/transfers/previews", body(good.replace("\"site\":", "\"place\":"), "[]"))
                        .expect(400)
                        .json()
                        .toString())
                .contains("the field \\\"place\\\" is not known here");
        assertThat(total(api)).isEqualTo(before);
    }

    private static long total(Api api) {
        return api.get("/api/plans?limit=1").total();
    }

    private static void refused(Api api, String text, String why) {
        assertThat(api.post("/api/transfers/previews", body(text, "[]"))
                        .expect(422)
                        .json()
                        .toString())
                .contains(why);
    }

    /** One file of every form that was ever written; whatever changes, they must still be read. */
    @Test
    void filesOfEveryFormAreRead(Api api) throws IOException {
        for (String sample : new String[] {"/stored/transfer-1.json", "/stored/catalogue-1.json"}) {
            JsonNode preview = api.post("/api/transfers/previews", body(resource(sample), "[]"))
                    .expect(200)
                    .json();
            assertThat(preview.get("parts")).as(sample).isNotEmpty();
        }
    }

    @Test
    void theSchemaIsThatOfTheInterface(Api api) throws IOException {
        JsonNode schema = api.get("/api/transfers/schema.json").expect(200).json();
        JsonNode described =
                api.get("/v3/api-docs").expect(200).json().get("components").get("schemas");
        for (String part :
                new String[] {"PlanInFile", "PieceInFile", "KitRequest", "BenchTestRequest", "CableTypeRequest"}) {
            assertThat(schema.get("$defs").get(part).toString().replace("#/$defs/", "#/components/schemas/"))
                    .as(part)
                    .isEqualTo(described.get(part).toString());
        }
    }
}
