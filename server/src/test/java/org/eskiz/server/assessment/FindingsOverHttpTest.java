package org.eskiz.server.assessment;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.stream.StreamSupport;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

@ExtendWith(RealServer.class)
class FindingsOverHttpTest {

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "rg-58 | AT_RADIO | 2 | ",
                "rg-58 | AT_RADIO | 8 | BEYOND_MATCHING_UNIT",
                "rg-58 | AT_ANTENNA | 8 | BEYOND_MATCHING_UNIT",
                "rg-58 | NONE | 8 | RADIO_SEES_SWR",
                "rg-58 | AT_ANTENNA | 60 | BEYOND_MATCHING_UNIT",
                "rg-58 | NONE | 60 | NO_LOAD",
                "rg-174 | NONE | 1.2 | COPPER_CLAD_STEEL",
                "rg-6 | AT_RADIO | 1.2 | OTHER_IMPEDANCE",
                "window-450 | NONE | 1.2 | BALANCED_INTO_RADIO,RADIO_SEES_SWR",
                "window-450 | AT_RADIO | 1.2 | NEEDS_BALANCED_UNIT,BEYOND_MATCHING_UNIT",
            })
    void whatMayNotWorkIsPointedOut(String cable, String matching, double swr, String codes, Api api) {
        String body = """
                {"radio": {"powerW": 100, "matching": "%s"}, "run": [{"kind": "LINE", "cableKey": "%s", "lengthM": 7}],
                 "bands": [{"frequencyMHz": 7.1, "load": {"swr": %s}}]}""".formatted(matching, cable, swr);
        JsonNode notes = api.post("/api/assessments", body)
                .expect(200)
                .json()
                .get("bands")
                .get(0)
                .get("notes");
        List<String> found = StreamSupport.stream(notes.spliterator(), false)
                .map(n -> n.get("code").asString())
                .toList();
        assertThat(found).containsAll(codes == null ? List.of() : List.of(codes.split(",")));
        if (codes == null) {
            // nobody has said what its matching unit bears
            assertThat(found).containsExactly("RATING_UNKNOWN");
        }
    }
}
