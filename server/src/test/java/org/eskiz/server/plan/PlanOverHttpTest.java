package org.eskiz.server.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.eskiz.server.operator.WorkshopService;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

@ExtendWith(RealServer.class)
class PlanOverHttpTest {

    private static final String DOCUMENT = """
            {"schemaVersion": 1,
             "assessment": {"radio": {"powerW": 50}, "ambientC": null,
               "run": [{"id": "main", "kind": "LINE", "cableKey": "rg-58", "lengthM": 20, "candidate": true}],
               "bands": [{"id": "a", "name": "2 m", "frequencyMHz": 145, "load": {"swr": 1.5}}]},
             "requirements": [{"kind": "LEAST_POWER", "powerW": 20}],
             "candidates": [{"id": "own-1", "name": "Attic", "cable": {"impedanceOhm": 50, "velocityFactor": 0.83,
               "attenuation": {"points": [{"frequencyMHz": 145, "attenuationDbPer100m": 9}]}}}],
             "preference": "LEAST_COST"}""";

    @Test
    void aPlanIsFoundAgainAsItWasWritten(Api api) {
        UUID id = UUID.randomUUID();
        JsonNode made = create(api, id, "Attic").expect(201).json();
        JsonNode found = api.get("/api/plans/" + id).expect(200).json();
        assertThat(found).isEqualTo(made);
        assertThat(found.get("document")).isEqualTo(Api.parse(DOCUMENT));
        assertThat(found.get("site").asString()).isEqualTo("Skarra light");
        assertThat(summary(api, id).get("name").asString()).isEqualTo("Attic");
    }

    @Test
    void aRepeatedCreateDoesNoHarmAndAnotherPlanUnderTheSameIdIsRefused(Api api) {
        UUID id = UUID.randomUUID();
        JsonNode first = create(api, id, "Once").expect(201).json();
        assertThat(create(api, id, "Once").expect(201).json()).isEqualTo(first);
        JsonNode conflict = create(api, id, "Another").expectProblem(409);
        assertThat(conflict.get("current").get("name").asString()).isEqualTo("Once");
    }

    @Test
    void createsAtTheSameMomentMakeOnePlan(Api api) throws Exception {
        UUID id = UUID.randomUUID();
        List<Integer> statuses = atOnce(8, () -> create(api, id, "Race").status());
        assertThat(statuses).containsOnly(201);
    }

    @Test
    void aSaveCountsTheVersionUpAndKeepsEveryRevision(Api api, JdbcTemplate sql) {
        UUID id = UUID.randomUUID();
        long version =
                create(api, id, "First").expect(201).json().get("version").asLong();
        JsonNode saved = save(api, id, version, "Second").expect(200).json();
        assertThat(saved.get("version").asLong()).isEqualTo(version + 1);
        assertThat(sql.queryForList(
                        "select name from plan_revision where plan_id = ? order by version", String.class, id))
                .containsExactly("First", "Second");
    }

    @Test
    void theLaterOfTwoWritersIsToldWhatIsThere(Api api) {
        UUID id = UUID.randomUUID();
        long version =
                create(api, id, "Start").expect(201).json().get("version").asLong();
        save(api, id, version, "Mine").expect(200);
        JsonNode conflict = save(api, id, version, "Theirs").expectProblem(409);
        assertThat(conflict.get("current").get("name").asString()).isEqualTo("Mine");
        assertThat(conflict.get("current").get("version").asLong()).isEqualTo(version + 1);
        assertThat(api.get("/api/plans/" + id).json().get("name").asString()).isEqualTo("Mine");
    }

    @Test
    void ofWritersAtTheSameMomentOneWins(Api api) throws Exception {
        UUID id = UUID.randomUUID();
        long version =
                create(api, id, "Start").expect(201).json().get("version").asLong();
        List<Integer> statuses = atOnce(
                8, () -> save(api, id, version, UUID.randomUUID().toString()).status());
        assertThat(statuses).containsOnlyOnce(200).containsOnly(200, 409);
    }

