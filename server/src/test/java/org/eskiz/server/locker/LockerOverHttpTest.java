package org.eskiz.server.locker;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.time.Clock;
import java.time.LocalDate;
import java.util.UUID;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Pieces, their outings and their tests through the real interface and the real database. */
@ExtendWith(RealServer.class)
class LockerOverHttpTest {

    private static final String PIECE = """
            {"id": "%s", "label": "%s", "cableKey": "rg-58", "lengthM": 20, "boughtOn": "2024-03-01",
             "near": {"connectorKey": "n", "gender": "PLUG"}, "far": {"connectorKey": "n", "gender": "PLUG"},
             "price": 21.5, "priceCurrency": "EUR", "keptAt": "shed"}""";

    private static UUID piece(Api api) {
        UUID id = UUID.randomUUID();
        api.post("/api/locker/pieces", PIECE.formatted(id, "P " + id)).expect(201);
        return id;
    }

    private static String moved(String kind, String on, UUID piece, String more) {
        return "{\"kind\": \"%s\", \"pieceIds\": [\"%s\"], \"on\": \"%s\"%s}".formatted(kind, piece, on, more);
    }

    private static Api.Answer move(Api api, String kind, String on, UUID piece, String more) {
        return api.put("/api/locker/movements/" + UUID.randomUUID(), moved(kind, on, piece, more));
    }

    private static JsonNode summary(Api api, UUID piece) {
        return api.get("/api/locker/pieces/" + piece).expect(200).json().get("summary");
    }

    private static void test(Api api, UUID piece, String on, double factor) {
        api.post("/api/bench/tests", """
                {"id": "%s", "method": "LOSSES", "testedOn": "%s", "pieceId": "%s", "cableKey": "rg-58", "lengthM": 20,
                 "readings": [{"frequencyMHz": 28.5, "lossDb": %s}, {"frequencyMHz": 145, "lossDb": %s}]}""".formatted(UUID.randomUUID(), on, piece, 1.6 * factor, 3.8 * factor))
                .expect(201);
    }

    @Test
    void aPieceIsKeptChangedAndTakenOutOfTheLocker(Api api) {
        UUID id = piece(api);
        JsonNode stored = summary(api, id);
        assertThat(stored.get("cableName").asString()).isEqualTo("RG-58");
        assertThat(stored.get("standing").asString()).isEqualTo("DUE");
        assertThat(stored.get("reasons").get(0).get("code").asString()).isEqualTo("NEVER_TESTED");
        // a repeated create does no harm, another label under the same id does
        api.post("/api/locker/pieces", PIECE.formatted(id, "P " + id)).expect(201);
        api.post("/api/locker/pieces", PIECE.formatted(id, "other")).expect(409);
        // a label means one piece
        assertThat(api.post("/api/locker/pieces", PIECE.formatted(UUID.randomUUID(), "p " + id))
                        .expect(422)
                        .json()
                        .toString())
                .contains("another piece is labelled");
        String changed = PIECE.formatted(id, "P " + id).replace("\"shed\"", "\"mast\", \"version\": 0");
        assertThat(api.put("/api/locker/pieces/" + id, changed)
                        .expect(200)
                        .json()
                        .get("summary")
                        .get("keptAt")
                        .asString())
                .isEqualTo("mast");
        api.put("/api/locker/pieces/" + id, changed).expect(409);
        api.delete("/api/locker/pieces/" + id).expect(204);
        api.get("/api/locker/pieces/" + id).expect(404);
        api.post("/api/locker/pieces/" + id + "/restore", "").expect(200);
        summary(api, id);
    }

    @Test
    void outingsSoFarCountByNumberAndTheirSpan(Api api) {
        UUID id = piece(api);
        test(api, id, "2024-04-01", 1);
        String stated = PIECE.formatted(id, "P " + id)
                .replace(
                        "\"shed\"",
                        "\"shed\", \"version\": %d, \"earlier\": {\"outings\": %d, \"hardOutings\": %d,"
                                + " \"from\": \"%s\", \"until\": \"%s\"}");
        String path = "/api/locker/pieces/" + id;
        api.put(path, stated.formatted(0, 22, 2, "2024-04-02", "2024-09-30")).expect(200);
        JsonNode summary = summary(api, id);
        assertThat(summary.get("outings").asInt()).isEqualTo(22);
        assertThat(summary.get("hardOutings").asInt()).isEqualTo(2);
        assertThat(summary.get("earlier").get("until").asString()).isEqualTo("2024-09-30");
        assertThat(summary.get("testAgainWhy").asString()).isEqualTo("OUTINGS");
        assertThat(LocalDate.parse(summary.get("testAgainOn").asString()))
                .isBetween(LocalDate.of(2024, 9, 1), LocalDate.of(2024, 9, 30));

        assertThat(api.put(path, stated.formatted(1, 5, 6, "2024-02-01", "2024-01-01"))
                        .expect(422)
                        .json()
                        .toString())
                .contains("must be at most 5, all of them, not 6")
                .contains("must not be before 2024-02-01, when they begin, not 2024-01-01")
                .contains("must not be before 2024-03-01, when it was bought, not 2024-02-01");
        assertThat(api.put(path, stated.formatted(1, 5, 0, "2024-04-01", "2199-12-31"))
                        .expect(422)
                        .json()
                        .toString())
                .contains("must not be after today");
    }

