package org.eskiz.server.comparison;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;

/** What a choice rests on beside the watts: reach, reception, the field near the antenna. */
@ExtendWith(RealServer.class)
class ChoosingOverHttpTest {

    @TestFactory
    Stream<DynamicTest> everyReferencePenalty(Api api) throws IOException {
        return cases("receive-cases.json")
                .map(c -> DynamicTest.dynamicTest(c.get("frequencyMHz") + " MHz", () -> penalty(api, c)));
    }

    private static void penalty(Api api, JsonNode c) {
        String body = """
                {"receiver": {"environment": "%s", "noiseFigureDb": %s, "antennaTemperatureK": %s},
                 "run": [{"kind": "DEVICE", "lossDb": %s}], "bands": [{"frequencyMHz": %s, "load": {"swr": 1}}]}""".formatted(
                        c.get("environment").asString(),
                        c.get("noiseFigureDb"),
                        c.get("antennaTemperatureK"),
                        c.get("runLossDb"),
                        c.get("frequencyMHz"));
        JsonNode band = api.post("/api/assessments", body)
                .expect(200)
                .json()
                .get("bands")
                .get(0);
        double expected = c.get("snrLossDb").asDouble();
        assertThat(band.get("receivePenaltyDb").asDouble()).isCloseTo(expected, within(1e-9 * expected + 1e-12));
        assertThat(band.get("near").isNull()).isTrue();
    }

    @Test
    void nearTheAntennaStandsWhatIsRadiatedAndHowFarToKeepAway(Api api) {
        String body = """
                {"radio": {"powerW": 100, "duty": 0.5}, "exposure": {"limits": "FCC_1_1310", "transmitting": 1, "groundFactor": 1},
                 "run": [], "bands": [{"frequencyMHz": 145, "load": {"swr": 1}, "antennaGainDbi": 10}, {"frequencyMHz": 0.2, "load": {"swr": 1}}]}""";
        JsonNode bands = api.post("/api/assessments", body).expect(200).json().get("bands");
        JsonNode near = bands.get(0).get("near");
        assertThat(near.get("eirpW").asDouble()).isCloseTo(1000, within(1e-9));
        assertThat(near.get("distanceM").asDouble()).isCloseTo(Math.sqrt(500 / (4 * Math.PI * 2)), within(1e-9));
        assertThat(bands.get(1).get("near").get("distanceM").isNull()).isTrue();
        assertThat(bands.get(1).get("receivePenaltyDb").isNull()).isTrue();
    }

    @TestFactory
    Stream<DynamicTest> everyReferenceReach(Api api) throws IOException {
        return cases("reach-cases.json")
                .map(c -> DynamicTest.dynamicTest(c.get("name").asString(), () -> reach(api, c)));
    }

    private static void reach(Api api, JsonNode c) {
        JsonNode cable = c.get("candidate");
        String line = """
                {"kind": "LINE", "candidate": true, "lengthM": 5, "cable": {"impedanceOhm": %s, "velocityFactor": %s, "attenuation": %s}}""".formatted(cable.get("impedanceOhm"), cable.get("velocityFactor"), cable.get("attenuation"));
        String run = Stream.of(elements(c.get("before")), Stream.of(line), elements(c.get("after")))
                .flatMap(s -> s)
                .reduce((a, b) -> a + ", " + b)
                .orElseThrow();
        String body = """
                {"radio": {"powerW": %s}, "run": [%s], "bands": [{"frequencyMHz": %s, "load": %s}], "reach": true,
                 "candidates": [{"cableKey": "rg-58"}], "requirements": [{"kind": "LEAST_POWER", "powerW": %s}]}""".formatted(
                        c.get("radioPowerW"), run, c.get("frequencyMHz"), c.get("load"), c.get("leastPowerAtAntennaW"));
        JsonNode ledger = api.post("/api/comparisons", body).expect(200).json();
        String present = ledger.get("presentRowId").asString();
        JsonNode row = StreamSupport.stream(ledger.get("rows").spliterator(), false)
                .filter(r -> r.get("id").asString().equals(present))
                .findFirst()
                .orElseThrow();
        JsonNode reach = row.get("reach").get(0);
        double expected = c.get("reachM").asDouble();
        assertThat(reach.get("lengthM").asDouble()).isCloseTo(expected, within(1e-6 * expected));
    }

