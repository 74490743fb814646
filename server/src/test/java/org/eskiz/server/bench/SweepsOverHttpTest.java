package org.eskiz.server.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.eskiz.server.bench.BenchCalls.analyse;
import static org.eskiz.server.bench.BenchCalls.codes;
import static org.eskiz.server.bench.BenchCalls.store;

import java.util.Map;
import java.util.UUID;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Sweeps through the real interface and the real database: files kept, lines worked out of them, places along them. */
@ExtendWith(RealServer.class)
class SweepsOverHttpTest {

    @Test
    void aSweepIsKeptAndTellsLossVelocityAndAType(Api api) {
        String file = store(api, "through-rg58-12m4.s2p");
        assertThat(store(api, "through-rg58-12m4.s2p")).isEqualTo(file);
        String test = """
                {"method": "THROUGH_SWEEP", "testedOn": "2026-05-03", "cableKey": "rg-58", "lengthM": 12.4,
                 "bandsMHz": [7.1, 28.5, 145, 435], "throughFileId": "%s"%s}""";
        JsonNode analysis = analyse(api, test.formatted(file, ""));
        assertThat(analysis.get("figures")).hasSize(3);
        assertThat(analysis.get("figures").get(2).get("lossDb").asDouble()).isCloseTo(2.4974, within(0.05));
        assertThat(analysis.get("line").get("velocityFactor").asDouble()).isCloseTo(0.66, within(0.0033));
        assertThat(analysis.get("line").get("lengthM").asDouble()).isCloseTo(12.4, within(0.062));
        assertThat(analysis.get("outcome").asString()).isEqualTo("AS_THE_SHEET");
        assertThat(codes(analysis)).containsExactly("BAND_NOT_SWEPT");
        assertThat(analysis.get("ownCable").get("points").size()).isBetween(3, 12);
        assertThat(analysis.get("curve").size()).isBetween(100, 300);

        UUID id = UUID.randomUUID();
        JsonNode stored = api.post("/api/bench/tests", test.formatted(file, ", \"id\": \"" + id + "\""))
                .expect(201)
                .json();
        assertThat(stored.get("files").get(0).get("fileName").asString()).isEqualTo("through-rg58-12m4.s2p");
        String written = api.get("/api/bench/files/" + file + "/touchstone?form=DB")
                .expect(200)
                .response()
                .body();
        assertThat(written).startsWith("# MHz S DB R 50.0\n1.0 ");
    }

    @Test
    void anotherCableThanTheLabelSaysIsToldByItsVelocityAndByItsLosses(Api api) {
        String file = store(api, "through-rg58-12m4.s2p");
        JsonNode analysis = analyse(api, """
                {"method": "THROUGH_SWEEP", "cableKey": "foam-10", "lengthM": 12.4,
                 "bandsMHz": [7.1, 28.5, 145], "throughFileId": "%s"}""".formatted(file));
        assertThat(analysis.get("outcome").asString()).isEqualTo("WORSE");
        assertThat(codes(analysis)).contains("OTHER_VELOCITY");
        assertThat(analysis.get("likeTypes").get(0).asString()).isEqualTo("rg-58");
        // without a type nothing is promised, but what it may be is told
        JsonNode unknown = analyse(api, """
                {"method": "THROUGH_SWEEP", "lengthM": 12.4, "bandsMHz": [7.1, 28.5, 145], "throughFileId": "%s"}""".formatted(file));
        assertThat(unknown.get("outcome").isNull()).isTrue();
        assertThat(unknown.get("likeTypes").get(0).asString()).isEqualTo("rg-58");
    }

