package org.eskiz.server.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.UUID;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** One cable in a plan's run, told the same wherever it is told; and what it costs in the operator's money. */
@ExtendWith(RealServer.class)
class CableInRunOverHttpTest {

    private static final String RUN = """
            "assessment": {"radio": {"powerW": 100}, "run": [
              {"id": "j", "kind": "JOINT", "connectorKey": "n"},
              {"id": "l", "kind": "LINE", "cableKey": "rg-58", "lengthM": 30, "candidate": true},
              {"id": "d", "kind": "DEVICE", "name": "arrestor", "lossDb": 0.1},
              {"id": "k", "kind": "JOINT", "connectorKey": "n"}],
              "bands": [{"id": "a", "name": "20 m", "frequencyMHz": 14.2, "load": {"swr": 1}},
                        {"id": "b", "name": "70 cm", "frequencyMHz": 433, "load": {"swr": 1}}]},
            "requirements": [{"kind": "LEAST_PERCENT", "percent": 50}]""";

    private final UUID id = UUID.randomUUID();
    private String settings;

    @BeforeEach
    void rememberTheSettings(Api api) {
        settings = api.get("/api/settings").expect(200).response().body();
    }

    @AfterEach
    void leaveTheSettingsAsTheyWere(Api api) {
        String version =
                api.get("/api/settings").expect(200).json().get("version").toString();
        api.put("/api/settings", settings.replaceFirst("\"version\":\\d+", "\"version\":" + version))
                .expect(200);
        api.delete("/api/plans/" + id).expect(204);
    }

    @Test
    void aPlanFollowsItsLedgerUntilACableIsPicked(Api api) {
        store(api, "");
        JsonNode suggested = inRun(api, "");
        assertThat(suggested.get("standing").asString()).isEqualTo("SUGGESTED");
        assertThat(suggested.get("row").get("verdict").asString()).isEqualTo("PASS");
        assertThat(suggested.get("row").get("id").asString()).isNotEqualTo("rg-58");
        assertThat(suggested.get("assessment").get("run").get(1).get("cableKey").asString())
                .isEqualTo(suggested.get("row").get("id").asString());
        assertListed(api, suggested);
        String first = suggested.get("row").get("id").asString();
        assertThat(isMovedBy(api, first)).isTrue();
        assertThat(isMovedBy(api, "rg-58")).isFalse();

        save(api, 0, ", \"picked\": true");
        JsonNode picked = inRun(api, "");
        assertThat(picked.get("standing").asString()).isEqualTo("PICKED");
        assertThat(picked.get("row").get("id").asString()).isEqualTo("rg-58");
        assertThat(picked.get("row").get("decidingBand").asInt()).isEqualTo(1);
        assertListed(api, picked);
        assertThat(isMovedBy(api, first)).isFalse();
        assertThat(isMovedBy(api, "rg-58")).isTrue();

        save(api, 1, ", \"picked\": false");
        assertThat(inRun(api, "").get("row").get("id"))
                .isEqualTo(suggested.get("row").get("id"));
    }

    /** Whether the plan is among those that a change of a type moves. */
    private boolean isMovedBy(Api api, String key) {
        return api.post("/api/plans/effects", """
                        {"key": "%s", "cable": {"impedanceOhm": 50, "velocityFactor": 0.66, "attenuation": {"points": [
                          {"frequencyMHz": 100, "attenuationDbPer100m": 9.9}]}}}""".formatted(key))
                .expect(200)
                .json()
                .valueStream()
                .anyMatch(e -> e.get("planId").asString().equals(id.toString()));
    }

    @Test
    void aChoiceInADocumentOfAnEarlierVersionLaysItsCable(Api api) {
        store(api, "");
        api.post(
                        "/api/plans/" + id + "/decisions",
                        "{\"id\": \"%s\", \"planVersion\": 0, \"rowId\": \"rg-58\", \"reason\": \"it is here\"}"
                                .formatted(UUID.randomUUID()))
                .expect(201);
        JsonNode chosen = inRun(api, "");
        assertThat(chosen.get("standing").asString()).isEqualTo("CHOSEN");
        assertThat(chosen.get("row").get("id").asString()).isEqualTo("rg-58");
        assertListed(api, chosen);
    }

