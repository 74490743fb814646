package org.eskiz.server.locker.kit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import javax.sql.DataSource;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.eskiz.server.operator.WorkshopService;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Runs made of owned pieces, sets of lengths and cuts, through the real interface. */
@ExtendWith(RealServer.class)
class KitsOverHttpTest {

    private final List<UUID> pieces = new ArrayList<>();

    @BeforeEach
    void anEmptyLocker(Api api) {
        String next = "/api/locker/pieces?limit=500";
        while (next != null) {
            Api.Answer part = api.get(next).expect(200);
            part.json()
                    .forEach(p -> api.delete("/api/locker/pieces/" + p.get("id").asString()));
            next = part.next().orElse(null);
        }
    }

    private UUID piece(Api api, String cable, double lengthM, String connector) {
        UUID id = UUID.randomUUID();
        api.post("/api/locker/pieces", """
                {"id": "%1$s", "label": "K %1$s", "cableKey": "%2$s", "lengthM": %3$s,
                 "near": {"connectorKey": "%4$s", "gender": "PLUG"}, "far": {"connectorKey": "%4$s", "gender": "PLUG"}}""".formatted(id, cable, lengthM, connector))
                .expect(201);
        pieces.add(id);
        return id;
    }

    private static JsonNode search(Api api, double lengthM, String more) {
        return api.post("/api/locker/kit-searches", """
                {"comparison": {"radio": {"powerW": 100}, "run": [{"kind": "JOINT", "connectorKey": "n"},
                   {"kind": "LINE", "cableKey": "rg-58", "lengthM": %s, "candidate": true},
                   {"kind": "JOINT", "connectorKey": "n"}],
                   "bands": [{"name": "2 m", "frequencyMHz": 145, "load": {"swr": 1}}],
                   "requirements": [{"kind": "LEAST_POWER", "powerW": 20}, {"kind": "BUDGET", "cost": 5}]},
                 "radio": {"connectorKey": "n", "gender": "SOCKET"}, "antenna": {"connectorKey": "n", "gender": "SOCKET"}%s}""".formatted(lengthM, more))
                .expect(200)
                .json();
    }

    @Test
    void aKitLosesWhatTheSameRunLoses(Api api) {
        UUID five = piece(api, "rg-58", 5, "n");
        UUID eight = piece(api, "rg-58", 8, "n");
        UUID kit = UUID.randomUUID();
        api.post("/api/locker/kits", """
                {"id": "%s", "name": "lost", "pieces": [{"pieceId": "%s"}, {"pieceId": "%s"}], "adapters": []}""".formatted(kit, five, eight)).expect(201);
        JsonNode run = api.post("/api/assessments", """
                {"radio": {"powerW": 100}, "bands": [{"name": "2 m", "frequencyMHz": 145, "load": {"swr": 1}}],
                 "run": [{"kind": "LINE", "cableKey": "rg-58", "lengthM": 13}, {"kind": "JOINT", "connectorKey": "n"},
                         {"kind": "JOINT", "connectorKey": "n"}]}""").expect(200).json();
        assertThat(lossOf(api, kit, "?atMHz=145").asDouble())
                .isCloseTo(run.get("bands").get(0).get("matchedLossDb").asDouble(), within(1e-9));
        api.delete("/api/locker/pieces/" + eight);
        assertThat(lossOf(api, kit, "").isNull()).as("a piece of it is gone").isTrue();
        assertThat(api.get("/api/locker/kit-losses?atMHz=0")
                        .expect(422)
                        .response()
                        .body())
                .contains("0.1 to 30000");
    }

    private static JsonNode lossOf(Api api, UUID kit, String at) {
        for (JsonNode loss : api.get("/api/locker/kit-losses" + at).expect(200).json()) {
            if (loss.get("kitId").asString().equals(kit.toString())) {
                return loss.get("lossDb");
            }
        }
        throw new AssertionError("no loss of kit " + kit);
    }

    @Test
    void aKitIsARunOfPiecesWithItsJointsCounted(Api api) {
        UUID ten = piece(api, "rg-58", 10, "n");
        UUID twelve = piece(api, "rg-58", 12, "n");
        JsonNode answer = search(api, 20, "");
        JsonNode kit = answer.get("kits").get(0);
        assertThat(answer.get("kits")).hasSize(1);
        assertThat(kit.get("bestIn")).hasSize(4);
        assertThat(kit.get("provenIn")).hasSize(4);
        assertThat(kit.get("leftOverM").asDouble()).isCloseTo(2, within(1e-9));
        assertThat(kit.get("run"))
                .as("n, piece, n, n around the barrel, piece, n")
                .hasSize(6);
        assertThat(kit.get("adapters").get(0).get("near").get("gender").asString())
                .isEqualTo("SOCKET");
        assertThat(kit.get("row").get("cost").get("amount").asDouble()).isZero();
        assertThat(kit.get("row").get("verdict").asString()).isEqualTo("PASS");
        assertThat(kit.get("row").get("cells").get(0).get("totalLossDb").asDouble())
                .isCloseTo(kit.get("lossDb").asDouble(), within(1e-3));
        assertThat(kit.get("row")
                        .get("assignment")
                        .get(0)
                        .get("source")
                        .get("pieceId")
                        .asString())
                .isIn(ten.toString(), twelve.toString());
    }