    @Test
    void aBadJointIsNamedAndSoIsALookFromOneEnd(Api api) {
        JsonNode bad = analyse(api, """
                {"method": "THROUGH_SWEEP", "cableKey": "rg-213", "lengthM": 18.8,
                 "bandsMHz": [7.1, 28.5, 145, 435], "throughFileId": "%s"}""".formatted(store(api, "bad-joint-rg213.s2p")));
        assertThat(bad.get("causes"))
                .as("a bad contact, or joints that nobody entered")
                .extracting(c -> c.get("kind").asString())
                .containsExactly("JOINTS_NOT_ENTERED", "CONTACT");
        assertThat(bad.get("causes").get(1).get("amount").asDouble()).isCloseTo(0.5, within(0.15));
        JsonNode entered = analyse(api, """
                {"method": "THROUGH_SWEEP", "cableKey": "rg-213", "lengthM": 18.8, "joints": [{"connectorKey": "n"}, {"connectorKey": "n"}],
                 "bandsMHz": [7.1, 28.5, 145, 435], "throughFileId": "%s"}""".formatted(store(api, "bad-joint-rg213.s2p")));
        assertThat(entered.get("causes"))
                .extracting(c -> c.get("kind").asString())
                .containsExactly("CONTACT");

        String open = store(api, "open-rg8x-30m5.s1p");
        String both = """
                {"method": "ONE_END_SWEEP", "cableKey": "rg-8x", "lengthM": 30.5,
                 "bandsMHz": [7.1, 28.5], "openFileId": "%s"%s}""";
        JsonNode measured = analyse(
                api, both.formatted(open, ", \"shortedFileId\": \"" + store(api, "short-rg8x-30m5.s1p") + "\""));
        assertThat(measured.get("figures").get(1).get("lossDb").asDouble()).isCloseTo(1.699, within(0.034));
        assertThat(measured.get("line").get("isEstimate").asBoolean()).isFalse();
        JsonNode estimate = analyse(api, both.formatted(open, ""));
        assertThat(codes(estimate)).contains("ESTIMATE");
        assertThat(estimate.get("line").get("isEstimate").asBoolean()).isTrue();
    }

    @Test
    void aLookAlongALineTellsWhatReflectsWhere(Api api) {
        String file = store(api, "kink-foam7-27m4.s1p");
        String asked = "{\"fileId\": \"%s\", \"cableKey\": \"foam-7\", \"lengthM\": 27.4%s}";
        JsonNode found = api.post("/api/bench/distances", asked.formatted(file, ""))
                .expect(200)
                .json();
        double resolution = found.get("resolutionM").asDouble();
        assertThat(found.get("velocityFactor").asDouble()).isEqualTo(0.84);
        assertThat(distance(found, "CHANGE")).isCloseTo(11.2, within(resolution));
        assertThat(distance(found, "END")).isCloseTo(27.4, within(resolution));
        assertThat(found.get("places").size()).isBetween(100, 900);
        JsonNode slower = api.post(
                        "/api/bench/distances",
                        asked.formatted(file, ", \"velocityFactor\": 0.66, \"window\": \"HANN\""))
                .expect(200)
                .json();
        assertThat(distance(slower, "CHANGE")).isCloseTo(11.2 * 0.66 / 0.84, within(resolution));
        api.post("/api/bench/distances", "{\"fileId\": \"" + file + "\"}").expect(422);
        // such a look is worth keeping, though it says nothing of the loss
        api.post(
                        "/api/bench/tests",
                        "{\"id\": \"%s\", \"method\": \"ONE_END_SWEEP\", \"testedOn\": \"2026-05-03\", \"terminatedFileId\": \"%s\"}"
                                .formatted(UUID.randomUUID(), file))
                .expect(201);
    }

    private static double distance(JsonNode found, String kind) {
        return found.get("peaks")
                .valueStream()
                .filter(p -> p.get("kind").asString().equals(kind))
                .findFirst()
                .orElseThrow()
                .get("distanceM")
                .asDouble();
    }

