package org.eskiz.server.locker;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.eskiz.server.operator.WorkshopService;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The locker as a long list: searched, put in order and counted by the database, whatever became known meanwhile. */
@ExtendWith(RealServer.class)
class PieceListOverHttpTest {

    /** Of one test, so that others do not get into its lists. */
    private final String mark = "q" + UUID.randomUUID().toString().replace("-", "");

    private static UUID piece(Api api, String label, String more) {
        UUID id = UUID.randomUUID();
        api.post("/api/locker/pieces", """
                {"id": "%s", "label": "%s", "lengthM": 20, "boughtOn": "2024-03-01"%s}""".formatted(id, label, more)).expect(201);
        return id;
    }

    private UUID piece(Api api, String label) {
        return piece(api, mark + " " + label, ", \"cableKey\": \"rg-58\"");
    }

    private static void test(Api api, UUID test, UUID piece, String on, double lossDb) {
        api.post("/api/bench/tests", tested(test, piece, on, lossDb)).expect(201);
    }

    private static String tested(UUID test, UUID piece, String on, double lossDb) {
        return """
                {"id": "%s", "method": "LOSSES", "testedOn": "%s", "pieceId": "%s", "cableKey": "rg-58", "lengthM": 20,
                 "readings": [{"frequencyMHz": 145, "lossDb": %s}]}""".formatted(test, on, piece, lossDb);
    }

    private List<String> labels(Api api, String query) {
        return labelsIn(
                api.get("/api/locker/pieces?find=" + mark + query).expect(200).json());
    }

    private List<String> labelsIn(JsonNode pieces) {
        List<String> labels = new ArrayList<>();
        pieces.forEach(
                p -> labels.add(p.get("label").asString().replace(mark, "").strip()));
        return labels;
    }

    @Test
    void labelsAreInOrderAsPeopleCountAndReadInParts(Api api) {
        for (String label : List.of("Reel 10", "reel 9", "Réel 1", "Anchor")) {
            piece(api, label);
        }
        assertThat(labels(api, "")).containsExactly("Anchor", "Réel 1", "reel 9", "Reel 10");
        String next = "/api/locker/pieces?limit=3&find=" + mark;
        List<String> read = new ArrayList<>();
        for (int part = 0; next != null; part++) {
            Api.Answer answer = api.get(next).expect(200);
            assertThat(answer.total()).isEqualTo(4);
            read.addAll(labelsIn(answer.json()));
            next = answer.next().orElse(null);
            assertThat(part).isLessThan(2);
        }
        assertThat(read).containsExactly("Anchor", "Réel 1", "reel 9", "Reel 10");
    }

    @Test
    void whatNeedsAHandComesFirstAndIsCounted(Api api) {
        UUID fine = piece(api, "fine");
        UUID failing = piece(api, "worse than its sheet");
        piece(api, "never tested");
        UUID retired = piece(api, "gone");
        test(api, UUID.randomUUID(), fine, "2026-10-01", 3.8);
        test(api, UUID.randomUUID(), failing, "2026-10-01", 7.9);
        api.post("/api/locker/pieces/" + retired + "/changes", """
                {"id": "%s", "kind": "RETIRED", "on": "2026-10-02"}""".formatted(UUID.randomUUID()))
                .expect(200);
        assertThat(labels(api, "&order=URGENCY"))
                .containsExactly("worse than its sheet", "never tested", "fine", "gone");
        assertThat(labels(api, "&standing=NEEDS_A_HAND&order=URGENCY"))
                .containsExactly("worse than its sheet", "never tested");
        assertThat(labels(api, "&standing=RETIRED")).containsExactly("gone");
        assertThat(labels(api, "&standing=OUT")).isEmpty();

        JsonNode all = api.get("/api/locker/overview").expect(200).json();
        long counted = all.get("failing").asLong()
                + all.get("due").asLong()
                + all.get("fine").asLong()
                + all.get("retired").asLong();
        assertThat(all.get("pieces").asLong()).isEqualTo(counted).isGreaterThanOrEqualTo(4);
        assertThat(all.get("longestM").asDouble()).isGreaterThanOrEqualTo(20);
    }

