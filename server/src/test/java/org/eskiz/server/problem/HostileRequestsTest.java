package org.eskiz.server.problem;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.http.HttpRequest;
import java.util.List;
import java.util.Random;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/**
 * Random and hostile requests to every endpoint: whatever comes in, no 5xx, no stack trace and no NaN goes out. A tenth
 * of the full run by default; {@code -Deskiz.hostile=10000} for all of it.
 */
@ExtendWith(RealServer.class)
class HostileRequestsTest {

    private static final int REQUESTS = Integer.getInteger("eskiz.hostile", 1000);

    private static final String RUN = """
            "radio": {"powerW": 100, "impedanceOhm": 50, "matching": "NONE", "foldback": true, "duty": 0.5},
            "ambientC": 20, "run": [{"kind": "JOINT", "connectorKey": "n"},
            {"id": "main", "kind": "LINE", "cableKey": "rg-58", "lengthM": 20, "candidate": true},
            {"kind": "TRANSFORMER", "impedanceRatio": 4, "lossDb": 0.2}, {"kind": "DEVICE", "lossDb": 0.1}],
            "bands": [{"id": "a", "name": "2 m", "frequencyMHz": 145, "load": {"swr": 1.5}},
            {"frequencyMHz": 7.1, "load": {"swrAtRadio": 1.4}},
            {"frequencyMHz": 14.2, "load": {"resistanceOhm": 90, "reactanceOhm": -600}}]""";

    private static final String ASKED = """
            "requirements": [{"kind": "LEAST_PERCENT", "percent": 50, "bandId": "a"}, {"kind": "LEAST_POWER_MARGIN", "margin": 1},
            {"kind": "BUDGET", "cost": 90, "currency": "EUR", "off": false}, {"kind": "MOST_MASS_ON_MAST", "massKg": 2, "mastM": 9},
            {"kind": "MOST_RECEIVE_PENALTY", "penaltyDb": 2}, {"kind": "SUN"}], "preference": "LEAST_COST",
            "purchase": {"times": 2, "readyMadeEnd": {"amount": 4, "currency": "EUR"}}, "tolerance": {"typicalPercent": 10},
            "candidates": [{"id": "own", "cable": {"impedanceOhm": 50, "velocityFactor": 0.8, "attenuation":
            {"points": [{"frequencyMHz": 100, "attenuationDbPer100m": 9}]}}}, {"cableKey": "foam-10"}]""";

    private static final String LOCKED = "/api/locker/pieces/00000000-0000-4000-8000-0000000cfffe";
    private static final String PLAN_PATH = "/api/plans/00000000-0000-4000-8000-00000000abcd";

    private record Target(String method, String path, String body) {}