    @Test
    void anotherRowIsToldBesideItAndOneThatIsNoneRefused(Api api) {
        store(api, "");
        JsonNode other = inRun(api, "?rowId=rg-213");
        assertThat(other.get("standing").isNull()).isTrue();
        assertThat(other.get("row").get("id").asString()).isEqualTo("rg-213");
        assertThat(other.get("bands").get(0).get("elements")).hasSize(4);
        api.get("/api/plans/" + id + "/in-run?rowId=hosepipe").expectProblem(422);
        api.get("/api/plans/" + UUID.randomUUID() + "/in-run").expectProblem(404);
    }

    @Test
    void aRunWhoseCablesAllStayIsSpokenOfByItsLongestLine(Api api) {
        api.post("/api/plans", body("", RUN.replace(", \"candidate\": true", "")))
                .expect(201);
        JsonNode stays = inRun(api, "");
        assertThat(stays.get("standing").asString()).isEqualTo("PICKED");
        assertThat(stays.get("row").get("id").asString()).isEqualTo("rg-58");
    }

    @Test
    void samplesAreInTheOperatorsCurrencyAndPricesOfTheirOwnStandInPlaceOfThem(Api api) {
        store(api, ", \"picked\": true");
        JsonNode sample = inRun(api, "").get("row");
        double cable = price(api);
        // 30 m, two plugs; the arrestor has no price
        assertThat(sample.get("cost").get("amount").asDouble()).isCloseTo(30 * cable + 2 * 5.5, within(1e-9));
        assertThat(sample.get("cost").get("samples")).isEmpty();
        assertThat(sample.get("notInCost")).hasSize(1);
        assertThat(sample.get("notInCost").get(0).get("name").asString()).isEqualTo("arrestor");

        set(api, "\"currency\":\"EUR\"", "\"currency\":\"USD\"");
        assertThat(inRun(api, "").get("row").get("cost").get("currency").asString())
                .isEqualTo("USD");

        own(api, "USD");
        JsonNode own = inRun(api, "").get("row");
        assertThat(own.get("cost").get("amount").asDouble()).isCloseTo(30 * 2.25 + 2 * 5.5, within(1e-9));
        assertThat(own.get("cost").get("samples").get(0).asString()).isEqualTo("N");
        assertThat(type(api).get("priceIsSample").asBoolean()).isFalse();
        assertThat(type(api).get("pricedOn").asString()).isEqualTo("2030-05-04");
    }

    @Test
    void whatHasOneNameAndTwoCurrenciesStandsTwiceOnTheList(Api api) {
        String arrestor =
                "{\"kind\": \"DEVICE\", \"name\": \"arrestor\", \"lossDb\": 0.1, \"price\": {\"amount\": %s}}";
        String run = """
                {"comparison": {"radio": {"powerW": 100}, "run": [
                  {"kind": "LINE", "cableKey": "rg-58", "lengthM": 30, "candidate": true, "owned": true},
                  %s, %s, %s],
                  "bands": [{"frequencyMHz": 14.2, "load": {"swr": 1}}]}, "rowId": "rg-213"}""".formatted(
                        arrestor.formatted("30, \"currency\": \"EUR\""),
                        arrestor.formatted("40, \"currency\": \"EUR\""),
                        arrestor.formatted("50, \"currency\": \"USD\""));
        JsonNode sheet = api.post("/api/run-sheets", run).expect(200).json();
        assertThat(sheet.get("toBuy")).hasSize(3);
        assertThat(sheet.get("toBuy").get(1).get("needed").asDouble()).isEqualTo(2);
        assertThat(sheet.get("toBuy").get(1).get("cost").get("amount").asDouble())
                .isEqualTo(70);
        assertThat(sheet.get("toBuy").get(2).get("cost").get("currency").asString())
                .isEqualTo("USD");
        // another cable in the place of one that is owned has to be cut
        assertThat(sheet.get("cuts").get(0).get("isOwned").asBoolean()).isFalse();
        store(api, "");
    }

