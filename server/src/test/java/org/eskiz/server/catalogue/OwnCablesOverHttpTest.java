package org.eskiz.server.catalogue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Cable types of the operator's own, from the first row of a sheet to retirement. */
@ExtendWith(RealServer.class)
class OwnCablesOverHttpTest {

    private static final String SAID = """
            "provenance": "SHEET", "sourceTitle": "a data sheet", "sourceDate": "2026-05-01", "impedanceOhm": 50,
            "velocityFactor": 0.84, "outerDiameterMm": 7.3, "averagePowerW": 900, "ratedAtMHz": 150, "ratedAtC": 25,
            "maxOperatingC": 85, "pricePerM": 2.5, "priceCurrency": "EUR", "pricedOn": "2026-11-02", "soldInM": 25,
            "points": [{"frequencyMHz": 1000, "attenuationDbPer100m": 17.2}, {"frequencyMHz": 100, "attenuationDbPer100m": 5.2}]""";

    /** Other tests count what is offered. */
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

    @Test
    void curvesComeFromTheFittedLawWithFloorAndRating(Api api) {
        JsonNode curve = api.post(
                        "/api/cable-types/curves",
                        "{\"keys\": [\"foam-10\", \"open-600\"], \"frequenciesMHz\": [30, 145], \"lengthM\": 31}")
                .expect(200)
                .json()
                .get("curves");
        JsonNode fit = api.get("/api/cable-types/foam-10").expect(200).json().get("fit");
        double byLaw = fit.get("k1").asDouble() * Math.sqrt(145) + fit.get("k2").asDouble() * 145;
        JsonNode at2m = curve.get(0).get("points").get(1);
        assertThat(at2m.get("attenuationDbPer100m").asDouble()).isCloseTo(byLaw, within(1e-9));
        assertThat(at2m.get("lossDb").asDouble()).isCloseTo(0.31 * byLaw, within(1e-9));
        assertThat(at2m.get("floorDbPer100m").asDouble()).isLessThan(byLaw);
        // at 20 °C a rating stated at 40 °C is a fifth higher, and no more
        assertThat(curve.get(0).get("points").get(0).get("averagePowerW").asDouble())
                .isCloseTo(1.2 * 3200, within(1e-6));
        assertThat(curve.get(1).get("points").get(0).get("floorDbPer100m").isNull())
                .isTrue();
        api.post("/api/cable-types/curves", "{\"keys\": [\"nowhere\"], \"frequenciesMHz\": [30]}")
                .expect(422);
    }

    @Test
    void everyTypeTellsItsLossAtAFrequency(Api api) {
        JsonNode losses = api.get("/api/cable-losses?atMHz=30").expect(200).json();
        assertThat(losses).hasSameSizeAs(api.get("/api/cable-types").expect(200).json());
        JsonNode curve = api.post("/api/cable-types/curves", "{\"keys\": [\"rg-58\"], \"frequenciesMHz\": [30]}")
                .expect(200)
                .json()
                .get("curves")
                .get(0);
        assertThat(losses.valueStream()
                        .filter(l -> l.get("key").asString().equals("rg-58"))
                        .map(l -> l.get("attenuationDbPer100m").asDouble()))
                .containsExactly(
                        curve.get("points").get(0).get("attenuationDbPer100m").asDouble());
        api.get("/api/cable-losses?atMHz=0").expectProblem(422);
    }

    /** Whatever group of a type a field is of, it stands in one flat object, and its errors name it there. */
    @Test
    void errorsNameAFieldAsItStandsOnTheWire(Api api) {
        assertThat(errorPaths(create(api, "Wire", ", \"massGPerM\": -1").expect(422)))
                .containsExactly("massGPerM");
        assertThat(errorPaths(api.post("/api/cable-types", "{\"name\": \"Wire\", \"provenance\": \"SHEET\"}")
                        .expect(422)))
                .contains("impedanceOhm", "velocityFactor", "points");
        assertThat(errorPaths(create(api, "Wire", ", \"jacket\": 7").expect(400)))
                .containsExactly("jacket");
        assertThat(errorPaths(
                        create(api, "Wire", ", \"peakVoltageV\": \"5000\"").expect(400)))
                .containsExactly("peakVoltageV");
        for (String unknown : List.of("jackett", "mechanics", "construction")) {
            assertThat(errorPaths(
                            create(api, "Wire", ", \"" + unknown + "\": {}").expect(400)))
                    .containsExactly(unknown);
        }
        create(api, "Wire", ", \"jacket\": \"PE\", \"jacket\": \"PVC\"").expect(400);
    }

