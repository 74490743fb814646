package org.eskiz.server.comparison;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** A catalogue of hundreds of own types: a ledger that can be read, and that says what it leaves out. */
@ExtendWith(RealServer.class)
class ManyCablesOverHttpTest {

    private static final String HEAD = "key,name,family,provenance,impedance_ohm,velocity_factor,outer_diameter_mm,"
            + "min_install_c,price_per_m,price_currency,note,points\n";

    private static final String ASKED = """
            {"radio": {"powerW": 100}, "bands": [{"frequencyMHz": 145, "load": {"swr": 1.5}}],
             "run": [{"kind": "LINE", "cableKey": "%s", "lengthM": 20, "candidate": true}],
             "requirements": [{"kind": "LEAST_PERCENT", "percent": 50}], "preference": "LEAST_LOSS"%s}""";

    private static String importId;

    @BeforeAll
    static void manyTypes(Api api) {
        String types = IntStream.range(0, 230)
                .mapToObj(i -> "heap-%1$d,Heap %1$d,heap,SHEET,%2$d,0.8,7,,,,,%3$s\n"
                        .formatted(
                                i,
                                i < 30 ? 75 : 50,
                                i >= 30 && i < 40 ? "1:0.4 30:2.3" : "100:%d 1000:40".formatted(7 + i % 9)))
                .collect(Collectors.joining());
        importId = api.post(
                        "/api/catalogue/imports",
                        JsonMapper.shared().writeValueAsString(Map.of("fileName", "heap.csv", "text", HEAD + types)))
                .expect(201)
                .json()
                .get("importId")
                .asString();
    }

    @AfterAll
    static void asBefore(Api api) {
        api.delete("/api/catalogue/imports/" + importId).expect(204);
    }

    private static JsonNode ledger(Api api, String cable, String more) {
        return api.post("/api/comparisons", ASKED.formatted(cable, more))
                .expect(200)
                .json();
    }

    private static List<String> ids(JsonNode ledger) {
        return ledger.get("rows").valueStream().map(r -> r.get("id").asString()).toList();
    }

    @Test
    void theFirstHundredAreShownAndTheRestIsCounted(Api api) {
        JsonNode ledger = ledger(api, "rg-58", "");
        JsonNode leftOut = ledger.get("leftOut");
        assertThat(leftOut.get("otherImpedance").asInt()).isGreaterThanOrEqualTo(30);
        assertThat(leftOut.get("sheetEndsBelow").asInt()).isGreaterThanOrEqualTo(10);
        assertThat(leftOut.get("behind").asInt()).isPositive();
        assertThat(ids(ledger)).contains("rg-58").doesNotContain("heap-3", "heap-33");
        assertThat(ids(ledger)).hasSizeBetween(100, 110);
        int offered = (int) api.get("/api/cable-types")
                .expect(200)
                .json()
                .valueStream()
                .filter(t -> !t.get("retired").asBoolean())
                .count();
        assertThat(ids(ledger).size()
                        + leftOut.get("otherImpedance").asInt()
                        + leftOut.get("sheetEndsBelow").asInt()
                        + leftOut.get("behind").asInt())
                .isEqualTo(offered);
    }

    @Test
    void whatStandsInTheRunHasARowWhateverItIs(Api api) {
        JsonNode ledger = ledger(api, "heap-3", "");
        assertThat(ledger.get("presentRowId").asString()).isEqualTo("heap-3");
        assertThat(ids(ledger)).contains("heap-3");
    }

    @Test
    void aNameIsLookedForAmongAllOfThem(Api api) {
        JsonNode found = ledger(api, "rg-58", ", \"find\": \"Heap 3\"");
        assertThat(ids(found)).contains("heap-3", "heap-33", "rg-58").doesNotContain("heap-4");
        assertThat(found.get("leftOut").isNull()).isTrue();
    }

    @Test
    void aCableOfThePlanStandsBesideTheWholeCatalogue(Api api) {
        JsonNode ledger = ledger(api, "rg-58", """
                , "wholeCatalogue": true, "candidates": [{"id": "mine", "name": "Mine", "cable": {
                  "impedanceOhm": 75, "velocityFactor": 0.8, "attenuation": {"points": [{"frequencyMHz": 145, "attenuationDbPer100m": 30}]}}}]""");
        assertThat(ids(ledger)).contains("mine").hasSizeGreaterThanOrEqualTo(100);
    }

    @Test
    void aPlanIsDrawnAndARowThatIsNotShownCanBeChosen(Api api) {
        UUID plan = UUID.randomUUID();
        api.post("/api/plans", """
                {"id": "%s", "site": "Heap", "name": "%s", "document": {"schemaVersion": 1, "assessment": {
                 "radio": {"powerW": 100}, "bands": [{"frequencyMHz": 145, "load": {"swr": 1.5}}],
                 "run": [{"kind": "LINE", "cableKey": "rg-58", "lengthM": 20, "candidate": true}]}}}""".formatted(plan, plan)).expect(201);
        JsonNode listed = api.get("/api/plans?find=" + plan).expect(200).json().get(0);
        assertThat(listed.get("sketch").isNull()).isFalse();
        api.post("/api/plans/" + plan + "/decisions", """
                {"id": "%s", "planVersion": 0, "rowId": "heap-3", "reason": "it lies there"}""".formatted(UUID.randomUUID()))
                .expect(201);
    }
}
