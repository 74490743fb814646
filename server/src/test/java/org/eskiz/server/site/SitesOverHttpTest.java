package org.eskiz.server.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** All runs of a place together, through the real interface. */
@ExtendWith(RealServer.class)
class SitesOverHttpTest {

    private String site;

    @BeforeEach
    void anotherSite() {
        site = "Test site / yard; " + UUID.randomUUID();
    }

    private String path(String route) {
        return route + "?site=" + URLEncoder.encode(site, StandardCharsets.UTF_8);
    }

    private UUID plan(Api api, String name, String cable, double lengthM, String candidates) {
        UUID id = UUID.randomUUID();
        api.post("/api/plans", """
                {"id": "%s", "site": "%s", "name": "%s", "document": {"schemaVersion": 1, "picked": false, "preference": "LEAST_COST",
                 "requirements": [{"kind": "LEAST_PERCENT", "percent": 20}], "candidates": [%s],
                 "assessment": {"radio": {"powerW": 50, "matching": "NONE"},
                  "run": [{"id": "a", "kind": "JOINT", "connectorKey": "n"}, {"id": "c", "kind": "LINE", "cableKey": "%s", "lengthM": %s, "candidate": true}, {"id": "b", "kind": "JOINT", "connectorKey": "n"}],
                  "bands": [{"id": "2m", "name": "2 m", "frequencyMHz": 144.2, "load": {"swr": 1.2}}]}}}""".formatted(id, site, name, candidates, cable, lengthM))
                .expect(201);
        return id;
    }

    private JsonNode sheet(Api api, String document) {
        return api.post(path("/api/sites/sheet"), document).expect(200).json();
    }

    @Test
    void whatIsSaidOfASiteIsKeptOverItsVersion(Api api) {
        plan(api, "one", "rg-213", 20, "");
        JsonNode nothing = api.get(path("/api/sites/document")).expect(200).json();
        assertThat(nothing.get("version").isNull()).isTrue();
        assertThat(nothing.get("plans").asInt()).isEqualTo(1);
        String said = "{\"version\": %s, \"document\": {\"schemaVersion\": 1, \"reservePercent\": 5}}";
        JsonNode first = api.put(path("/api/sites/document"), said.formatted("null"))
                .expect(200)
                .json();
        assertThat(first.get("document").get("reservePercent").asDouble()).isEqualTo(5);
        JsonNode conflict =
                api.put(path("/api/sites/document"), said.formatted("null")).expectProblem(409);
        assertThat(conflict.get("detail").asString()).contains("changed meanwhile");
        api.put(path("/api/sites/document"), said.formatted(first.get("version")))
                .expect(200);
        assertThat(api.get("/api/sites")
                        .expect(200)
                        .json()
                        .valueStream()
                        .map(s -> s.get("name").asString()))
                .contains(site);
    }

    @Test
    void aSiteThatNoPlanCarriesIsNotThere(Api api) {
        api.get(path("/api/sites/document")).expectProblem(404);
        api.put(path("/api/sites/document"), "{\"document\": {\"schemaVersion\": 1}}")
                .expectProblem(404);
        api.post(path("/api/sites/sheet"), "{\"schemaVersion\": 1}").expectProblem(404);
    }

    @Test
    void aNameThatNoPlanCouldCarryIsRefused(Api api) {
        for (String name : List.of("%00", "", "x".repeat(121))) {
            for (String route : List.of("/api/sites/document", "/api/transfers/site")) {
                assertThat(api.get(route + "?site=" + name).status()).isEqualTo(422);
            }
        }
    }

    /** A plan may carry no site; that makes none. */
    @Test
    void plansWithoutASiteMakeNone(Api api) {
        site = "";
        plan(api, "nowhere", "rg-213", 20, "");
        assertThat(api.get("/api/sites")
                        .expect(200)
                        .json()
                        .valueStream()
                        .map(s -> s.get("name").asString()))
                .doesNotContain("");
    }

    @Test
    void aRunThatNothingDoesIsNotBoughtFor(Api api) {
        plan(api, "far", "rg-213", 4000, "");
        plan(api, "near", "rg-213", 60, "");
        JsonNode buying = api.post(path("/api/sites/buying"), "{\"schemaVersion\": 1}")
                .expect(200)
                .json();
        assertThat(buying.get("leftOut").get(0).get("name").asString()).isEqualTo("far");
        assertThat(buying.get("together").get("choices").size()).isEqualTo(1);
    }

    @Test
    void badInputIsToldByItsField(Api api) {
        plan(api, "one", "rg-213", 20, "");
        JsonNode problem = api.put(
                        path("/api/sites/document"),
                        "{\"document\": {\"schemaVersion\": 1, \"ducts\": [{\"id\": \"d\", \"name\": \"d\", \"boreMm\": 0, \"runs\": []}]}}")
                .expectProblem(422);
        assertThat(problem.get("errors").get(0).get("path").asString()).isEqualTo("document.ducts[0].boreMm");
    }

