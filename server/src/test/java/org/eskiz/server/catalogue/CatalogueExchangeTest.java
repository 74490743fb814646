package org.eskiz.server.catalogue;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Cable types out into files and in again. */
@ExtendWith(RealServer.class)
class CatalogueExchangeTest {

    private static final String HEAD =
            "key,name,family,provenance,impedance_ohm,velocity_factor,outer_diameter_mm,min_install_c,price_per_m,price_currency,note,points\n";

    @AfterEach
    void offerThemNoMore(Api api) {
        api.get("/api/cable-types")
                .expect(200)
                .json()
                .valueStream()
                .filter(t -> !t.get("builtIn").asBoolean())
                .forEach(t -> api.post("/api/cable-types/" + t.get("key").asString() + "/retirement", "")
                        .expect(200));
    }

    @ParameterizedTest
    @ValueSource(strings = {"csv", "json"})
    void theWholeCatalogueGoesOutAndInAgainAndNothingIsLost(String form, Api api) {
        take(
                api,
                "odd.csv",
                HEAD + "odd-one-" + form
                        + ",\"'=1+1, \"\"quoted\"\"\",\"a\nb\",GUESSED,75,0.801,6.95,-20,0.123,GBP,'-x,10:2.25 1000:23.0625\n");
        String text =
                api.get("/api/catalogue/export." + form).expect(200).response().body();
        JsonNode rows = preview(api, "again." + form, text).get("rows");
        assertThat(rows.size()).isGreaterThanOrEqualTo(25);
        assertThat(rows.valueStream().map(r -> r.get("what").asString())).containsOnly("SAME");
        JsonNode odd = api.get("/api/cable-types/odd-one-" + form).expect(200).json();
        assertThat(odd.get("name").asString()).isEqualTo("=1+1, \"quoted\"");
        assertThat(odd.get("note").asString()).isEqualTo("-x");
    }

    /** The published schema says of a type what the interface does, and every field that is written is in it. */
    @Test
    void theSchemaIsThatOfTheInterface(Api api) {
        JsonNode schema = api.get("/api/catalogue/schema.json").expect(200).json();
        JsonNode described =
                api.get("/v3/api-docs").expect(200).json().get("components").get("schemas");
        for (String name : List.of("CableTypeRequest", "SheetPointRequest", "ConnectorRequest")) {
            String expected = described.get(name).toString().replace("#/components/schemas/", "#/$defs/");
            assertThat(schema.get("$defs").get(name)).as(name).isEqualTo(Api.parse(expected));
        }
        JsonNode file = api.get("/api/catalogue/export.json").expect(200).json();
        assertThat(file.get("schemaVersion").asInt())
                .isEqualTo(schema.get("properties")
                        .get("schemaVersion")
                        .get("const")
                        .asInt());
        JsonNode known = schema.get("$defs").get("CableTypeRequest").get("properties");
        file.get("cableTypes").forEach(type -> assertThat(type.propertyNames()).allMatch(known::has));
        JsonNode knownOfConnectors = schema.get("$defs").get("ConnectorRequest").get("properties");
        assertThat(file.get("connectors").size()).isGreaterThanOrEqualTo(8);
        file.get("connectors").forEach(c -> assertThat(c.propertyNames()).allMatch(knownOfConnectors::has));
    }

    private static final String CONNECTOR_HEAD =
            "key,name,impedance_ohm,c1_db_per_sqrt_mhz,c2_db_per_mhz2,max_mhz,peak_voltage_v,average_power_w,rated_at_mhz,watertight,fits_outer_diameter_mm,price,price_currency,priced_on,note\n";

    @Test
    void connectorsGoOutAndInAgainAndNothingIsLost(Api api) {
        String key = "quay-" + System.nanoTime();
        take(
                api,
                "plugs.csv",
                CONNECTOR_HEAD + key
                        + ",\"'=Quay, plug\",75,0.0123,1.5E-6,1300,700,250,144,yes,-7.5,1.25,GBP,2026-03-02,'+damp\n");
        String csv =
                api.get("/api/catalogue/connectors.csv").expect(200).response().body();
        assertThat(csv).contains("'=Quay").contains(",250,144,yes,-7.5,1.25,GBP,2026-03-02,'+damp");
        assertThat(whats(preview(api, "again.csv", csv))).containsOnly("SAME").hasSizeGreaterThanOrEqualTo(9);
        String json =
                api.get("/api/catalogue/export.json").expect(200).response().body();
        assertThat(whats(preview(api, "again.json", json))).containsOnly("SAME");
        api.post("/api/connectors/" + key + "/retirement", "").expect(200);
    }

