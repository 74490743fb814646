package org.eskiz.core;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.eskiz.core.cable.AttenuationPoint;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Results computed independently of this code, at 40 digits. */
public final class ReferenceCases {

    private ReferenceCases() {}

    public static Stream<JsonNode> read(String file) {
        try (InputStream in = ReferenceCases.class.getResourceAsStream("/reference/" + file)) {
            JsonNode cases = JsonMapper.builder().build().readTree(in).get("cases");
            return StreamSupport.stream(cases.spliterator(), false).toList().stream();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public static List<AttenuationPoint> points(JsonNode array) {
        List<AttenuationPoint> points = new ArrayList<>();
        for (JsonNode p : array) {
            points.add(new AttenuationPoint(
                    p.get("frequencyMHz").asDouble(),
                    p.get("attenuationDbPer100m").asDouble()));
        }
        return points;
    }

    /** Agreement asked of the run: 1e-9·|reference| + 1e-12. */
    public static void assertAgrees(String what, double actual, JsonNode reference) {
        assertAgrees(what, actual, reference, 1e-9);
    }

    public static void assertAgrees(String what, double actual, JsonNode reference, double relative) {
        double expected = reference.asDouble();
        assertThat(Math.abs(actual - expected))
                .as("%s: %s, reference %s", what, actual, expected)
                .isLessThanOrEqualTo(relative * Math.abs(expected) + 1e-12);
    }
}