    private static List<String> errorPaths(Api.Answer answer) {
        return answer.json()
                .get("errors")
                .valueStream()
                .map(e -> e.get("path").asString())
                .toList();
    }

    @Test
    void whatIsNotKnownIsThereAsNull(Api api) {
        String least = """
                {"name": "Least", "provenance": "GUESSED", "impedanceOhm": 50, "velocityFactor": 0.66,
                 "points": [{"frequencyMHz": 100, "attenuationDbPer100m": 16}]}""";
        JsonNode type = api.post("/api/cable-types", least).expect(201).json();
        for (String field :
                List.of("outerDiameterMm", "jacket", "flexing", "peakVoltageV", "pricePerM", "sourceTitle")) {
            assertThat(type.get(field).isNull()).as(field).isTrue();
        }
        assertThat(type.get("balanced").asBoolean()).isFalse();
        assertThat(type.get("ratedAtMHz").asDouble()).isEqualTo(30);
        assertThat(type.get("ratedAtC").asDouble()).isEqualTo(40);
        assertThat(type.get("mechanicsProvenance").asString()).isEqualTo("GUESSED");
    }

    @Test
    void aTypeOfOnesOwnIsKeptChosenChangedAndRetired(Api api) {
        JsonNode made = create(api, "Quay cable 7", "").expect(201).json();
        String key = made.get("key").asString();
        assertThat(key).isEqualTo("quay-cable-7");
        assertThat(made.get("builtIn").asBoolean()).isFalse();
        assertThat(made.get("points").get(0).get("frequencyMHz").asDouble()).isEqualTo(100);
        assertThat(made.get("floorK1").asDouble())
                .isLessThan(made.get("fit").get("k1").asDouble());

        // it stands in every ledger, bought in whole reels
        JsonNode row = row(api, key);
        assertThat(row.get("cost").get("amount").asDouble()).isCloseTo(2 * 25 * 2.5, within(1e-9));

        JsonNode second = api.put(
                        "/api/cable-types/" + key,
                        body("Quay cable 7", ", \"revision\": 1").replace("17.2", "16.4"))
                .expect(200)
                .json();
        assertThat(second.get("revision").asInt()).isEqualTo(2);
        // the same again is no further revision, and who looked at the first one is told
        assertThat(api.put(
                                "/api/cable-types/" + key,
                                body("Quay cable 7", ", \"revision\": 2").replace("17.2", "16.4"))
                        .expect(200)
                        .json()
                        .get("revision")
                        .asInt())
                .isEqualTo(2);
        api.put("/api/cable-types/" + key, body("Quay cable 7", ", \"revision\": 1"))
                .expect(409);
        assertThat(api.get("/api/cable-types/" + key + "/revisions").expect(200).json())
                .hasSize(2);

        api.post("/api/cable-types/" + key + "/retirement", "").expect(200);
        assertThat(row(api, key)).isNull();
        assertThat(api.get("/api/cable-types/" + key)
                        .expect(200)
                        .json()
                        .get("retired")
                        .asBoolean())
                .isTrue();
        api.delete("/api/cable-types/" + key + "/retirement").expect(200);
        assertThat(row(api, key)).isNotNull();
    }

    @Test
    void whatCameWithEskizStaysAsItIsAndAKeyIsTakenOnce(Api api) {
        assertThat(api.put("/api/cable-types/rg-58", body("RG-58", ""))
                        .expect(422)
                        .json()
                        .toString())
                .contains("came with Eskiz");
        create(api, "Twice", "").expect(201);
        assertThat(create(api, "Twice", "").expect(201).json().get("key").asString())
                .isEqualTo("twice-2");
        create(api, "Another", ", \"key\": \"twice\"").expect(422);
        assertThat(create(api, "Twice", ", \"key\": \"twice\"")
                        .expect(201)
                        .json()
                        .get("revision")
                        .asInt())
                .as("sent again")
                .isEqualTo(1);
        create(api, "Thrice", ", \"key\": \"Not A Key\"").expect(422);
        api.put("/api/cable-types/nowhere", body("Nowhere", "")).expect(404);
    }