    @Test
    void whatAFileBringsInConnectorsIsShownFirstAndTakenBackAfterwards(Api api) {
        String key = "pier-" + System.nanoTime();
        String first = CONNECTOR_HEAD + key + ",Pier plug,50,0.01,0,1000,500,,,no,any,3,EUR,,\n";
        JsonNode brought = take(api, "plugs.csv", first);
        String second = CONNECTOR_HEAD + key + ",Pier plug,50,0.02,0,1000,500,,,no,any,4,EUR,,\n"
                + "n,N of ours,50,0.02,0,1000,500,,,no,any,4,EUR,,\n"
                + ",Round thing,50,0.02,0,1000,500,,,no,seven,4,EUR,,\n"
                + ",Cold thing,50,-0.02,0,1000,500,,,no,any,4,EUR,,\n";
        JsonNode shown = preview(api, "plugs.csv", second);
        assertThat(whats(shown)).containsExactly("CHANGED", "REFUSED", "REFUSED", "REFUSED");
        JsonNode rows = shown.get("rows");
        assertThat(rows.get(0).get("part").asString()).isEqualTo("CONNECTOR");
        assertThat(rows.get(0).get("changed").valueStream().map(JsonNode::asString))
                .containsExactly("c1DbPerSqrtMHz", "price");
        assertThat(rows.get(2).get("why").asString()).contains("\"seven\" is no range such as 5-11");
        assertThat(rows.get(3).get("why").asString()).contains("-0.02");

        JsonNode changed = take(api, "plugs.csv", second);
        assertThat(connector(api, key).get("c1DbPerSqrtMHz").asDouble()).isEqualTo(0.02);
        undo(api, changed);
        assertThat(connector(api, key).get("c1DbPerSqrtMHz").asDouble()).isEqualTo(0.01);
        undo(api, brought);
        assertThat(connector(api, key).get("retired").asBoolean()).isTrue();
    }

    private static void undo(Api api, JsonNode taken) {
        api.delete("/api/catalogue/imports/" + taken.get("importId").asString()).expect(204);
    }