    @Test
    void aFileCarriesThePricesThatAreStoredWhateverTheOperatorPays(Api api) {
        store(api, ", \"picked\": true");
        String before = file(api);
        set(api, "\"currency\":\"EUR\"", "\"currency\":\"USD\"");
        own(api, "USD");
        assertThat(file(api)).isEqualTo(before);
    }

    @Test
    void aPriceInAnotherCurrencyIsNamedAndNotAddedUp(Api api) {
        store(api, ", \"picked\": true");
        own(api, "GBP");
        JsonNode row = inRun(api, "").get("row");
        assertThat(row.get("cost").isNull()).isTrue();
        JsonNode elsewhere = row.get("notInCost").get(0);
        assertThat(elsewhere.get("kind").asString()).isEqualTo("CABLE");
        assertThat(elsewhere.get("elsewhere").get("currency").asString()).isEqualTo("GBP");
        assertThat(elsewhere.get("elsewhere").get("amount").asDouble()).isCloseTo(67.5, within(1e-9));
    }

    private String file(Api api) {
        return api.get("/api/transfers/plans/" + id)
                .expect(200)
                .json()
                .get("cableTypes")
                .toString();
    }

    private void own(Api api, String currency) {
        set(
                api,
                "\"ownPrices\":\\[\\]",
                "\"ownPrices\":[{\"of\":\"CABLE\",\"key\":\"rg-58\",\"amount\":2.25,\"currency\":\"%s\",\"pricedOn\":\"2030-05-04\"}]"
                        .formatted(currency));
    }

    private static void set(Api api, String from, String to) {
        String now = api.get("/api/settings").expect(200).response().body();
        assertThat(now).containsPattern(from);
        api.put("/api/settings", now.replaceFirst(from, to)).expect(200);
    }

    private static double price(Api api) {
        return type(api).get("pricePerM").asDouble();
    }

    private static JsonNode type(Api api) {
        return api.get("/api/cable-types/rg-58").expect(200).json();
    }

    private void store(Api api, String more) {
        api.post("/api/plans", body(more, RUN)).expect(201);
    }

    private void save(Api api, int version, String more) {
        api.put("/api/plans/" + id, body(more, RUN).replaceFirst("\\{", "{\"version\": " + version + ", "))
                .expect(200);
    }

    private String body(String more, String run) {
        return "{\"id\": \"%s\", \"site\": \"Quay\", \"name\": \"One truth\", \"document\": {\"schemaVersion\": 1, %s%s}}"
                .formatted(id, run, more);
    }

    private JsonNode inRun(Api api, String query) {
        return api.get("/api/plans/" + id + "/in-run" + query).expect(200).json();
    }

    /** The list tells of the same cable, on the band that decides. */
    private void assertListed(Api api, JsonNode inRun) {
        JsonNode plan = api.get("/api/plans?ids=" + id).expect(200).json().get(0);
        JsonNode sketch = plan.get("sketch");
        assertThat(sketch.get("cableName")).isEqualTo(inRun.get("row").get("name"));
        assertThat(sketch.get("standing")).isEqualTo(inRun.get("standing"));
        assertThat(sketch.get("verdict")).isEqualTo(inRun.get("row").get("verdict"));
        JsonNode band =
                inRun.get("bands").get(inRun.get("row").get("decidingBand").asInt());
        assertThat(sketch.get("bandName")).isEqualTo(band.get("name"));
        assertThat(sketch.get("totalLossDb")).isEqualTo(band.get("totalLossDb"));
    }
}