    @Test
    void whatContradictsItselfIsRefusedWithItsField(Api api) {
        refused(api, SAID.replace("\"priceCurrency\": \"EUR\", ", ""), "priceCurrency");
        refused(api, SAID.replace("\"maxOperatingC\": 85", "\"maxOperatingC\": 30"), "maxOperatingC");
        refused(api, SAID.replace("\"frequencyMHz\": 1000", "\"frequencyMHz\": 100"), "points");
        refused(api, SAID.replace("0.84", "84"), "velocityFactor");
        refused(api, SAID.replaceAll("\"points\": \\[.*\\]", "\"points\": []"), "points");
    }

    @Test
    void aChangeTellsWhichPlansItWouldMoveBeforeItIsStored(Api api) {
        String key = create(api, "Mover", "").expect(201).json().get("key").asString();
        String plan = """
                {"id": "00000000-0000-4000-8000-00000000e44e", "site": "Quay", "name": "Moved", "document": {"schemaVersion": 1,
                 "assessment": {"radio": {"powerW": 50}, "run": [{"kind": "LINE", "cableKey": "%s", "lengthM": 40}],
                 "bands": [{"name": "20 m", "frequencyMHz": 14.2, "load": {"swr": 1}}, {"name": "70 cm", "frequencyMHz": 433, "load": {"swr": 1}}]}}}""".formatted(key);
        api.post("/api/plans", plan).expect(201);
        String change =
                "{\"key\": \"%s\", \"cable\": {\"impedanceOhm\": 50, \"velocityFactor\": 0.84, \"attenuation\": {\"points\": [%s]}}}";
        JsonNode moved = api.post(
                        "/api/plans/effects",
                        change.formatted(key, "{\"frequencyMHz\": 100, \"attenuationDbPer100m\": 9}"))
                .expect(200)
                .json();
        assertThat(moved).hasSize(1);
        assertThat(moved.get(0).get("name").asString()).isEqualTo("Moved");
        assertThat(moved.get(0).get("bandName").asString()).isEqualTo("70 cm");
        assertThat(moved.get(0).get("afterDb").asDouble())
                .isGreaterThan(moved.get(0).get("beforeDb").asDouble() + 1);
        String same =
                "{\"frequencyMHz\": 100, \"attenuationDbPer100m\": 5.2}, {\"frequencyMHz\": 1000, \"attenuationDbPer100m\": 17.2}";
        assertThat(api.post("/api/plans/effects", change.formatted(key, same))
                        .expect(200)
                        .json())
                .isEmpty();
        api.post("/api/plans/effects", change.formatted("nowhere", same)).expect(422);
        api.delete("/api/plans/00000000-0000-4000-8000-00000000e44e").expect(204);
    }