    private static JsonNode connector(Api api, String key) {
        return api.get("/api/connectors")
                .expect(200)
                .json()
                .valueStream()
                .filter(c -> c.get("key").asString().equals(key))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void aSpreadsheetIsNotTricked(Api api) {
        take(api, "trick.csv", HEAD + "trick,'=cmd(),@family,GUESSED,50,0.8,,,,,'+note,145:9\n");
        String line = api.get("/api/catalogue/export.csv?keys=trick")
                .expect(200)
                .response()
                .body()
                .lines()
                .toList()
                .get(1);
        assertThat(line).contains("'=cmd()").contains("'@family").contains("'+note");
        assertThat(line.split(",")).noneMatch(cell -> cell.matches("\"?[=+@].*"));
    }

    @Test
    void whatComesIsShownBeforeItIsStoredAndTakenBackAfterwards(Api api) {
        String first = HEAD + "slip-a,Slip A,mine,SHEET,50,0.8,7,-20,2,EUR,,100:6 1000:20\n"
                + "slip-b,Slip B,mine,SHEET,50,0.8,7,-20,2,EUR,,100:6 1000:20\n";
        assertThat(whats(preview(api, "a.csv", first))).containsExactly("NEW", "NEW");
        assertThat(api.get("/api/cable-types/slip-a").status()).isEqualTo(404);
        JsonNode taken = take(api, "a.csv", first);

        String second = HEAD + "slip-a,Slip A,mine,SHEET,50,0.8,7,-20,2.5,EUR,,100:6 1000:21\n"
                + "slip-b,Slip B,mine,SHEET,50,0.8,7,-20,2,EUR,,100:6 1000:20\n"
                + "rg-58,RG-58,mine,SHEET,50,0.9,7,-20,2,EUR,,100:6 1000:20\n"
                + "slip-c,Slip C,mine,SHEET,fifty,0.8,7,-20,2,EUR,,100:6\n"
                + "slip-d,,mine,SHEET,50,0.8,7,-20,2,EUR,,100:6\n"
                + "slip-e,Slip E,mine,SHEET,50,80,7,-20,2,EUR,,100:6\n"
                + "slip-f,Slip F,mine,SHEET,50,0.8,7,-20,2,EUR,,100;6\n"
                + "slip-g,Slip G\n";
        JsonNode shown = preview(api, "b.csv", second);
        assertThat(whats(shown))
                .containsExactly("CHANGED", "SAME", "REFUSED", "REFUSED", "REFUSED", "REFUSED", "REFUSED", "REFUSED");
        JsonNode rows = shown.get("rows");
        assertThat(rows.get(0).get("changed").valueStream().map(JsonNode::asString))
                .containsExactlyInAnyOrder("pricePerM", "points");
        assertThat(rows.get(2).get("why").asString()).contains("came with Eskiz");
        assertThat(rows.get(3).get("why").asString()).contains("impedance_ohm: \"fifty\" is not a number");
        assertThat(rows.get(3).get("line").asInt()).isEqualTo(5);
        assertThat(rows.get(4).get("why").asString()).contains("name");
        assertThat(rows.get(5).get("why").asString()).contains("velocity factor");
        assertThat(rows.get(6).get("why").asString()).contains("145:4.9");
        assertThat(rows.get(7).get("why").asString()).contains("2 cells, where the header has 12");

        JsonNode changed = take(api, "b.csv", second);
        assertThat(points(api, "slip-a")).isEqualTo(21);
        api.delete("/api/catalogue/imports/" + changed.get("importId").asString())
                .expect(204);
        api.delete("/api/catalogue/imports/" + changed.get("importId").asString())
                .expect(204);
        assertThat(points(api, "slip-a")).isEqualTo(20);
        api.delete("/api/catalogue/imports/" + taken.get("importId").asString()).expect(204);
        assertThat(api.get("/api/cable-types/slip-b")
                        .expect(200)
                        .json()
                        .get("retired")
                        .asBoolean())
                .isTrue();
        api.delete("/api/catalogue/imports/00000000-0000-4000-8000-000000000000")
                .expect(404);
    }

    @Test
    void onlyTheLinesWantedAreTakenAndARefusedOneStopsAll(Api api) {
        String text = HEAD + "part-a,Part A,mine,SHEET,50,0.8,7,,,,,100:6\n"
                + "part-b,Part B,mine,SHEET,50,0.8,7,,,,,100:6\n" + "part-c,Part C,mine,SHEET,0,0.8,7,,,,,100:6\n";
        api.post("/api/catalogue/imports", body("c.csv", text, ", \"lines\": [2, 4]"))
                .expect(422);
        assertThat(api.get("/api/cable-types/part-a").status()).isEqualTo(404);
        api.post("/api/catalogue/imports", body("c.csv", text, ", \"lines\": [2]"))
                .expect(201);
        assertThat(api.get("/api/cable-types/part-a").status()).isEqualTo(200);
        assertThat(api.get("/api/cable-types/part-b").status()).isEqualTo(404);
        api.post("/api/catalogue/imports", body("c.csv", text, ", \"lines\": [9]"))
                .expect(422);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "a,b\n1,2\n", "\u0001\u0002\u0003", "key,name\nx,y\n"})
    void whatIsNoCatalogueIsRefused(String text, Api api) {
        api.post("/api/catalogue/imports/preview", body("x.csv", text, "")).expectProblem(422);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "[]", "{\"schemaVersion\": 2, \"cableTypes\": []}", "{\"schemaVersion\": 1"})
    void whatIsNoCatalogueInJsonIsRefused(String text, Api api) {
        api.post("/api/catalogue/imports/preview", body("x.json", text, "")).expectProblem(422);
    }

    @Test
    void aHugeFileIsRefusedAsAWhole(Api api) {
        StringBuilder text = new StringBuilder(HEAD);
        for (int i = 0; i < 20_000; i++) {
            text.append("huge-").append(i).append(",Huge,mine,SHEET,50,0.8,7,,,,,100:6\n");
        }
        assertThat(api.post("/api/catalogue/imports/preview", body("huge.csv", text.toString(), ""))
                        .expectProblem(422)
                        .toString())
                .contains("at most 2000");
    }

    private static double points(Api api, String key) {
        return api.get("/api/cable-types/" + key)
                .expect(200)
                .json()
                .get("points")
                .get(1)
                .get("attenuationDbPer100m")
                .asDouble();
    }

    private static List<String> whats(JsonNode answer) {
        return answer.get("rows")
                .valueStream()
                .map(r -> r.get("what").asString())
                .toList();
    }

    private static JsonNode preview(Api api, String name, String text) {
        return api.post("/api/catalogue/imports/preview", body(name, text, ""))
                .expect(200)
                .json();
    }

    private static JsonNode take(Api api, String name, String text) {
        return api.post("/api/catalogue/imports", body(name, text, ""))
                .expect(201)
                .json();
    }

    private static String body(String name, String text, String more) {
        JsonMapper json = JsonMapper.shared();
        return "{\"fileName\": %s, \"text\": %s%s}"
                .formatted(json.writeValueAsString(name), json.writeValueAsString(text), more);
    }
}
