package org.eskiz.server.bench;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The log of the bench in parts, searched and put in order by the database. */
@ExtendWith(RealServer.class)
class BenchLogOverHttpTest {

    private static final String TEST = """
            {%s, "method": "WATTMETER", "testedOn": "%s", "piece": "%s", "cableKey": "rg-213", "lengthM": 30,
             "wattmeter": {"lead": "NONE"},
             "readings": [{"frequencyMHz": 145, "baseline": "50.0", "through": "%s"}]}""";

    private final String piece = "p" + UUID.randomUUID().toString().replace("-", "");

    @Test
    void standsByTheDayTheLastFirstInParts(Api api) {
        UUID old = store(api, "2024-03-01", "28");
        UUID newest = store(api, "2026-05-02", "28");
        UUID between = store(api, "2025-07-09", "28");
        assertThat(ids(api, "")).containsExactly(newest, between, old);
        Api.Answer first = api.get("/api/bench/tests?limit=2&find=" + piece).expect(200);
        assertThat(first.json()).hasSize(2);
        assertThat(first.total()).isEqualTo(3);
        Api.Answer last = api.get(first.next().orElseThrow()).expect(200);
        assertThat(last.json().get(0).get("id").asString()).isEqualTo(old.toString());
        assertThat(last.next()).isEmpty();
    }

    @Test
    void isSearchedByPieceTypeDayWayAndVerdict(Api api) {
        UUID good = store(api, "2026-05-02", "28");
        UUID bad = store(api, "2026-06-03", "9");
        assertThat(ids(api, "+RG-213+2026-05")).containsExactly(good);
        assertThat(ids(api, "&outcome=WORSE")).containsExactly(bad);
        assertThat(ids(api, "&outcome=AS_THE_SHEET&method=WATTMETER")).containsExactly(good);
        assertThat(ids(api, "&method=THROUGH_SWEEP")).isEmpty();
        assertThat(ids(api, "&ids=" + bad)).containsExactly(bad);
        assertThat(ids(api, "&made=rg-213")).isEmpty();
        api.get("/api/bench/tests?made=no-such").expectProblem(422);
        assertThat(api.get("/api/bench/tests.csv?outcome=WORSE&find=" + piece)
                        .expect(200)
                        .response()
                        .body())
                .contains(bad.toString())
                .doesNotContain(good.toString());
    }

    @Test
    void aCorrectionIsListedAsItIsNow(Api api) {
        UUID id = store(api, "2026-05-02", "9");
        assertThat(ids(api, "&outcome=WORSE")).containsExactly(id);
        JsonNode stored = api.get("/api/bench/tests/" + id).json();
        String corrected =
                TEST.formatted("\"revision\": " + stored.get("summary").get("revision"), "2025-01-31", piece, "28");
        api.put("/api/bench/tests/" + id, corrected).expect(200);
        assertThat(ids(api, "&outcome=WORSE")).isEmpty();
        assertThat(ids(api, "+2025-01")).containsExactly(id);
    }

    private UUID store(Api api, String day, String through) {
        UUID id = UUID.randomUUID();
        api.post("/api/bench/tests", TEST.formatted("\"id\": \"" + id + "\"", day, piece, through))
                .expect(201);
        return id;
    }

    private List<UUID> ids(Api api, String more) {
        return api.get("/api/bench/tests?find=" + piece + more)
                .expect(200)
                .json()
                .valueStream()
                .map(t -> UUID.fromString(t.get("id").asString()))
                .toList();
    }
}