    @Test
    void aConnectorOfOnesOwnIsCountedInARunAndRetired(Api api) {
        String said =
                "{\"name\": \"Quay plug\", \"impedanceOhm\": 50, \"lossDb\": 0.4, \"lossAtMHz\": 100, \"maxMHz\": 1000, \"peakVoltageV\": 500, \"fitsLeastMm\": 5, \"fitsMostMm\": 11%s}";
        JsonNode made =
                api.post("/api/connectors", said.formatted("")).expect(201).json();
        assertThat(made.get("key").asString()).isEqualTo("quay-plug");
        assertThat(made.get("lossDb").asDouble()).isCloseTo(0.4 * Math.sqrt(10), within(1e-9));
        assertThat(made.get("lossAtMHz").asDouble()).isEqualTo(1000);
        String run = """
                {"radio": {"powerW": 100}, "run": [{"kind": "JOINT", "connectorKey": "quay-plug"}, {"kind": "LINE", "cableKey": "rg-58", "lengthM": 30, "candidate": true}],
                 "bands": [{"frequencyMHz": 400, "load": {"swr": 1}}]}""";
        assertThat(api.post("/api/assessments", run)
                        .expect(200)
                        .json()
                        .get("bands")
                        .get(0)
                        .get("elements")
                        .get(0)
                        .get("matchedLossDb")
                        .asDouble())
                .isCloseTo(0.8, within(1e-9));
        // what it costs is not known, and the cost of the run says so
        JsonNode missing = api.post("/api/comparisons", run)
                .expect(200)
                .json()
                .get("rows")
                .get(0)
                .get("notInCost");
        assertThat(missing).hasSize(1);
        assertThat(missing.get(0).get("name").asString()).isEqualTo("Quay plug");
        assertThat(missing.get(0).get("kind").asString()).isEqualTo("PLUG");
        api.put("/api/connectors/quay-plug", said.formatted(", \"price\": 4, \"priceCurrency\": \"EUR\""))
                .expect(200);
        assertThat(api.post("/api/comparisons", run)
                        .expect(200)
                        .json()
                        .get("rows")
                        .get(0)
                        .get("cost")
                        .get("amount")
                        .asDouble())
                .isPositive();
        api.put("/api/connectors/quay-plug", said.formatted(", \"averagePowerW\": 200"))
                .expect(422);
        api.put("/api/connectors/quay-plug", said.formatted(", \"averagePowerW\": 200, \"ratedAtMHz\": 100"))
                .expect(200);
        JsonNode joint = api.post("/api/assessments/profile", run.replace(", \"candidate\": true", ""))
                .expect(200)
                .json()
                .get("joints")
                .get(0);
        // at 400 MHz half of what it bears at 100; the run is matched and full carrier
        assertThat(joint.get("ratedPowerW").asDouble()).isCloseTo(100, within(1e-9));
        assertThat(joint.get("powerMargin").asDouble()).isCloseTo(1, within(0.01));
        assertThat(api.put("/api/connectors/quay-plug", said.formatted(", \"revision\": 0"))
                        .expect(409)
                        .json()
                        .toString())
                .contains("changed meanwhile");
        api.put("/api/connectors/n", said.formatted("")).expect(422);
        api.post("/api/connectors", said.formatted("").replace("\"fitsMostMm\": 11", "\"fitsMostMm\": 1"))
                .expect(422);
        assertThat(api.post("/api/connectors/quay-plug/retirement", "")
                        .expect(200)
                        .json()
                        .get("retired")
                        .asBoolean())
                .isTrue();
    }

    @Test
    void favouritesAreRemembered(Api api) {
        assertThat(api.put("/api/cable-types/foam-7/favourite", "")
                        .expect(200)
                        .json()
                        .get("favourite")
                        .asBoolean())
                .isTrue();
        api.put("/api/cable-types/foam-7/favourite", "").expect(200);
        assertThat(api.delete("/api/cable-types/foam-7/favourite")
                        .expect(200)
                        .json()
                        .get("favourite")
                        .asBoolean())
                .isFalse();
    }

    @Test
    void everyTypeThatCameWithEskizStandsAboveTheCopperFloor(Api api) {
        api.get("/api/cable-types")
                .expect(200)
                .json()
                .valueStream()
                .filter(t -> t.get("builtIn").asBoolean() && t.get("floorK1").isNumber())
                .forEach(t -> t.get("points")
                        .forEach(p -> assertThat(p.get("attenuationDbPer100m").asDouble())
                                .as("%s at %s MHz", t.get("key"), p.get("frequencyMHz"))
                                .isGreaterThan(t.get("floorK1").asDouble()
                                        * Math.sqrt(p.get("frequencyMHz").asDouble()))));
    }

    private static void refused(Api api, String said, String path) {
        JsonNode problem = api.post("/api/cable-types", "{\"name\": \"No\", " + said + "}")
                .expect(422)
                .json();
        assertThat(problem.get("errors").valueStream().map(e -> e.get("path").asString()))
                .contains(path);
    }

    private static Api.Answer create(Api api, String name, String more) {
        return api.post("/api/cable-types", body(name, more));
    }

    private static String body(String name, String more) {
        return "{\"name\": \"" + name + "\"" + more + ", " + SAID + "}";
    }

    /** Null where it is not offered. */
    private static JsonNode row(Api api, String key) {
        String run = """
                {"radio": {"powerW": 100}, "run": [{"kind": "LINE", "cableKey": "rg-58", "lengthM": 30, "candidate": true}],
                 "bands": [{"frequencyMHz": 145, "load": {"swr": 1}}]}""";
        return api.post("/api/comparisons", run)
                .expect(200)
                .json()
                .get("rows")
                .valueStream()
                .filter(r -> r.get("id").asString().equals(key))
                .findFirst()
                .orElse(null);
    }
}