    @Test
    void aDeletedPlanIsGoneUntilItIsRestored(Api api) {
        UUID id = UUID.randomUUID();
        create(api, id, "Away").expect(201);
        api.delete("/api/plans/" + id).expect(204);
        api.delete("/api/plans/" + id).expect(204);
        api.get("/api/plans/" + id).expectProblem(404);
        save(api, id, 1, "No").expectProblem(404);
        JsonNode back =
                api.post("/api/plans/" + id + "/restore", "").expect(200).json();
        assertThat(back.get("name").asString()).isEqualTo("Away");
        save(api, id, back.get("version").asLong(), "Back").expect(200);
    }

    @Test
    void whatAPlanUsesIsDerivedAtEverySave(Api api, JdbcTemplate sql) {
        UUID id = UUID.randomUUID();
        long version = create(api, id, "Uses").expect(201).json().get("version").asLong();
        assertThat(uses(sql, id)).containsExactly("rg-58");
        api.put("/api/plans/" + id, body(null, version, "Uses", DOCUMENT.replace("rg-58", "foam-10")))
                .expect(200);
        assertThat(uses(sql, id)).containsExactly("foam-10");
    }

    @Test
    void anUnfinishedPlanIsStoredAndABadOneIsNot(Api api) {
        UUID id = UUID.randomUUID();
        api.post("/api/plans", body(id, null, "Unfinished", "{\"schemaVersion\": 1, \"assessment\": {\"run\": null}}"))
                .expect(201);
        refused(api, 422, DOCUMENT.replace("\"lengthM\": 20", "\"lengthM\": -5"), "document.assessment.run[0].lengthM");
        refused(api, 422, DOCUMENT.replace("rg-58", "none"), "document.assessment.run[0].cableKey");
        refused(api, 422, DOCUMENT.replace("\"schemaVersion\": 1", "\"schemaVersion\": 2"), "document.schemaVersion");
        refused(api, 400, DOCUMENT.replace("\"ambientC\"", "\"ambientF\""), "document.assessment.ambientF");
        refused(api, 400, DOCUMENT.replace("145", "\"145\""), "document.assessment.bands[0].frequencyMHz");
        UUID other = UUID.randomUUID();
        api.post("/api/plans", body(other, null, " ", DOCUMENT)).expectProblem(422);
        api.get("/api/plans/" + other).expectProblem(404);
    }

    @Test
    void aChoiceKeepsTheFiguresOfItsDay(Api api, JdbcTemplate sql) {
        UUID id = UUID.randomUUID();
        long version =
                create(api, id, "Choice").expect(201).json().get("version").asLong();
        UUID decision = UUID.randomUUID();
        JsonNode made =
                decide(api, id, decision, version, "foam-10").expect(201).json();
        assertThat(made.get("cableName").asString()).isEqualTo("Foam 10");
        assertThat(made.get("reason").asString()).isEqualTo("it will be trodden on");
        assertThat(made.get("figures")
                        .get("cells")
                        .get(0)
                        .get("powerAtAntennaW")
                        .asDouble())
                .isGreaterThan(35);
        assertThat(made.get("coreVersion").asString()).isNotBlank();
        assertThat(sql.queryForList("""
                        select t.key from decision_cable d join cable_type_revision r on r.id = d.revision_id
                        join cable_type t on t.id = r.cable_type_id where d.decision_id = ? order by 1""", String.class, decision)).containsExactly("foam-10", "rg-58");
        assertThat(decide(api, id, decision, version, "foam-10").expect(201).json())
                .isEqualTo(made);
        assertThat(summary(api, id).get("chosen").asString()).isEqualTo("Foam 10");
    }

    @Test
    void aCableOfOnesOwnCanBeChosen(Api api) {
        UUID id = UUID.randomUUID();
        long version =
                create(api, id, "Own choice").expect(201).json().get("version").asLong();
        JsonNode made =
                decide(api, id, UUID.randomUUID(), version, "own-1").expect(201).json();
        assertThat(made.get("cableName").asString()).isEqualTo("Attic");
    }

