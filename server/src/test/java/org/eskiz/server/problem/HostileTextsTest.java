package org.eskiz.server.problem;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.json.JsonMapper;

/** Short texts that would be long work, and long ones that must not be: a reader looks at each character a few times. */
@ExtendWith(RealServer.class)
class HostileTextsTest {

    private static final int LONG = 400_000;

    private static final JsonMapper JSON = JsonMapper.builder().build();

    @ParameterizedTest
    @ValueSource(strings = {"1e300000000", "1e-300000000", "-1e2147483647", "1e99999999999", "0.0000001e+1000000"})
    void aNumberIsLookedAtForItsSizeBeforeItIsScaled(String number, Api api) {
        String piece = "{\"id\": \"%s\", \"label\": \"x\", \"lengthM\": 3, \"price\": %s, \"priceCurrency\": \"EUR\"}";
        assertThat(api.post("/api/locker/pieces", piece.formatted(UUID.randomUUID(), number))
                        .expectProblem(400)
                        .get("detail")
                        .asString())
                .contains("larger or smaller than any that can be read here");
        String plan = "{\"id\": \"%s\", \"site\": \"\", \"name\": \"x\", \"document\": {\"schemaVersion\": %s}}";
        api.post("/api/plans", plan.formatted(UUID.randomUUID(), number)).expectProblem(400);
        String file = "{\"format\": \"eskiz\", \"schemaVersion\": 1, \"pieces\": [{\"piece\": %s}]}"
                .formatted(piece.formatted(UUID.randomUUID(), number));
        api.post("/api/transfers/previews", JSON.writeValueAsString(Map.of("text", file)))
                .expectProblem(422);
    }

    @ParameterizedTest
    @ValueSource(strings = {"+999999999-12-31", "-999999999-01-01", "1899-12-31", "2200-01-01", "2026-02-30", "x", ""})
    void aDayIsOneThatSomebodyCanMean(String day, Api api) {
        String piece = "{\"id\": \"%s\", \"label\": \"x\", \"lengthM\": 3, \"boughtOn\": \"%s\"}";
        assertThat(api.post("/api/locker/pieces", piece.formatted(UUID.randomUUID(), day))
                        .expectProblem(400)
                        .get("detail")
                        .asString())
                .contains("boughtOn")
                .contains("must be like 2026-05-01, from 1900-01-01 to 2199-12-31");
    }

    static Stream<String> sheets() {
        return Stream.of(
                "\"1\",\"2\"" + "\"".repeat(LONG),
                ("\"a\",").repeat(LONG / 4),
                "100" + " ".repeat(LONG) + "x",
                "per" + " ".repeat(LONG) + "x",
                "1 2\t3" + " ".repeat(LONG) + "x\n1\t2",
                "1;2" + " \t".repeat(LONG / 2) + "x\n1;2",
                "1".repeat(LONG),
                "1 1".repeat(LONG / 3),
                "1,1".repeat(LONG / 3),
                "1\n".repeat(LONG / 2),
                "MHz" + "\t".repeat(LONG) + "dB\n1\t2",
                ", ".repeat(LONG / 2) + "1, 2",
                "1" + "e1".repeat(LONG / 2));
    }

    @ParameterizedTest(name = "sheet {index}")
    @MethodSource("sheets")
    void aSheetIsReadInOnePass(String text, Api api) {
        String body = JSON.writeValueAsString(Map.of("text", text));
        assertThat(api.post("/api/sheets", body).status()).isIn(200, 422);
        String losses = JSON.writeValueAsString(Map.of("text", text.substring(0, Math.min(text.length(), 490_000))));
        assertThat(api.post("/api/bench/loss-tables", losses).status()).isIn(200, 422);
    }

    @Test
    void aTableOfCablesToo(Api api) {
        String number = "name,impedance_ohm,velocity_factor,points\nx," + "1".repeat(LONG) + "x,0.8,100:9";
        String columns = "name," + "c,".repeat(LONG / 2) + "points\nx";
        String points = "name,impedance_ohm,velocity_factor,points\nx,50,0.8," + "1:".repeat(LONG / 2);
        for (String text : new String[] {number, columns, points}) {
            String body = JSON.writeValueAsString(Map.of("fileName", "a.csv", "text", text, "form", "CSV"));
            assertThat(api.post("/api/catalogue/imports/preview", body).status())
                    .isBetween(200, 499);
        }
    }

    /** Its pattern goes one level deeper with every hyphen. */
    @Test
    void aLongKeyIsNoKey(Api api) {
        String key = "a-".repeat(LONG / 2) + "a";
        String type =
                "{\"key\": \"%s\", \"name\": \"x\", \"provenance\": \"SHEET\", \"impedanceOhm\": 50, \"velocityFactor\": 0.8, \"points\": [{\"frequencyMHz\": 100, \"attenuationDbPer100m\": 9}]}"
                        .formatted(key);
        api.post("/api/cable-types", type).expectProblem(422);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/api/assessments",
                "/api/assessments/profile",
                "/api/assessments/at-the-antenna",
                "/api/comparisons",
                "/api/comparisons/changes",
                "/api/mixes",
                "/api/sweeps",
                "/api/run-sheets",
                "/api/fits",
                "/api/sheets",
                "/api/loads",
                "/api/plans",
                "/api/plans/effects",
                "/api/cable-types",
                "/api/cable-types/curves",
                "/api/connectors",
                "/api/catalogue/imports",
                "/api/catalogue/imports/preview",
                "/api/bench/analyses",
                "/api/bench/tests",
                "/api/bench/files",
                "/api/bench/distances",
                "/api/bench/loss-tables",
                "/api/locker/pieces",
                "/api/locker/kits",
                "/api/locker/kit-searches",
                "/api/locker/length-sets",
                "/api/locker/cut-plans",
                "/api/transfers",
                "/api/transfers/previews",
                "/api/instruments/identity",
                "/api/instruments/release",
                "/api/instruments/calibration",
                "/api/instruments/sweeps",
                "/api/instruments/sweeps/progress",
                "/api/instruments/sweeps/abort",
                "/api/instruments/sweeps/result",
                "/api/instruments/readings",
                "/api/instruments/shelf",
                "/api/instruments/shelf/reveal"
            })
    void nothingAndNearlyNothingEndInARefusal(String route, Api api) {
        for (String body :
                new String[] {"", " ", "null", "{}", "[]", "[null]", "\"\"", "0", "{\"\\u0000\": 1}", "{\"a\":"}) {
            Api.Answer answer = api.post(route, body);
            assertThat(answer.status()).as(route + " " + body).isBetween(400, 499);
            answer.expectProblem(answer.status());
        }
    }
}