    @Test
    void aPieceIsOutInOnePlaceAtATime(Api api) {
        UUID id = piece(api);
        move(api, "TOOK_OUT", "2026-05-01", id, ", \"to\": \"Seal Rock\"").expect(200);
        assertThat(summary(api, id).get("outSince").asString()).isEqualTo("2026-05-01");
        assertThat(move(api, "TOOK_OUT", "2026-05-02", id, "")
                        .expect(422)
                        .json()
                        .toString())
                .contains("is out at Seal Rock since 2026-05-01; a piece cannot be in two places");
        UUID away = UUID.randomUUID();
        String path = "/api/locker/movements/" + away;
        api.put(path, moved("PUT_AWAY", "2026-05-03", id, "")).expect(200);
        assertThat(summary(api, id).get("hardOutings").asInt()).isZero();
        // the same movement again says what the piece bore, and is not counted twice
        api.put(path, moved("PUT_AWAY", "2026-05-03", id, ", \"wet\": true")).expect(200);
        assertThat(summary(api, id).get("outings").asInt()).isEqualTo(1);
        assertThat(summary(api, id).get("hardOutings").asInt()).isEqualTo(1);
        assertThat(move(api, "PUT_AWAY", "2026-05-04", id, "")
                        .expect(422)
                        .json()
                        .toString())
                .contains("is not out");
        assertThat(move(api, "WAS_OUT", "2026-05-02", id, ", \"until\": \"2026-05-04\"")
                        .expect(422)
                        .json()
                        .toString())
                .contains("was out at Seal Rock from 2026-05-01 to 2026-05-03");
        api.delete(path).expect(200);
        assertThat(summary(api, id).get("outSince").asString()).isEqualTo("2026-05-01");
    }

    @Test
    void aMovementIsWholeOrNotAtAll(Api api) {
        UUID one = piece(api);
        UUID two = piece(api);
        move(api, "TOOK_OUT", "2026-05-01", two, "").expect(200);
        api.put("/api/locker/movements/" + UUID.randomUUID(), """
                {"kind": "TOOK_OUT", "pieceIds": ["%s", "%s"], "on": "2026-05-02"}""".formatted(one, two))
                .expect(422);
        assertThat(summary(api, one).get("outings").asInt()).isZero();
    }

    @Test
    void nothingHappensBeforeThePurchaseOrAfterToday(Api api, Clock clock) {
        UUID id = piece(api);
        assertThat(move(api, "TOOK_OUT", "2024-02-28", id, "")
                        .expect(422)
                        .json()
                        .toString())
                .contains("was bought on 2024-03-01; it was not out on 2024-02-28");
        move(api, "TOOK_OUT", LocalDate.now(clock).plusDays(2).toString(), id, "")
                .expect(422);
        move(api, "TOOK_OUT", "2024-03-05", id, "").expect(200);
        String later = PIECE.formatted(id, "P " + id).replace("\"2024-03-01\"", "\"2024-04-01\", \"version\": 0");
        assertThat(api.put("/api/locker/pieces/" + id, later).expect(422).json().toString())
                .contains("must not be after 2024-03-05");
    }

    @Test
    void aNewEndMakesAPieceShorterAndNeverLonger(Api api) {
        UUID id = piece(api);
        String path = "/api/locker/pieces/" + id + "/changes";
        String change = "{\"id\": \"%s\", \"kind\": \"NEW_END\", \"on\": \"2026-04-02\", \"lengthAfterM\": %s}";
        assertThat(api.post(path, change.formatted(UUID.randomUUID(), 20.5))
                        .expect(422)
                        .json()
                        .toString())
                .contains("it is 20.0 m, and cannot be 20.5 m after");
        UUID cut = UUID.randomUUID();
        api.post(path, change.formatted(cut, 19.4)).expect(200);
        api.post(path, change.formatted(cut, 19.4)).expect(200);
        assertThat(summary(api, id).get("lengthM").asDouble()).isEqualTo(19.4);
        api.delete(path + "/" + cut).expect(200);
        assertThat(summary(api, id).get("lengthM").asDouble()).isEqualTo(20);
    }