    @Test
    void itIsFoundByItsTypePlaceAndNoteAndByItsLabelAlone(Api api) {
        UUID id = piece(api, mark + " 7", ", \"cableKey\": \"rg-213\", \"keptAt\": \"Loft\", \"note\": \"blue tape\"");
        piece(api, mark + " 7 b", "");
        for (String word : List.of("rg-213", "LOFT", "blue", "Loft%20rg-213")) {
            assertThat(labels(api, "%20" + word)).as(word).containsExactly("7");
        }
        assertThat(labels(api, "%20reel")).isEmpty();
        assertThat(labelsIn(api.get("/api/locker/pieces?label=" + mark.toUpperCase() + "%207")
                        .expect(200)
                        .json()))
                .containsExactly("7");
        assertThat(labelsIn(api.get("/api/locker/pieces?ids=" + id).expect(200).json()))
                .containsExactly("7");
    }

    @Test
    void whateverBecomesKnownOfItTheListKnowsAtOnce(Api api) {
        UUID one = piece(api, "one");
        UUID other = piece(api, "other");
        assertThat(labels(api, "&standing=DUE")).containsExactly("one", "other");
        UUID test = UUID.randomUUID();
        test(api, test, one, "2026-10-01", 7.9);
        assertThat(labels(api, "&standing=FAILING")).containsExactly("one");
        // a correction says that it was the other one
        api.put(
                        "/api/bench/tests/" + test,
                        tested(test, other, "2026-10-01", 7.9).replace("\"method\"", "\"revision\": 1, \"method\""))
                .expect(200);
        assertThat(labels(api, "&standing=FAILING")).containsExactly("other");
        assertThat(labels(api, "&standing=DUE")).containsExactly("one");

        UUID out = UUID.randomUUID();
        api.put("/api/locker/movements/" + out, """
                {"kind": "TOOK_OUT", "pieceIds": ["%s"], "on": "2026-10-05", "to": "Lighthouse"}""".formatted(one)).expect(200);
        assertThat(labels(api, "&standing=OUT")).containsExactly("one");
        assertThat(labels(api, "%20lighthouse")).containsExactly("one");
        api.delete("/api/locker/movements/" + out).expect(200);
        assertThat(labels(api, "&standing=OUT")).isEmpty();

        api.delete("/api/locker/pieces/" + one).expect(204);
        assertThat(labels(api, "")).containsExactly("other");
        assertThat(api.get("/api/locker/pieces?limit=1&find=" + mark)
                        .expect(200)
                        .total())
                .isEqualTo(1);
        api.post("/api/locker/pieces/" + one + "/restore", "").expect(200);
        assertThat(labels(api, "")).containsExactly("one", "other");
    }

    @Test
    void aPieceBecomesDueByTheDayAlone(Api api, PieceLifeRepository lives, WorkshopService workshops) {
        UUID id = piece(api, "of the year");
        test(api, UUID.randomUUID(), id, "2026-10-01", 3.8);
        assertThat(labels(api, "&standing=FINE")).containsExactly("of the year");
        workshops.byItself(() -> {
            lives.turn(workshops.current(), LocalDate.of(2027, 10, 1));
            assertThat(urgency(lives, id)).isEqualTo(PieceListQuery.URGENCIES.get(PieceSummary.PieceCondition.DUE));
        });
        // whoever lists the locker has it as of today
        assertThat(labels(api, "&standing=FINE")).containsExactly("of the year");
    }

    private static int urgency(PieceLifeRepository lives, UUID id) {
        return lives.findBy((piece, query, is) -> is.equal(piece.get("pieceId"), id), found -> found.oneValue())
                .urgency;
    }

    @Test
    void whatIsAskedOfPiecesIsAskedOfThoseThatAreKept(Api api) {
        UUID id = piece(api, "tested in June");
        test(api, UUID.randomUUID(), id, "2026-06-01", 3.8);
        assertThat(labels(api, "&standing=DUE")).isEmpty();
        String settings = api.get("/api/settings").expect(200).response().body();
        JsonNode before = Api.parse(settings);
        int months = before.get("upkeep").get("months").asInt();
        String asked = settings.replace("\"months\":" + months, "\"months\":3");
        JsonNode stored = api.put("/api/settings", asked).expect(200).json();
        try {
            assertThat(labels(api, "&standing=DUE")).containsExactly("tested in June");
        } finally {
            api.put(
                            "/api/settings",
                            settings.replace(
                                    "\"version\":" + before.get("version"), "\"version\":" + stored.get("version")))
                    .expect(200);
        }
        assertThat(labels(api, "&standing=DUE")).isEmpty();
    }

    @Test
    void whatCannotBeAListIsRefusedWithWhatIsAllowed(Api api) {
        for (String wrong : List.of("limit=0", "after=nonsense", "standing=TIRED", "order=SIZE", "ids=7")) {
            api.get("/api/locker/pieces?" + wrong).expect(422);
        }
    }
}