    @Test
    void aChoiceIsWithdrawnAndStaysInTheList(Api api) {
        UUID id = UUID.randomUUID();
        long version =
                create(api, id, "Withdrawn").expect(201).json().get("version").asLong();
        UUID decision = UUID.randomUUID();
        decide(api, id, decision, version, "foam-10").expect(201);
        String withdrawal = "/api/plans/" + id + "/decisions/" + decision + "/withdrawal";
        JsonNode withdrawn = api.post(withdrawal, "").expect(200).json();
        assertThat(api.post(withdrawal, "").expect(200).json()).isEqualTo(withdrawn);
        JsonNode list = api.get("/api/plans/" + id + "/decisions").expect(200).json();
        assertThat(list).hasSize(1);
        assertThat(list.get(0).get("withdrawnAt")).isEqualTo(withdrawn.get("withdrawnAt"));
        assertThat(summary(api, id).get("chosen").isNull()).isTrue();
    }

    @Test
    void aChoiceAgainstAnotherVersionOrAnUnknownRowIsRefused(Api api) {
        UUID id = UUID.randomUUID();
        long version =
                create(api, id, "Stale").expect(201).json().get("version").asLong();
        save(api, id, version, "Changed").expect(200);
        decide(api, id, UUID.randomUUID(), version, "foam-10").expectProblem(409);
        decide(api, id, UUID.randomUUID(), version + 1, "none").expectProblem(422);
        assertThat(api.get("/api/plans/" + id + "/decisions").json()).isEmpty();
    }

    @Test
    void historyCannotBeChanged(Api api, JdbcTemplate sql, WorkshopService workshops) {
        UUID id = UUID.randomUUID();
        long version =
                create(api, id, "Final").expect(201).json().get("version").asLong();
        decide(api, id, UUID.randomUUID(), version, "foam-10").expect(201);
        workshops.byItself(() -> {
            for (String table : List.of(
                    "decision", "decision_cable", "plan_revision", "cable_type_revision", "attenuation_point")) {
                assertThatThrownBy(() -> sql.execute("delete from " + table)).hasMessageContaining("append-only");
            }
        });
        assertThatThrownBy(() -> sql.update("update plan_revision set name = 'x' where plan_id = ?", id))
                .hasMessageContaining("append-only");
    }

    private static Api.Answer create(Api api, UUID id, String name) {
        return api.post("/api/plans", body(id, null, name, DOCUMENT));
    }

    private static Api.Answer save(Api api, UUID id, long version, String name) {
        return api.put("/api/plans/" + id, body(null, version, name, DOCUMENT));
    }

    private static Api.Answer decide(Api api, UUID plan, UUID id, long version, String rowId) {
        return api.post("/api/plans/" + plan + "/decisions", """
                {"id": "%s", "planVersion": %d, "rowId": "%s", "reason": "it will be trodden on"}""".formatted(id, version, rowId));
    }

    private static void refused(Api api, int status, String document, String path) {
        JsonNode problem = api.post("/api/plans", body(UUID.randomUUID(), null, "Bad", document))
                .expectProblem(status);
        assertThat(problem.get("errors").get(0).get("path").asString()).isEqualTo(path);
    }

    private static String body(UUID id, Long version, String name, String document) {
        String known = id == null ? "\"version\": " + version : "\"id\": \"" + id + "\"";
        return "{%s, \"site\": \"Skarra light\", \"name\": \"%s\", \"document\": %s}".formatted(known, name, document);
    }

    private static JsonNode summary(Api api, UUID id) {
        return api.get("/api/plans?ids=" + id).json().get(0);
    }

    private static List<String> uses(JdbcTemplate sql, UUID plan) {
        return sql.queryForList(
                "select t.key from plan_uses u join cable_type t on t.id = u.cable_type_id where u.plan_id = ?",
                String.class,
                plan);
    }

    private static List<Integer> atOnce(int times, Callable<Integer> call) throws Exception {
        ExecutorService threads = Executors.newFixedThreadPool(times);
        try {
            List<Future<Integer>> answers = threads.invokeAll(java.util.Collections.nCopies(times, call));
            List<Integer> statuses = new java.util.ArrayList<>();
            for (Future<Integer> answer : answers) {
                statuses.add(answer.get());
            }
            return statuses;
        } finally {
            threads.shutdown();
        }
    }
}