    private static final List<Target> TARGETS = List.of(
            new Target("POST", "/api/assessments", "{" + RUN + "}"),
            new Target(
                    "POST",
                    "/api/assessments/profile",
                    "{" + RUN.replaceAll("(?s),\\s*\\{\"frequencyMHz\".*", "]") + "}"),
            new Target(
                    "POST",
                    "/api/comparisons",
                    "{" + RUN + ", " + ASKED
                            + ", \"details\": [{\"rowId\": \"own\", \"band\": 1, \"profile\": true}]}"),
            new Target(
                    "POST",
                    "/api/comparisons/changes",
                    "{\"comparison\": {" + RUN + ", " + ASKED + "}, \"rowId\": \"own\", \"band\": 1}"),
            new Target(
                    "POST",
                    "/api/sheets",
                    "{\"text\": \"MHz dB/100m\\n100 6\\n1000 20\", \"lossPer\": \"PER_100_M\", \"frequencyUnit\": \"MHZ\", \"impedanceOhm\": 50, \"velocityFactor\": 0.8, \"outerDiameterMm\": 10}"),
            new Target(
                    "POST",
                    "/api/cable-types/curves",
                    "{\"keys\": [\"rg-58\"], \"frequenciesMHz\": [10, 145], \"lengthM\": 31, \"ambientC\": 20}"),
            new Target(
                    "PUT",
                    "/api/cable-types/rg-58",
                    "{\"name\": \"a\", \"provenance\": \"SHEET\", \"impedanceOhm\": 50, \"velocityFactor\": 0.8, \"averagePowerW\": 90, \"ratedAtMHz\": 30, \"ratedAtC\": 40, \"maxOperatingC\": 85, \"pricePerM\": 2, \"priceCurrency\": \"EUR\", \"points\": [{\"frequencyMHz\": 100, \"attenuationDbPer100m\": 6}]}"),
            new Target(
                    "POST",
                    "/api/mixes",
                    "{\"comparison\": {"
                            + RUN.replace(
                                    "{\"kind\": \"DEVICE\"",
                                    "{\"kind\": \"LINE\", \"cableKey\": \"rg-58\", \"lengthM\": 2, \"candidate\": true}, {\"kind\": \"DEVICE\"")
                            + ", " + ASKED + "}}"),
            new Target(
                    "POST",
                    "/api/sweeps",
                    "{\"comparison\": {" + RUN + ", " + ASKED
                            + "}, \"rowIds\": [\"own\"], \"overFrequency\": {\"fromMHz\": 1, \"toMHz\": 500, \"points\": 5}, \"overLength\": null}"),
            new Target(
                    "POST",
                    "/api/loads",
                    "{\"fileName\": \"a.csv\", \"text\": \"MHz,R,X\\n7,50,1\\n8,60,2\", \"frequenciesMHz\": [7.1, 14], \"referenceOhm\": 50}"),
            new Target(
                    "POST",
                    "/api/fits",
                    "{\"points\": [{\"frequencyMHz\": 1, \"attenuationDbPer100m\": 1.6}, {\"frequencyMHz\": 900, \"attenuationDbPer100m\": 56}]}"),
            new Target(
                    "POST",
                    "/api/plans",
                    "{\"id\": \"00000000-0000-4000-8000-00000000abcd\", \"site\": \"a\", \"name\": \"b\", \"document\": {\"schemaVersion\": 1, \"assessment\": {"
                            + RUN + "}, " + ASKED + "}}"),
            new Target(
                    "PUT",
                    PLAN_PATH,
                    "{\"version\": 0, \"site\": \"a\", \"name\": \"b\", \"document\": {\"schemaVersion\": 1}}"),
            new Target(
                    "POST",
                    PLAN_PATH + "/decisions",
                    "{\"id\": \"00000000-0000-4000-8000-00000000abce\", \"planVersion\": 0, \"rowId\": \"foam-10\", \"reason\": \"c\"}"),
            new Target(
                    "PUT",
                    "/api/settings",
                    "{\"version\": 0, \"reading\": \"WATTS\", \"lengths\": \"METRES\", \"temperatures\": \"CELSIUS\", \"flatJointLossDb\": 0.2, \"currency\": \"EUR\", \"region\": 1, \"licencePowerW\": null, \"preference\": \"LEAST_COST\", \"palette\": \"DAY\", \"letterShortcuts\": true, \"demoHidden\": false}"),
            new Target(
                    "POST",
                    "/api/bench/analyses",
                    "{\"method\": \"WATTMETER\", \"testedOn\": \"2026-05-02\", \"piece\": \"a\", \"cableKey\": \"rg-58\", \"lengthM\": 10, \"joints\": [{\"connectorKey\": \"n\"}], \"temperatureC\": 20, \"wattmeter\": {\"lead\": \"TAKEN_OUT\", \"leadLossDb\": 0.2, \"repeatPercent\": 1}, \"readings\": [{\"frequencyMHz\": 28.5, \"baseline\": \"100\", \"through\": \"70-71\"}, {\"frequencyMHz\": 145, \"lengthM\": 20, \"baseline\": \"50\", \"through\": \"20\"}]}"),
            new Target(
                    "POST",
                    "/api/bench/tests",
                    "{\"id\": \"00000000-0000-4000-8000-0000000bfffe\", \"method\": \"LOSSES\", \"testedOn\": \"2026-05-02\", \"lengthM\": 10, \"readings\": [{\"frequencyMHz\": 28.5, \"lossDb\": 1}]}"),
            new Target("POST", "/api/bench/files", "{\"fileName\": \"a.s1p\", \"text\": \"10 1 0\\n20 0.5 90\"}"),
            new Target("POST", "/api/bench/loss-tables", "{\"text\": \"10 1\\n20 2\"}"),
            new Target("GET", "/api/bench/tests", ""),
            new Target(
                    "POST",
                    "/api/locker/pieces",
                    "{\"id\": \"00000000-0000-4000-8000-0000000cfffe\", \"label\": \"a\", \"cableKey\": \"rg-58\", \"lengthM\": 10, \"near\": {\"connectorKey\": \"n\", \"gender\": \"PLUG\"}, \"boughtOn\": \"2024-01-01\", \"price\": 1, \"priceCurrency\": \"EUR\"}"),
            new Target(
                    "POST",
                    LOCKED + "/changes",
                    "{\"id\": \"00000000-0000-4000-8000-0000000efffe\", \"kind\": \"NEW_END\", \"on\": \"2026-01-01\", \"lengthAfterM\": 9, \"note\": \"a\"}"),
            new Target(
                    "PUT",
                    "/api/locker/movements/00000000-0000-4000-8000-0000000dfffe",
                    "{\"kind\": \"WAS_OUT\", \"pieceIds\": [\"00000000-0000-4000-8000-0000000cfffe\"], \"on\": \"2026-01-01\", \"until\": \"2026-01-02\", \"to\": \"a\", \"wet\": true}"),
            new Target(
                    "POST",
                    "/api/locker/kits",
                    "{\"id\": \"00000000-0000-4000-8000-0000000ffffe\", \"name\": \"a\", \"pieces\": [{\"pieceId\": \"00000000-0000-4000-8000-0000000cfffe\", \"turned\": true}], \"adapters\": [{\"near\": {\"connectorKey\": \"n\", \"gender\": \"PLUG\"}, \"far\": {\"connectorKey\": \"bnc\", \"gender\": \"SOCKET\"}}]}"),
            new Target(
                    "POST",
                    "/api/locker/kit-searches",
                    "{\"comparison\": {" + RUN + ", " + ASKED
                            + "}, \"lengthM\": 5, \"radio\": {\"connectorKey\": \"n\", \"gender\": \"SOCKET\"}, \"mostPieces\": 3}"),
            new Target(
                    "POST",
                    "/api/locker/length-sets",
                    "{\"sites\": [{\"name\": \"a\", \"lengthM\": 5, \"visits\": 2}, {\"name\": \"b\", \"lengthM\": 12}], \"cableKey\": \"rg-58\", \"connectorKey\": \"n\", \"frequencyMHz\": 145, \"stepM\": 1, \"mostPieces\": 2}"),
            new Target(
                    "POST",
                    "/api/locker/cut-plans",
                    "{\"cuts\": [{\"name\": \"a\", \"lengthM\": 31, \"count\": 2}], \"reels\": [{\"name\": \"b\", \"lengthM\": 60}], \"soldInM\": 100, \"allowances\": {\"eachEndM\": 0.1}}"),
            new Target("GET", "/api/locker/pieces", ""),
            new Target("GET", LOCKED, ""),
            new Target("DELETE", LOCKED, ""),
            new Target("GET", "/api/locker/due.ics", ""),
            new Target("GET", PLAN_PATH, ""),
            new Target("DELETE", PLAN_PATH, ""),
            new Target("POST", PLAN_PATH + "/restore", ""),
            new Target("GET", "/api/cable-types/rg-58", ""),
            new Target("GET", "/api/cable-types/rg-58/revisions", ""),
            new Target("POST", PLAN_PATH + "/decisions/00000000-0000-4000-8000-00000000abce/withdrawal", ""),
            new Target("GET", PLAN_PATH + "/decisions", ""),
            new Target("GET", "/api/plans/bin", ""),
            new Target("DELETE", "/api/plans/demo", ""),
            new Target("GET", "/api/settings", ""),
            new Target("GET", "/api/cable-types", ""),
            new Target("GET", "/api/connectors", ""),
            new Target("GET", "/api/plans", ""));