    private static final String RUN = """
            "radio": {"powerW": 100, "matching": "NONE", "duty": 0.25},
            "run": [{"id": "j1", "kind": "JOINT", "connectorKey": "n"},
                    {"id": "main", "kind": "LINE", "cableKey": "rg-213", "lengthM": 30, "candidate": true},
                    {"id": "j2", "kind": "JOINT", "connectorKey": "n"}],
            "bands": [{"id": "a", "name": "20 m", "frequencyMHz": 14.2, "load": {"swr": 1.5}, "matching": "AT_RADIO"},
                      {"id": "b", "name": "2 m", "frequencyMHz": 145, "load": {"swr": 1.5}, "antennaGainDbi": 6}]""";

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "MOST_S_UNITS | \"sUnits\": 0.1, \"bandId\": \"b\" | 0.1",
                "WITHIN_GAIN | \"bandId\": \"b\" | 0",
                "MOST_RECEIVE_PENALTY | \"penaltyDb\": 0.01 | 0.01",
                "LEAST_POWER_MARGIN | \"margin\": 900 | 900",
                "LEAST_VOLTAGE_MARGIN | \"margin\": 900 | 900",
                "BUDGET | \"cost\": 10, \"currency\": \"EUR\" | 10",
                "MOST_MASS | \"massKg\": 0.5 | 0.5",
                "MOST_MASS_ON_MAST | \"massKg\": 0.1, \"mastM\": 10 | 0.1",
                "DUCT_BORE | \"boreMm\": 6 | 6",
                "BEND_ONCE | \"radiusMm\": 20 | 20",
                "BEND_REPEATED | \"radiusMm\": 40 | 40",
                "COLDEST_UNROLLING | \"temperatureC\": -25 | -25"
            })
    void everyKindIsJudgedWithItsNumber(String kind, String number, double asked, Api api) {
        JsonNode reason = present(compare(api, kind, number))
                .get("reasons")
                .valueStream()
                .filter(r -> !r.get("requirement").isNull())
                .findFirst()
                .orElse(null);
        if (kind.equals("WITHIN_GAIN")) {
            assertThat(reason).isNull();
            return;
        }
        assertThat(reason.get("code").asString()).isEqualTo("MISSED");
        assertThat(reason.get("values").get("kind").asString()).isEqualTo(kind);
        assertThat(reason.get("values").get("asked").asDouble()).isEqualTo(asked);
        assertThat(reason.get("values").get("reached").isNumber()).isTrue();
    }

    @ParameterizedTest
    @CsvSource({
        "SUN, PASS",
        "WATER, FAIL",
        "BURIAL, FAIL",
        "REPEATED_FLEXING, PASS",
        "IMPEDANCE, PASS",
        "CONNECTORS, PASS"
    })
    void aPlainYesIsJudgedWithoutANumber(String kind, String verdict, Api api) {
        JsonNode row = present(compare(api, kind, null));
        assertThat(row.get("verdict").asString()).isEqualTo(verdict);
        row.get("reasons")
                .forEach(
                        r -> assertThat(r.get("values").get("reached").isNull()).isTrue());
        row.get("reasons").forEach(r -> assertThat(r.get("band").isNull()).isTrue());
    }

    @Test
    void theConnectorsMustMeetTheSocketsOfRadioAndAntenna(Api api) {
        String both = "\"radioSocketKey\": \"n\", \"antennaSocketKey\": \"%s\"";
        assertThat(present(compare(api, "CONNECTORS", both.formatted("n")))
                        .get("verdict")
                        .asString())
                .isEqualTo("PASS");
        assertThat(present(compare(api, "CONNECTORS", both.formatted("uhf")))
                        .get("verdict")
                        .asString())
                .isEqualTo("FAIL");
        refused(api, "{\"kind\": \"CONNECTORS\", \"radioSocketKey\": \"none\"}", "requirements[0].radioSocketKey");
    }

    @Test
    void whatIsPutAsideIsNotJudged(Api api) {
        assertThat(present(compare(api, "BUDGET", "\"cost\": 1, \"off\": true"))
                        .get("verdict")
                        .asString())
                .isEqualTo("PASS");
    }

    @Test
    void whatIsAskedMustFitItsKind(Api api) {
        refused(api, "{\"kind\": \"DUCT_BORE\", \"boreMm\": 20, \"massKg\": 2}", "requirements[0]");
        refused(api, "{\"kind\": \"SUN\", \"boreMm\": 20}", "requirements[0]");
        refused(api, "{\"kind\": \"MOST_MASS_ON_MAST\", \"massKg\": 2}", "requirements[0].mastM");
        refused(api, "{\"kind\": \"SUN\", \"bandId\": \"b\"}", "requirements[0].bandId");
        refused(api, "{\"kind\": \"MOST_LOSS\", \"lossDb\": 1, \"bandId\": \"nowhere\"}", "requirements[0].bandId");
        refused(api, "{\"kind\": \"BUDGET\", \"cost\": 20, \"currency\": \"euro\"}", "requirements[0].currency");
        refused(api, "{\"kind\": \"LEAST_POWER\", \"powerW\": 0}", "requirements[0].powerW");
    }

    @Test
    void figuresTypicalOfATypeMayBeTenPercentOff(Api api) {
        String details = ", \"details\": [{\"rowId\": \"rg-213\", \"band\": 1}]";
        JsonNode detail = ledger(api, details).get("details").get(0);
        double lossDb = detail.get("assessment").get("totalLossDb").asDouble();
        double mostDb = detail.get("atTolerance").get("mostDb").asDouble();
        assertThat(mostDb / lossDb).isBetween(1.05, 1.1);
        double between = (lossDb + mostDb) / 2;
        String asked = ", \"requirements\": [{\"kind\": \"MOST_LOSS\", \"lossDb\": %s}]".formatted(between);
        JsonNode unsure = row(ledger(api, asked), "rg-213");
        assertThat(unsure.get("reasons").get(0).get("code").asString()).isEqualTo("MISSED_AT_TOLERANCE");
        JsonNode sure = row(ledger(api, asked + ", \"tolerance\": {\"typicalPercent\": 0}"), "rg-213");
        assertThat(sure.get("reasons").get(0).get("code").asString()).isEqualTo("LITTLE_TO_SPARE");
    }

    @Test
    void fourRunsCostFourTimesAndEndsMayBeReadyMade(Api api) {
        double once = row(ledger(api, ""), "foam-10").get("cost").get("amount").asDouble();
        JsonNode four = row(
                ledger(api, ", \"purchase\": {\"times\": 4, \"readyMadeEnd\": {\"amount\": 9, \"currency\": \"EUR\"}}"),
                "foam-10");
        assertThat(once).isCloseTo(3.6 * 30 + 2 * 5.5, within(1e-9));
        assertThat(four.get("cost").get("amount").asDouble()).isCloseTo(4 * (3.6 * 30 + 2 * 9), within(1e-9));
        assertThat(four.get("mass").get("totalKg").asDouble()).isCloseTo(4 * 30 * 0.101, within(1e-9));
    }

    @Test
    void whenNothingGetsThroughItIsSaidWhatToAskLessOf(Api api) {
        JsonNode ledger = ledger(
                api,
                ", \"requirements\": [{\"kind\": \"LEAST_PERCENT\", \"percent\": 80, \"bandId\": \"b\"}, {\"kind\": \"BUDGET\", \"cost\": 30}]");
        JsonNode ways = ledger.get("relaxations");
        assertThat(ways).isNotEmpty();
        JsonNode eased = ways.get(0).get("eased").get(0);
        String to =
                ", \"requirements\": [{\"kind\": \"LEAST_PERCENT\", \"percent\": %s, \"bandId\": \"b\"}, {\"kind\": \"BUDGET\", \"cost\": %s}]";
        boolean isBudget = eased.get("kind").asString().equals("BUDGET");
        JsonNode then = ledger(api, to.formatted(isBudget ? 80 : eased.get("to"), isBudget ? eased.get("to") : 30));
        assertThat(then.get("relaxations")).isEmpty();
        assertThat(row(then, ways.get(0).get("rowId").asString()).get("verdict").asString())
                .isNotEqualTo("FAIL");
    }

    @Test
    void theLadderOfValueStandsOnWhatCosts(Api api) {
        JsonNode ladder =
                ledger(api, ", \"value\": {\"band\": 1, \"worthPerDb\": 20}").get("ladder");
        assertThat(ladder.get("currency").asString()).isEqualTo("EUR");
        // every line of known price has its place, whatever its impedance
        assertThat(ladder.get("points")).hasSize(24);
        double before = 0;
        for (JsonNode step : ladder.get("steps")) {
            double perDb =
                    step.get("costPerDb").isNull() ? 0 : step.get("costPerDb").asDouble();
            assertThat(perDb).isGreaterThanOrEqualTo(before);
            before = perDb;
        }
        JsonNode knee = ladder.get("steps").get(ladder.get("knee").asInt());
        assertThat(knee.get("costPerDb").asDouble()).isLessThanOrEqualTo(20);
        assertThat(ledger(api, "").get("ladder").isNull()).isTrue();
        api.post("/api/comparisons", "{" + RUN + ", \"value\": {\"band\": 2}}").expect(422);
    }

    @Test
    void whatWouldChangeTheAnswer(Api api) {
        String asked = ", \"requirements\": [{\"kind\": \"LEAST_POWER\", \"powerW\": 60, \"bandId\": \"b\"}]";
        JsonNode changes = api.post(
                        "/api/comparisons/changes",
                        "{\"comparison\": {%s%s}, \"rowId\": \"airspaced-10\", \"band\": 1}".formatted(RUN, asked))
                .expect(200)
                .json();
        assertThat(changes.get("shortening").get("toM").asDouble()).isBetween(5.0, 30.0);
        assertThat(changes.get("shortening").get("row").get("id").asString())
                .isEqualTo(changes.get("nextCheaper").get("id").asString());
        assertThat(changes.get("farthest").get("lengthM").asDouble()).isGreaterThan(30);
        assertThat(changes.get("highest").get("frequencyMHz").asDouble()).isGreaterThan(145);
        assertThat(changes.get("stepUp").get("powerInsteadW").asDouble()).isGreaterThan(100);
        assertThat(changes.get("matchingMoved").get("to").asString()).isEqualTo("AT_ANTENNA");
        api.post("/api/comparisons/changes", "{\"comparison\": {%s}, \"rowId\": \"none\", \"band\": 7}".formatted(RUN))
                .expect(422);
    }

    @Test
    void mixesTakeTwoSections(Api api) {
        String asked =
                ", \"requirements\": [{\"kind\": \"BEND_REPEATED\", \"radiusMm\": 60}, {\"kind\": \"LEAST_POWER\", \"powerW\": 70, \"bandId\": \"b\"}]";
        api.post("/api/mixes", "{\"comparison\": {%s%s}}".formatted(RUN, asked)).expect(422);
        String two = RUN.replace(
                "{\"id\": \"j2\"",
                "{\"id\": \"tail\", \"kind\": \"LINE\", \"cableKey\": \"rg-58\", \"lengthM\": 3, \"candidate\": true}, {\"id\": \"j2\"");
        JsonNode mixes = api.post("/api/mixes", "{\"comparison\": {%s%s}}".formatted(two, asked))
                .expect(200)
                .json();
        assertThat(mixes.get("proven").asBoolean()).isTrue();
        JsonNode best = mixes.get("rows").get(0);
        assertThat(best.get("verdict").asString()).isNotEqualTo("FAIL");
        assertThat(best.get("assignment")).hasSize(2);
        // what stands there now is a row too, though its two sections differ
        JsonNode ledger = api.post(
                        "/api/comparisons", "{" + two + ", \"details\": [{\"rowId\": \"rg-213+rg-58\", \"band\": 1}]}")
                .expect(200)
                .json();
        assertThat(ledger.get("presentRowId").asString()).isEqualTo("rg-213+rg-58");
        assertThat(row(ledger, "rg-213+rg-58").get("name").asString()).isEqualTo("RG-213 + RG-58");
        double sum =
                ledger.get("details").get(0).get("assessment").get("runLossDb").asDouble();
        double straight = api.post("/api/assessments", "{" + two + "}")
                .expect(200)
                .json()
                .get("bands")
                .get(1)
                .get("runLossDb")
                .asDouble();
        assertThat(sum).isEqualTo(straight);
    }

    private static JsonNode compare(Api api, String kind, String number) {
        return ledger(
                api, ", \"requirements\": [{\"kind\": \"%s\"%s}]".formatted(kind, number == null ? "" : ", " + number));
    }

    private static void refused(Api api, String requirement, String path) {
        JsonNode problem = api.post("/api/comparisons", "{" + RUN + ", \"requirements\": [" + requirement + "]}")
                .expect(422)
                .json();
        assertThat(problem.get("errors").valueStream().map(e -> e.get("path").asString()))
                .contains(path);
    }

    private static JsonNode ledger(Api api, String more) {
        return api.post("/api/comparisons", "{" + RUN + more + "}").expect(200).json();
    }

    private static JsonNode present(JsonNode ledger) {
        return row(ledger, ledger.get("presentRowId").asString());
    }

    private static JsonNode row(JsonNode ledger, String id) {
        return ledger.get("rows")
                .valueStream()
                .filter(r -> r.get("id").asString().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static Stream<String> elements(JsonNode array) {
        return StreamSupport.stream(array.spliterator(), false).map(JsonNode::toString);
    }

    private static Stream<JsonNode> cases(String file) throws IOException {
        try (InputStream in = ChoosingOverHttpTest.class.getResourceAsStream("/reference/" + file)) {
            JsonNode cases = Api.parse(new String(in.readAllBytes(), StandardCharsets.UTF_8))
                    .get("cases");
            return StreamSupport.stream(cases.spliterator(), false);
        }
    }
}
