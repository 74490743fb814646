package org.eskiz.server.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.CyclicBarrier;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.function.IntFunction;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;

/** Several write the same at the same moment: one of them does, the others are told so, and nothing fails. */
@ExtendWith(RealServer.class)
class RacesTest {

    private static final int WRITERS = 8;

    @RepeatedTest(5)
    void onePlanIsMadeOnce(Api api) {
        UUID id = UUID.randomUUID();
        List<Integer> same = atOnce(i -> api.post("/api/plans", plan(id, "same")));
        assertThat(same).containsOnly(201);
        UUID other = UUID.randomUUID();
        assertThat(atOnce(i -> api.post("/api/plans", plan(other, "name " + i))))
                .containsOnly(201, 409)
                .containsOnlyOnce(201);
    }

    @RepeatedTest(5)
    void oneVersionIsSavedOverOnce(Api api) {
        UUID id = UUID.randomUUID();
        api.post("/api/plans", plan(id, "first")).expect(201);
        String over = plan(id, "by %d").replace("{\"id\"", "{\"version\": 0, \"id\"");
        assertThat(atOnce(i -> api.put("/api/plans/" + id, over.formatted(i))))
                .containsOnly(200, 409)
                .containsOnlyOnce(200);
    }

    private static String plan(UUID id, String name) {
        return "{\"id\": \"%s\", \"site\": \"\", \"name\": \"%s\", \"document\": {\"schemaVersion\": 1, \"assessment\": {\"radio\": {\"powerW\": 100}, \"run\": [{\"kind\": \"LINE\", \"cableKey\": \"rg-58\", \"lengthM\": 10, \"candidate\": true}], \"bands\": [{\"frequencyMHz\": 14, \"load\": {\"swr\": 1}}]}}}"
                .formatted(id, name);
    }

    @RepeatedTest(5)
    void oneDecisionIsMadeOnce(Api api) {
        UUID plan = UUID.randomUUID();
        api.post("/api/plans", plan(plan, "to decide")).expect(201);
        String decision = "{\"id\": \"%s\", \"planVersion\": 0, \"rowId\": \"rg-58\", \"reason\": \"\"}"
                .formatted(UUID.randomUUID());
        assertThat(atOnce(i -> api.post("/api/plans/" + plan + "/decisions", decision)))
                .containsOnly(201);
        assertThat(api.get("/api/plans/" + plan + "/decisions").json()).hasSize(1);
    }

    @RepeatedTest(5)
    void oneLabelIsOnOnePiece(Api api) {
        String label = "L " + UUID.randomUUID();
        assertThat(atOnce(i -> api.post(
                        "/api/locker/pieces",
                        "{\"id\": \"%s\", \"label\": \"%s\", \"lengthM\": 5}".formatted(UUID.randomUUID(), label))))
                .isSubsetOf(201, 409, 422)
                .containsOnlyOnce(201);
    }

    @RepeatedTest(10)
    void onePieceIsInOnePlace(Api api, JdbcTemplate sql) {
        UUID piece = UUID.randomUUID();
        api.post("/api/locker/pieces", "{\"id\": \"%s\", \"label\": \"P %s\", \"lengthM\": 5}".formatted(piece, piece))
                .expect(201);
        LocalDate day = LocalDate.of(2024, 5, 1);
        List<Integer> answers = atOnce(i -> api.put(
                "/api/locker/movements/" + UUID.randomUUID(),
                "{\"kind\": \"WAS_OUT\", \"pieceIds\": [\"%s\"], \"on\": \"%s\", \"until\": \"%s\", \"to\": \"place %d\"}"
                        .formatted(piece, day.plusDays(i), day.plusDays(i + 3L), i)));
        assertThat(answers).isSubsetOf(200, 409, 422).contains(200);
        assertThat(sql.queryForObject("""
                        select count(*) from outing a join outing b on a.piece_id = b.piece_id and a.id < b.id
                        where a.piece_id = ? and daterange(a.taken_on, a.put_away_on) && daterange(b.taken_on, b.put_away_on)""", Integer.class, piece)).isZero();
    }

    @Test
    void theDatabaseItselfKeepsAPieceInOnePlace(Api api, JdbcTemplate sql) {
        UUID piece = UUID.randomUUID();
        api.post("/api/locker/pieces", "{\"id\": \"%s\", \"label\": \"P %s\", \"lengthM\": 5}".formatted(piece, piece))
                .expect(201);
        String outing =
                "insert into outing (id, piece_id, taken_on, taken_by_movement, put_away_on, put_away_by_movement, wet, frozen, trodden) values (gen_random_uuid(), ?, ?::date, gen_random_uuid(), ?::date, gen_random_uuid(), false, false, false)";
        sql.update(outing, piece, "2024-05-01", "2024-05-04");
        sql.update(outing, piece, "2024-05-04", "2024-05-05");
        org.assertj.core.api.Assertions.assertThatThrownBy(() -> sql.update(outing, piece, "2024-05-03", "2024-05-09"))
                .hasMessageContaining("outing_in_one_place");
    }

    @RepeatedTest(5)
    void oneKitIsPackedOnce(Api api) {
        UUID piece = UUID.randomUUID();
        api.post("/api/locker/pieces", "{\"id\": \"%s\", \"label\": \"K %s\", \"lengthM\": 5}".formatted(piece, piece))
                .expect(201);
        UUID kit = UUID.randomUUID();
        String packed =
                "{\"id\": \"%s\", \"name\": \"kit\", \"pieces\": [{\"pieceId\": \"%s\"}]}".formatted(kit, piece);
        assertThat(atOnce(i -> api.post("/api/locker/kits", packed))).containsOnly(201);
        String again = packed.replace("\"kit\"", "\"kit %d\", \"version\": 0");
        assertThat(atOnce(i -> api.put("/api/locker/kits/" + kit, again.formatted(i))))
                .containsOnly(200, 409)
                .containsOnlyOnce(200);
    }

