package org.eskiz.server.bench;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.eskiz.server.Api;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What tests of the bench ask of the server. */
final class BenchCalls {

    private BenchCalls() {}

    static JsonNode analyse(Api api, String test) {
        return api.post("/api/bench/analyses", test).expect(200).json();
    }

    static List<String> codes(JsonNode analysis) {
        return analysis.get("findings")
                .valueStream()
                .map(f -> f.get("code").asString())
                .toList();
    }

    static JsonNode log(Api api, UUID id) {
        return api.get("/api/bench/tests?ids=" + id).expect(200).json().get(0);
    }

    static String store(Api api, String file) {
        try (InputStream in = BenchCalls.class.getResourceAsStream("/sweeps/" + file)) {
            String text = new String(in.readAllBytes(), StandardCharsets.UTF_8);
            String body = JsonMapper.builder().build().writeValueAsString(Map.of("fileName", file, "text", text));
            return api.post("/api/bench/files", body)
                    .expect(201)
                    .json()
                    .get("id")
                    .asString();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
