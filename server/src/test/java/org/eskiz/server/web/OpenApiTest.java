package org.eskiz.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The front end's client is generated from a kept description; this test keeps it true. */
@ExtendWith(RealServer.class)
class OpenApiTest {

    private static final Path KEPT = Path.of("../web/openapi.json");
    private static final Path SERVED = Path.of("target/openapi.json");

    @Test
    void theKeptDescriptionIsTrueAndIsWhatIsServed(Api api) throws IOException {
        JsonNode served = api.get("/v3/made-api-docs").expect(200).json();
        Files.writeString(
                SERVED,
                JsonMapper.builder().build().writerWithDefaultPrettyPrinter().writeValueAsString(served) + "\n");
        assertThat(KEPT)
                .as("copy server/%s to web/openapi.json and run npm run client there", SERVED)
                .exists();
        assertThat(Api.parse(Files.readString(KEPT))).isEqualTo(served);
        assertThat(api.get("/v3/api-docs").expect(200).json()).isEqualTo(served);
    }

    @Test
    void itTellsTheRanges(Api api) {
        JsonNode schemas =
                api.get("/v3/api-docs").expect(200).json().get("components").get("schemas");
        JsonNode frequency = schemas.get("BandSpec").get("properties").get("frequencyMHz");
        assertThat(frequency.get("minimum").asDouble()).isEqualTo(0.1);
        assertThat(frequency.get("maximum").asDouble()).isEqualTo(30_000);
    }
}