    @RepeatedTest(5)
    void oneSweepIsKeptOnce(Api api) {
        String sweep = "{\"fileName\": \"a.s1p\", \"text\": \"# MHz S RI R 50\\n10 %s 0\\n20 0.5 0\"}"
                .formatted(Math.random());
        assertThat(atOnce(i -> api.post("/api/bench/files", sweep))).containsOnly(201);
    }

    @RepeatedTest(5)
    void oneTestIsCorrectedOnce(Api api) {
        UUID id = UUID.randomUUID();
        String test =
                "{\"id\": \"%s\", \"method\": \"LOSSES\", \"testedOn\": \"2025-06-01\", \"lengthM\": 19, \"note\": \"%s\", \"readings\": [{\"frequencyMHz\": 145, \"lossDb\": 2.2}]}";
        assertThat(atOnce(i -> api.post("/api/bench/tests", test.formatted(id, "same"))))
                .containsOnly(201);
        assertThat(atOnce(i -> api.put(
                        "/api/bench/tests/" + id,
                        test.formatted(id, "by " + i).replace("{\"id\"", "{\"revision\": 1, \"id\""))))
                .containsOnly(200, 409)
                .containsOnlyOnce(200);
    }

    @RepeatedTest(5)
    void oneKeyIsOneCableAndOneConnector(Api api) {
        String key = "race-" + UUID.randomUUID();
        assertThat(atOnce(i -> api.post(
                        "/api/cable-types",
                        "{\"key\": \"%s\", \"name\": \"by %d\", \"provenance\": \"SHEET\", \"impedanceOhm\": 50, \"velocityFactor\": 0.8, \"points\": [{\"frequencyMHz\": 100, \"attenuationDbPer100m\": 9}]}"
                                .formatted(key, i))))
                .isSubsetOf(201, 409, 422)
                .containsOnlyOnce(201);
        assertThat(atOnce(i -> api.put(
                        "/api/cable-types/" + key,
                        "{\"revision\": 1, \"name\": \"again by %d\", \"provenance\": \"SHEET\", \"impedanceOhm\": 50, \"velocityFactor\": 0.8, \"points\": [{\"frequencyMHz\": 100, \"attenuationDbPer100m\": 9}]}"
                                .formatted(i))))
                .containsOnly(200, 409)
                .containsOnlyOnce(200);
        String connector =
                "{\"key\": \"%s\", \"name\": \"by %d\", \"impedanceOhm\": 50, \"lossDb\": 0.1, \"lossAtMHz\": 100, \"maxMHz\": 1000, \"peakVoltageV\": 500}";
        assertThat(atOnce(i -> api.post("/api/connectors", connector.formatted(key, i))))
                .isSubsetOf(201, 409, 422)
                .containsOnlyOnce(201);
    }

    @RepeatedTest(5)
    void theSameCableAndConnectorAreMadeOnceHoweverOftenSent(Api api) {
        String key = "same-" + UUID.randomUUID();
        String cable =
                "{\"key\": \"%s\", \"name\": \"same\", \"provenance\": \"SHEET\", \"impedanceOhm\": 50, \"velocityFactor\": 0.8, \"points\": [{\"frequencyMHz\": 100, \"attenuationDbPer100m\": 9}]}"
                        .formatted(key);
        assertThat(atOnce(i -> api.post("/api/cable-types", cable))).containsOnly(201);
        assertThat(api.get("/api/cable-types/" + key + "/revisions").json()).hasSize(1);
        api.post("/api/cable-types", cable.replace("0.8", "0.7")).expect(422);
        String connector =
                "{\"key\": \"%s\", \"name\": \"same\", \"impedanceOhm\": 50, \"lossDb\": 0.1, \"lossAtMHz\": 100, \"maxMHz\": 1000, \"peakVoltageV\": 500}"
                        .formatted(key);
        assertThat(atOnce(i -> api.post("/api/connectors", connector))).containsOnly(201);
        api.post("/api/connectors", connector.replace("500", "600")).expect(422);
        assertThat(atOnce(i -> api.put(
                        "/api/connectors/" + key,
                        connector
                                .replace("{\"key\"", "{\"revision\": 0, \"key\"")
                                .replace("1000", Integer.toString(2000 + i)))))
                .containsOnly(200, 409)
                .containsOnlyOnce(200);
    }

    @RepeatedTest(3)
    void settingsAreSavedOverOnceAVersion(Api api) {
        String now = api.get("/api/settings").expect(200).response().body();
        assertThat(atOnce(i -> api.put("/api/settings", now.replace("\"region\":1", "\"region\":" + (1 + i % 3)))))
                .containsOnly(200, 409)
                .containsOnlyOnce(200);
    }

    /** All at the same moment, as near as a machine can. */
    private static List<Integer> atOnce(IntFunction<Api.Answer> write) {
        ExecutorService writers = Executors.newFixedThreadPool(WRITERS);
        CyclicBarrier start = new CyclicBarrier(WRITERS);
        try {
            List<Future<Integer>> answers = new ArrayList<>();
            for (int i = 0; i < WRITERS; i++) {
                int writer = i;
                answers.add(writers.submit(() -> {
                    start.await();
                    return write.apply(writer).status();
                }));
            }
            List<Integer> statuses = new ArrayList<>();
            for (Future<Integer> answer : answers) {
                statuses.add(answer.get());
            }
            return statuses;
        } catch (Exception e) {
            throw new IllegalStateException(e);
        } finally {
            writers.shutdownNow();
        }
    }
}