    @Test
    void nothingLongEnoughSaysByHowMuchAndWhatWasLeftOut(Api api) {
        piece(api, "rg-58", 10, "n");
        UUID out = piece(api, "rg-58", 12, "n");
        piece(api, "rg-6", 30, "f");
        api.put("/api/locker/movements/" + UUID.randomUUID(), """
                {"kind": "TOOK_OUT", "pieceIds": ["%s"], "on": "2026-05-02"}""".formatted(out))
                .expect(200);
        JsonNode answer = search(api, 20, "");
        assertThat(answer.get("kits")).isEmpty();
        assertThat(answer.get("shortByM").asDouble()).isCloseTo(10, within(1e-9));
        assertThat(answer.get("leftOut")).hasSize(2);
        assertThat(answer.get("leftOut").toString()).contains("OUT").contains("OTHER_LINE");
    }

    @Test
    void aKitIsKeptAndTakenOutAsAWhole(Api api) {
        UUID ten = piece(api, "rg-58", 10, "n");
        UUID five = piece(api, "rg-58", 5, "n");
        UUID kit = UUID.randomUUID();
        String body = """
                {"id": "%s", "name": "Bag", "pieces": [{"pieceId": "%s"}, {"pieceId": "%s", "spare": true}],
                 "adapters": [{"near": {"connectorKey": "n", "gender": "SOCKET"}, "far": {"connectorKey": "bnc", "gender": "PLUG"}}]}""".formatted(kit, ten, five);
        JsonNode stored = api.post("/api/locker/kits", body).expect(201).json();
        assertThat(stored.get("lengthM").asDouble()).as("spares do not count").isEqualTo(10);
        assertThat(api.get("/api/locker/pieces/" + ten)
                        .json()
                        .get("kits")
                        .get(0)
                        .asString())
                .isEqualTo("Bag");
        api.put("/api/locker/movements/" + UUID.randomUUID(), """
                {"kind": "TOOK_OUT", "pieceIds": ["%s", "%s"], "on": "2026-05-02"}""".formatted(ten, five))
                .expect(200);
        assertThat(kit(api, kit).get("isOut").asBoolean()).isTrue();
        String changed = body.replace("\"Bag\"", "\"Sack\", \"version\": 0");
        api.put("/api/locker/kits/" + kit, changed).expect(200);
        api.put("/api/locker/kits/" + kit, changed).expect(409);
        api.delete("/api/locker/kits/" + kit).expect(204);
        api.post("/api/locker/kits/" + kit + "/restore", "").expect(200);
        assertThat(api.post(
                                "/api/locker/kits",
                                body.replace(kit.toString(), UUID.randomUUID().toString())
                                        .replace(five.toString(), ten.toString()))
                        .expect(422)
                        .json()
                        .toString())
                .contains("the piece is in the kit twice");
    }

    private static JsonNode kit(Api api, UUID id) {
        for (JsonNode kit : api.get("/api/locker/kits").expect(200).json()) {
            if (kit.get("id").asString().equals(id.toString())) {
                return kit;
            }
        }
        throw new AssertionError("no kit " + id);
    }

    @Test
    void fewLengthsServeManySites(Api api) {
        JsonNode answer = api.post("/api/locker/length-sets", """
                {"sites": [{"name": "jetty", "lengthM": 5}, {"name": "camp", "lengthM": 10, "visits": 3}, {"name": "hill", "lengthM": 25}],
                 "cableKey": "rg-58", "connectorKey": "n", "frequencyMHz": 145, "stepM": 5, "mostPieces": 3}""").expect(200).json();
        assertThat(answer.get("sets")).hasSize(3);
        assertThat(answer.get("proven").asBoolean()).isTrue();
        assertThat(answer.get("sets").get(2).get("lengthsM").toString()).isEqualTo("[25.0,10.0,5.0]");
    }

    @Test
    void cutsComeFromReelsWithTheirAllowances(Api api) {
        JsonNode answer = api.post("/api/locker/cut-plans", """
                {"cuts": [{"name": "gallery", "lengthM": 31}, {"name": "spare", "lengthM": 27, "count": 2}],
                 "reels": [{"name": "old reel", "lengthM": 60}], "soldInM": 100,
                 "allowances": {"eachEndM": 0.1, "dripLoopM": 0.3, "serviceLoopM": 0.5}}""").expect(200).json();
        assertThat(answer.get("neededM").asDouble()).isCloseTo(31 + 2 * 27 + 3, within(1e-9));
        assertThat(answer.get("boughtM").asDouble()).isEqualTo(100);
        assertThat(answer.get("proven").asBoolean()).isTrue();
        api.post("/api/locker/cut-plans", "{\"cuts\": [{\"name\": \"a\", \"lengthM\": 3}]}")
                .expect(422);
    }

    @Test
    void twoThousandPiecesAreListedAndSearched(Api api, WorkshopService workshops, DataSource database) {
        workshops.byItself(() -> new JdbcTemplate(database).update("""
                insert into piece (id, workshop_id, demo, version, label, length_m, near_connector, near_gender, far_connector,
                    far_gender, created_at)
                select gen_random_uuid(), ?, false, 0, 'many ' || i, 1 + i % 37 * 0.7, 'n', 'PLUG', 'n', 'PLUG', now()
                from generate_series(1, 2000) i""", workshops.current()));
        assertThat(api.get("/api/locker/overview")
                        .expect(200)
                        .json()
                        .get("pieces")
                        .asLong())
                .isEqualTo(2000);
        JsonNode answer = search(api, 63, "");
        assertThat(answer.get("leftOut")).as("nobody knows their type").hasSize(2000);
        piece(api, "rg-58", 40, "n");
        piece(api, "rg-213", 25, "n");
        assertThat(search(api, 63, "").get("kits")).isNotEmpty();
    }
}