    @Test
    void theWrongKindOfSweepAndStepsTooCoarseAreSaid(Api api) {
        String one = store(api, "kink-foam7-27m4.s1p");
        assertThat(impossible(api, "THROUGH_SWEEP", "throughFileId", one, 27)).contains("sweep of one port");
        String two = store(api, "through-rg58-12m4.s2p");
        assertThat(impossible(api, "ONE_END_SWEEP", "openFileId", two, 12)).contains("one of two ports");
        assertThat(impossible(api, "THROUGH_SWEEP", "throughFileId", two, 400)).contains("too coarse");
        api.post(
                        "/api/bench/analyses",
                        "{\"method\": \"THROUGH_SWEEP\", \"throughFileId\": \"" + UUID.randomUUID() + "\"}")
                .expect(422);
    }

    /** Whatever a file says, the answer is a sentence or figures that can be: never a broken one. */
    @ParameterizedTest
    @CsvSource({
        "10 0 0 0 0 0 0 0 0",
        "10 1 0 1 0 1 0 1 0",
        "10 0.5 0 0.5 0 0.5 0 0.5 0",
        "10 0 0 1e-300 0 1e-300 0 0 0",
        "10 1 0",
        "10 0 0",
        "10 -1 0"
    })
    void anAbsurdSweepIsAnsweredAllTheSame(String row, Api api) {
        String text = "# MHz S MA R 50\\n";
        for (int i = 1; i <= 40; i++) {
            text += row.replaceFirst("10", Integer.toString(10 * i)) + "\\n";
        }
        String file = api.post("/api/bench/files", "{\"fileName\": \"absurd\", \"text\": \"" + text + "\"}")
                .expect(201)
                .json()
                .get("id")
                .asString();
        boolean isThrough = row.split(" ").length == 9;
        String test = "{\"method\": \"%s\", \"%s\": \"%s\", \"cableKey\": \"rg-58\"%s, \"bandsMHz\": [28.5, 145]}"
                .formatted(
                        isThrough ? "THROUGH_SWEEP" : "ONE_END_SWEEP",
                        isThrough ? "throughFileId" : "openFileId",
                        file,
                        "%s");
        analyse(api, test.formatted(""));
        analyse(api, test.formatted(", \"lengthM\": 3"));
        api.post("/api/bench/distances", "{\"fileId\": \"" + file + "\", \"cableKey\": \"rg-58\"}")
                .expect(200);
    }

    private static String impossible(Api api, String method, String field, String file, double lengthM) {
        JsonNode analysis = analyse(
                api, "{\"method\": \"%s\", \"%s\": \"%s\", \"lengthM\": %s}".formatted(method, field, file, lengthM));
        return analysis.get("findings")
                .valueStream()
                .filter(f -> f.get("code").asString().equals("IMPOSSIBLE"))
                .map(f -> f.get("values").get("why").asString())
                .findFirst()
                .orElse("");
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "10 NaN 0|line 1: \"NaN\" is not a number",
                "20 1 0_20 1 0|line 2: 20000.0 MHz stands in line 1 already",
                "hello|line 1: \"hello\" is not a number",
                "''|there is no point"
            })
    void aFileThatIsNoSweepIsRefusedWithItsLine(String text, String told, Api api) {
        JsonNode problem = api.post(
                        "/api/bench/files",
                        JsonMapper.builder()
                                .build()
                                .writeValueAsString(Map.of("fileName", "a.s1p", "text", text.replace('_', '\n'))))
                .expect(422)
                .json();
        assertThat(problem.get("detail").asString()).contains(told);
    }

    @Test
    void aFileBeyondTheLimitIsRefusedWithIt(Api api) {
        String tenMegabytes = "1 0 0\n".repeat(1_700_000);
        JsonNode problem = api.post(
                        "/api/bench/files",
                        "{\"fileName\": \"big.s1p\", \"text\": \"" + tenMegabytes.replace("\n", "\\n") + "\"}")
                .expect(413)
                .json();
        assertThat(problem.get("detail").asString()).contains("5242880 bytes");
    }
}
