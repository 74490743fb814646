package org.eskiz.server.comparison;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import java.util.zip.GZIPInputStream;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** A ledger that is asked for again is the same, until something is known otherwise. */
@ExtendWith(RealServer.class)
class LedgerAnswersTest {

    private static final String ASKED = """
            {"radio": {"powerW": 100}, "bands": [{"frequencyMHz": 145, "load": {"swr": 1.5}}],
             "run": [{"kind": "LINE", %s, "lengthM": 23.75, "candidate": true}]}""";

    private static final String TYPE = """
            {"key": "%s", %s"name": "Again", "family": "own", "provenance": "SHEET", "impedanceOhm": 50,
             "velocityFactor": 0.8, "balanced": false, "points": [{"frequencyMHz": 100, "attenuationDbPer100m": %s}]}""";

    private static String ledger(Api api, String what) {
        return api.post("/api/comparisons", ASKED.formatted(what))
                .expect(200)
                .response()
                .body();
    }

    @Test
    void itIsTheSameUntilTheCatalogueChanges(Api api) {
        String key = "again-" + UUID.randomUUID().toString().substring(0, 8);
        String what = "\"cableKey\": \"" + key + "\"";
        api.post("/api/cable-types", TYPE.formatted(key, "", 8)).expect(201);
        String before = ledger(api, what);
        assertThat(ledger(api, what)).isEqualTo(before);
        api.put("/api/cable-types/" + key, TYPE.formatted(key, "\"revision\": 1, ", 16))
                .expect(200);
        assertThat(lossDb(ledger(api, what), key)).isGreaterThan(1.9 * lossDb(before, key));
        api.post("/api/cable-types/" + key + "/retirement", "").expect(200);
    }

    private static double lossDb(String ledger, String row) {
        return Api.parse(ledger)
                .get("rows")
                .valueStream()
                .filter(r -> r.get("id").asString().equals(row))
                .findFirst()
                .orElseThrow()
                .get("cells")
                .get(0)
                .get("totalLossDb")
                .asDouble();
    }

    @Test
    void whatIsMeasuredOfAPieceCountsAtOnce(Api api) {
        UUID piece = UUID.randomUUID();
        api.post("/api/locker/pieces", """
                {"id": "%s", "label": "%s", "cableKey": "rg-58", "lengthM": 23.75}""".formatted(piece, piece)).expect(201);
        String what = "\"pieceId\": \"" + piece + "\"";
        String before = ledger(api, what);
        api.post("/api/bench/tests", """
                {"id": "%s", "method": "LOSSES", "testedOn": "2026-10-01", "pieceId": "%s", "cableKey": "rg-58", "lengthM": 23.75,
                 "readings": [{"frequencyMHz": 145, "lossDb": 9}]}""".formatted(UUID.randomUUID(), piece)).expect(201);
        assertThat(ledger(api, what)).isNotEqualTo(before);
    }

    @Test
    void itIsPackedForThoseWhoTakeIt(Api api) throws IOException, InterruptedException {
        String plain = ledger(api, "\"cableKey\": \"rg-58\"");
        HttpResponse<byte[]> packed = HttpClient.newHttpClient()
                .send(
                        api.request("/api/comparisons")
                                .header("Content-Type", "application/json")
                                .header("Accept-Encoding", "gzip")
                                .POST(HttpRequest.BodyPublishers.ofString(ASKED.formatted("\"cableKey\": \"rg-58\"")))
                                .build(),
                        HttpResponse.BodyHandlers.ofByteArray());
        assertThat(packed.headers().firstValue("Content-Encoding")).hasValue("gzip");
        assertThat(packed.headers().firstValue("Vary").orElseThrow()).containsIgnoringCase("accept-encoding");
        assertThat(packed.body()).hasSizeLessThan(plain.length() / 3);
        assertThat(new String(
                        new GZIPInputStream(new ByteArrayInputStream(packed.body())).readAllBytes(),
                        StandardCharsets.UTF_8))
                .isEqualTo(plain);
    }
}