    @Test
    void aRetiredPieceStaysInUntilItIsUsedAgain(Api api) {
        UUID id = piece(api);
        String path = "/api/locker/pieces/" + id + "/changes";
        String change = "{\"id\": \"%s\", \"kind\": \"%s\", \"on\": \"2026-04-02\"}";
        api.post(path, change.formatted(UUID.randomUUID(), "RETIRED")).expect(200);
        assertThat(summary(api, id).get("standing").asString()).isEqualTo("RETIRED");
        assertThat(move(api, "TOOK_OUT", "2026-05-01", id, "")
                        .expect(422)
                        .json()
                        .toString())
                .contains("is retired since 2026-04-02");
        api.post(path, change.formatted(UUID.randomUUID(), "BACK_IN_SERVICE")).expect(200);
        move(api, "TOOK_OUT", "2026-05-01", id, "").expect(200);
    }

    @Test
    void testsTellHowItAgesAndWhenItIsDue(Api api) {
        UUID id = piece(api);
        test(api, id, "2024-04-01", 1);
        test(api, id, "2025-04-01", 1.2);
        JsonNode two = summary(api, id);
        assertThat(two.get("trend").isNull()).as("two tests are no trend").isTrue();
        test(api, id, "2026-04-01", 1.45);
        JsonNode three = summary(api, id);
        assertThat(three.get("referenceMHz").asDouble()).isEqualTo(145);
        assertThat(three.get("trend").get("percentPerYear").asDouble()).isBetween(15.0, 40.0);
        assertThat(three.get("trend").get("least").isNull())
                .as("an interval from five tests on")
                .isTrue();
        assertThat(three.get("standing").asString()).isEqualTo("FAILING");
        assertThat(three.get("reasons").get(0).get("code").asString()).isEqualTo("PAST_LIMIT");
        assertThat(three.get("reasons").get(0).get("amount").asDouble()).isCloseTo(3.8 * 0.45, within(0.01));
        String calendar = api.get("/api/locker/due.ics").expect(200).response().body();
        assertThat(calendar)
                .startsWith("BEGIN:VCALENDAR")
                .contains("SUMMARY:Test P " + id.toString().substring(0, 8));
        assertThat(api.get("/api/locker/pieces.csv").expect(200).response().body())
                .startsWith("piece_id,label,")
                .contains(id.toString());
    }

    @Test
    void whatWasMeasuredStandsInARunAndAPieceInAPlanIsNotDeleted(Api api) {
        UUID id = piece(api);
        String run = """
                {"radio": {"powerW": 100}, "run": [{"kind": "LINE", "pieceId": "%s", "lengthM": 20}],
                 "bands": [{"frequencyMHz": 145, "load": {"swr": 1}}]}""".formatted(id);
        double byType = loss(api, run);
        test(api, id, "2026-04-01", 1.5);
        assertThat(loss(api, run)).isCloseTo(3.8 * 1.5, within(0.2)).isGreaterThan(byType);
        api.post(
                        "/api/assessments",
                        run.replace("}],", "}, {\"kind\": \"LINE\", \"pieceId\": \"" + id + "\", \"lengthM\": 20}],"))
                .expect(422);
        UUID plan = UUID.randomUUID();
        api.post("/api/plans", """
                {"id": "%s", "site": "Here", "name": "Roof", "document": {"schemaVersion": 1, "assessment": %s}}""".formatted(plan, run)).expect(201);
        assertThat(summary(api, id).get("plans").get(0).get("name").asString()).isEqualTo("Roof");
        assertThat(api.delete("/api/locker/pieces/" + id).expect(422).json().toString())
                .contains("lies in the run of \\\"Here, Roof\\\"");
        api.delete("/api/plans/" + plan).expect(204);
        api.delete("/api/locker/pieces/" + id).expect(204);
    }

    private static double loss(Api api, String run) {
        return api.post("/api/assessments", run)
                .expect(200)
                .json()
                .get("bands")
                .get(0)
                .get("matchedLossDb")
                .asDouble();
    }
}
