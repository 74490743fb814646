package org.eskiz.server.bench;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.HashMap;
import java.util.Map;
import java.util.UUID;
import org.eskiz.server.operator.DemoPart;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A season of tests on the bench of the demo. Their sweeps lie beside them and are named in place of their ids. */
@Component
@Order(2)
class BenchDemo implements DemoPart {

    private static final String FOLDER = "/demo/";

    private final BenchService bench;
    private final SweepFileService files;
    private final JsonMapper json;

    BenchDemo(BenchService bench, SweepFileService files, JsonMapper json) {
        this.bench = bench;
        this.files = files;
        this.json = json;
    }

    @Override
    public void load() {
        Map<String, UUID> stored = new HashMap<>();
        for (JsonNode test : json.readTree(text("bench.json"))) {
            for (String field : new String[] {"throughFileId", "openFileId", "shortedFileId", "terminatedFileId"}) {
                JsonNode name = test.get(field);
                if (name != null) {
                    UUID id = stored.computeIfAbsent(
                            name.asString(),
                            n -> files.store(new BenchFileRequest(n, text("sweeps/" + n)))
                                    .id());
                    ((ObjectNode) test).put(field, id.toString());
                }
            }
            bench.createDemo(json.treeToValue(test, BenchTestRequest.class));
        }
    }

    @Override
    public void remove() {
        bench.removeDemo();
    }

    private static String text(String file) {
        try (InputStream in = BenchDemo.class.getResourceAsStream(FOLDER + file)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