    private static final List<String> NASTY = List.of(
            "null",
            "-1",
            "0",
            "1e308",
            "-1e308",
            "1e-308",
            "1e999",
            "NaN",
            "99999999999999999999",
            "0.1",
            "\"\"",
            "\"\\u0000\"",
            "\"\\ud800\"",
            "\"'; drop table plan; --\"",
            "[]",
            "{}",
            "[[[[[[[[]]]]]]]]",
            "true",
            "{\"a\": {\"a\": {\"a\": 1}}}",
            "\"" + "x".repeat(5000) + "\"",
            "1000",
            "9999",
            "29999",
            "1.0000000001");

    @Test
    void nothingComesOutThatShouldNot(Api api) {
        Random random = new Random(20261124);
        for (int i = 0; i < REQUESTS; i++) {
            Target target = TARGETS.get(random.nextInt(TARGETS.size()));
            String body = target.body();
            for (int times = random.nextInt(4); times >= 0 && !body.isEmpty(); times--) {
                body = random.nextInt(3) == 0 ? damaged(body, random) : withNastyValue(body, random);
            }
            Api.Answer answer = api.send(api.request(path(target, random))
                    .header("Content-Type", "application/json")
                    .method(target.method(), HttpRequest.BodyPublishers.ofString(body)));
            String told = "%d: %s %s answered %d: %s"
                    .formatted(
                            i,
                            target.method(),
                            target.path(),
                            answer.status(),
                            answer.response().body());
            assertThat(answer.status()).as(told + " to " + body).isLessThan(500);
            assertThat(answer.response().body())
                    .as(told)
                    .doesNotContain("NaN\":", ":NaN", "Infinity,", "\tat ", "java.lang", "org.eskiz", "org.hibernate");
        }
    }

    private static String path(Target target, Random random) {
        return random.nextInt(12) == 0 ? target.path() + "/%00%2e%2e%2f?a=" + random.nextInt() : target.path();
    }

    /** Puts something else in the place of one value. */
    private static String withNastyValue(String body, Random random) {
        int from = body.indexOf(": ", random.nextInt(body.length()));
        if (from < 0) {
            return body;
        }
        int to = from + 2;
        while (to < body.length() && ",}]".indexOf(body.charAt(to)) < 0) {
            to++;
        }
        return body.substring(0, from + 2) + NASTY.get(random.nextInt(NASTY.size())) + body.substring(to);
    }

    /** Takes something out, or puts something in twice. */
    private static String damaged(String body, Random random) {
        int at = random.nextInt(body.length());
        int length = Math.min(random.nextInt(12), body.length() - at);
        String piece = body.substring(at, at + length);
        return random.nextBoolean()
                ? body.substring(0, at) + body.substring(at + length)
                : body.substring(0, at) + piece + body.substring(at);
    }
}