    @Test
    void ductsMastAndTotalsAreOfAllRuns(Api api) {
        UUID one = plan(api, "one", "rg-213", 20, "");
        UUID two = plan(api, "two", "rg-213", 10, "");
        JsonNode sheet = sheet(api, """
                {"schemaVersion": 1, "ducts": [{"id": "d", "name": "duct", "boreMm": 20, "runs": ["%s", "%s"]}],
                 "onMast": [{"run": "%s", "lengthM": 5}], "work": {"hoursPerRun": 2, "hoursPer10m": 1}}""".formatted(one, two, one));
        JsonNode runs = sheet.get("runs");
        assertThat(runs.size()).isEqualTo(2);
        double d1 = runs.get(0).get("lines").get(0).get("outerDiameterMm").asDouble();
        double d2 = runs.get(1).get("lines").get(0).get("outerDiameterMm").asDouble();
        JsonNode duct = sheet.get("ducts").get(0);
        assertThat(duct.get("sharePercent").asDouble()).isCloseTo(100 * (d1 * d1 + d2 * d2) / 400, within(1e-9));
        assertThat(sheet.get("totals").get("hours").asDouble()).isCloseTo(4 + 3, within(1e-9));
        assertThat(runs.get(0).get("onMastKg").asDouble())
                .isCloseTo(runs.get(0).get("massKg").asDouble() / 4, within(1e-9));
        double cutM = 0;
        for (JsonNode run : runs) {
            cutM += run.get("lines").get(0).get("cutM").asDouble();
        }
        double total = 0;
        for (JsonNode cable : sheet.get("totals").get("cables")) {
            total += cable.get("cutM").asDouble();
        }
        assertThat(total).isCloseTo(cutM, within(1e-9));
    }

    @Test
    void twoLinesInPhaseAreTold(Api api) {
        UUID upper = plan(api, "upper", "rg-213", 12, "");
        UUID lower = plan(api, "lower", "rg-213", 11, "");
        String document = """
                {"schemaVersion": 1, "phased": [{"id": "p", "name": "beams", "first": "%s", "second": "%s", "frequencyMHz": 144.2%s}]}""";
        JsonNode pair =
                sheet(api, document.formatted(upper, lower, "")).get("phased").get(0);
        assertThat(pair.get("firstM").asDouble()).isEqualTo(12);
        assertThat(pair.get("differenceDegrees").asDouble()).isGreaterThan(180);
        double shouldM = pair.get("secondShouldM").asDouble();
        UUID right = plan(api, "right", "rg-213", shouldM, "");
        JsonNode cut =
                sheet(api, document.formatted(upper, right, "")).get("phased").get(0);
        assertThat(cut.get("errorDegrees").asDouble()).isCloseTo(0, within(1e-6));
        assertThat(cut.get("trim").isNull()).isTrue();
        JsonNode measured = sheet(api, document.formatted(upper, right, ", \"firstNs\": 60.2, \"secondNs\": 60.0"))
                .get("phased")
                .get(0);
        assertThat(measured.get("trim").get("ofFirst").asBoolean()).isTrue();
        assertThat(measured.get("trim").get("cutMm").asDouble()).isBetween(30.0, 60.0);
        JsonNode gone = sheet(api, document.formatted(upper, UUID.randomUUID(), ""))
                .get("phased")
                .get(0);
        assertThat(gone.get("whyNot").asString()).contains("not at this site");
    }

    /** By the metre each run is cheapest by itself; a reel of its own price is cheaper for both. */
    @Test
    void buyingForAllRunsIsNeverDearerThanForEach(Api api) {
        plan(api, "one", "rg-213", 60, "");
        plan(api, "two", "rg-213", 55, "");
        plan(api, "three", "rg-213", 50, "");
        JsonNode buying = api.post(path("/api/sites/buying"), "{\"schemaVersion\": 1, \"reservePercent\": 2}")
                .expect(200)
                .json();
        double together = buying.get("together").get("cost").asDouble();
        double apart = buying.get("apart").get("cost").asDouble();
        double oneForAll = buying.get("oneForAll").get("cost").asDouble();
        assertThat(together).isLessThanOrEqualTo(apart + 1e-9).isLessThanOrEqualTo(oneForAll + 1e-9);
        assertThat(buying.get("together").get("proven").asBoolean()).isTrue();
        assertThat(buying.get("together").get("choices").size()).isEqualTo(3);
        double cutM = 0;
        for (JsonNode bought : buying.get("together").get("bought")) {
            assertThat(bought.get("boughtM").asDouble())
                    .isGreaterThanOrEqualTo(bought.get("neededM").asDouble() - 1e-9);
            cutM += bought.get("neededM").asDouble();
        }
        assertThat(cutM).isCloseTo(165 * 1.02, within(1e-6));
    }

