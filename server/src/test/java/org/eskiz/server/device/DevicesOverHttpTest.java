package org.eskiz.server.device;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** The library of one's own devices, and devices read from sweeps. */
@ExtendWith(RealServer.class)
class DevicesOverHttpTest {

    private static final String FILTER =
            "{\"kind\": \"DEVICE\", \"form\": \"FILTER\", \"name\": \"bandpass\", \"lossDb\": 0.6, \"averagePowerW\": 100}";

    private static String body(UUID id, String version, String element) {
        return "{\"id\": \"%s\", \"version\": %s, \"name\": \"2 m bandpass\", \"element\": %s}"
                .formatted(id, version, element);
    }

    @Test
    void aDeviceIsKeptChangedTakenOutAndPutBack(Api api) {
        UUID id = UUID.randomUUID();
        JsonNode made =
                api.post("/api/devices", body(id, "null", FILTER)).expect(201).json();
        api.post("/api/devices", body(id, "null", FILTER)).expect(201);
        assertThat(made.get("element").get("lossDb").asDouble()).isEqualTo(0.6);
        String other = FILTER.replace("0.6", "0.9");
        JsonNode changed = api.put(
                        "/api/devices/" + id, body(id, made.get("version").toString(), other))
                .expect(200)
                .json();
        assertThat(changed.get("element").get("lossDb").asDouble()).isEqualTo(0.9);
        api.put("/api/devices/" + id, body(id, made.get("version").toString(), FILTER))
                .expectProblem(409);
        api.delete("/api/devices/" + id).expect(204);
        assertThat(ids(api)).doesNotContain(id.toString());
        api.post("/api/devices/" + id + "/restore", "{}").expect(200);
        assertThat(ids(api)).contains(id.toString());
    }

    private static java.util.List<String> ids(Api api) {
        return api.get("/api/devices")
                .expect(200)
                .json()
                .valueStream()
                .map(d -> d.get("id").asString())
                .toList();
    }

    @Test
    void whatIsNoDeviceOrImpossibleIsRefused(Api api) {
        UUID id = UUID.randomUUID();
        JsonNode cable = api.post(
                        "/api/devices",
                        body(id, "null", "{\"kind\": \"LINE\", \"cableKey\": \"rg-58\", \"lengthM\": 2}"))
                .expectProblem(422);
        assertThat(cable.get("errors").get(0).get("path").asString()).isEqualTo("element.kind");
        JsonNode table = api.post(
                        "/api/devices",
                        body(
                                id,
                                "null",
                                "{\"kind\": \"DEVICE\", \"lossByFrequency\": [{\"frequencyMHz\": 10, \"lossDb\": 1}, {\"frequencyMHz\": 5, \"lossDb\": 1}]}"))
                .expectProblem(422);
        assertThat(table.get("errors").get(0).get("path").asString())
                .isEqualTo("element.lossByFrequency[1].frequencyMHz");
    }

    @Test
    void aSweepOfADeviceIsReadWhole(Api api) {
        String s2p = "# MHz S RI R 50\\n100 0.1 0 0 0.9 0 0.9 0.1 0\\n200 0.2 0 0 -0.8 0 -0.8 0.2 0\\n";
        JsonNode read = api.post("/api/two-ports", "{\"fileName\": \"filter.s2p\", \"text\": \"%s\"}".formatted(s2p))
                .expect(200)
                .json();
        assertThat(read.get("referenceOhm").asDouble()).isEqualTo(50);
        assertThat(read.get("points").size()).isEqualTo(2);
        String element = "{\"kind\": \"DEVICE\", \"twoPort\": %s}".formatted(read);
        api.post("/api/devices", body(UUID.randomUUID(), "null", element)).expect(201);
        JsonNode amplifier = api.post(
                        "/api/two-ports",
                        "{\"fileName\": \"amp.s2p\", \"text\": \"# MHz S RI R 50\\n100 0 0 5 0 0 0 0 0\\n\"}")
                .expectProblem(422);
        assertThat(amplifier.get("detail").asString()).contains("at 100.0 MHz");
        JsonNode onePort = api.post(
                        "/api/two-ports", "{\"fileName\": \"a.s1p\", \"text\": \"# MHz S RI R 50\\n100 0 0\\n\"}")
                .expectProblem(422);
        assertThat(onePort.get("detail").asString()).contains("one-port");
    }
}