    @Test
    void aReelThatIsThereIsNotBought(Api api) {
        plan(api, "one", "rg-213", 60, "");
        String none = "{\"schemaVersion\": 1}";
        JsonNode without =
                api.post(path("/api/sites/buying"), none).expect(200).json().get("together");
        String key = without.get("bought").get(0).get("cableKey").asString();
        JsonNode with = api.post(path("/api/sites/buying"), """
                {"schemaVersion": 1, "reels": [{"id": "r", "name": "shed", "cableKey": "%s", "lengthM": 70}]}""".formatted(key))
                .expect(200)
                .json()
                .get("together");
        assertThat(with.get("bought").get(0).get("boughtM").asDouble()).isZero();
        assertThat(with.get("cost").asDouble()).isLessThan(without.get("cost").asDouble());
    }

    @Test
    void aPieceOfTheLockerThatWillDoComesFirst(Api api) {
        UUID one = plan(api, "one", "rg-213", 33, "");
        plan(api, "two", "rg-213", 34, "");
        UUID piece = UUID.randomUUID();
        api.post("/api/locker/pieces", """
                {"id": "%1$s", "label": "S %1$s", "cableKey": "rg-213", "lengthM": 33.5,
                 "near": {"connectorKey": "n", "gender": "PLUG"}, "far": {"connectorKey": "n", "gender": "PLUG"}}""".formatted(piece)).expect(201);
        JsonNode together = api.post(path("/api/sites/buying"), "{\"schemaVersion\": 1}")
                .expect(200)
                .json()
                .get("together");
        JsonNode choice = together.get("choices").get(0);
        assertThat(choice.get("planId").asString()).isEqualTo(one.toString());
        assertThat(choice.get("isPiece").asBoolean()).isTrue();
        assertThat(choice.get("name").asString()).isEqualTo("S " + piece);
        // too short for the other, and no piece lies in two runs
        assertThat(together.get("choices").get(1).get("name").asString()).isNotEqualTo("S " + piece);
        api.delete("/api/locker/pieces/" + piece).expect(204);
    }

    @Test
    void theDemoHasASiteWithAForkAndAPhasedPair(Api api) {
        JsonNode demo =
                api.get("/api/sites/document?site=Signal%20mast").expect(200).json();
        assertThat(demo.get("plans").asInt()).isEqualTo(3);
        JsonNode sheet = api.post(
                        "/api/sites/sheet?site=Signal%20mast",
                        demo.get("document").toString())
                .expect(200)
                .json();
        assertThat(sheet.get("runs")
                        .valueStream()
                        .allMatch(r -> r.get("isFinished").asBoolean()))
                .isTrue();
        assertThat(sheet.get("phased").get(0).get("whyNot").isNull()).isTrue();
        assertThat(sheet.get("ducts").get(0).get("unknown").isEmpty()).isTrue();
        JsonNode buying = api.post(
                        "/api/sites/buying?site=Signal%20mast",
                        demo.get("document").toString())
                .expect(200)
                .json();
        double saved = buying.get("apart").get("cost").asDouble()
                - buying.get("together").get("cost").asDouble();
        assertThat(saved).isCloseTo(14, within(0.5));
    }

    @Test
    void aSiteGoesIntoAFileAndComesBack(Api api) {
        UUID one = plan(api, "one", "rg-213", 20, "");
        String document =
                "{\"schemaVersion\": 1, \"ducts\": [{\"id\": \"d\", \"name\": \"duct\", \"boreMm\": 30.0, \"runs\": [\"%s\"]}]}"
                        .formatted(one);
        api.put(path("/api/sites/document"), "{\"document\": %s}".formatted(document))
                .expect(200);
        JsonNode file = api.get(path("/api/transfers/site")).expect(200).json();
        assertThat(file.get("plans").size()).isEqualTo(1);
        assertThat(file.get("sites")
                        .get(0)
                        .get("document")
                        .get("ducts")
                        .get(0)
                        .get("runs")
                        .get(0)
                        .asString())
                .isEqualTo(one.toString());
        JsonNode now = api.get(path("/api/sites/document")).expect(200).json();
        api.put(
                        path("/api/sites/document"),
                        "{\"version\": %s, \"document\": {\"schemaVersion\": 1}}".formatted(now.get("version")))
                .expect(200);
        String text = tools.jackson.databind.json.JsonMapper.shared().writeValueAsString(file.toString());
        JsonNode preview = api.post("/api/transfers/previews", "{\"text\": %s}".formatted(text))
                .expect(200)
                .json();
        assertThat(preview.get("parts")
                        .valueStream()
                        .filter(p -> p.get("kind").asString().equals("SITE")))
                .allSatisfy(p -> assertThat(p.get("state").asString()).isEqualTo("CLASH"));
        api.post(
                        "/api/transfers",
                        "{\"text\": %s, \"choices\": [{\"kind\": \"SITE\", \"id\": \"%s\", \"take\": \"THEIRS\"}]}"
                                .formatted(text, site))
                .expect(200);
        assertThat(api.get(path("/api/sites/document"))
                        .expect(200)
                        .json()
                        .get("document")
                        .get("ducts")
                        .size())
                .isEqualTo(1);
    }
}
