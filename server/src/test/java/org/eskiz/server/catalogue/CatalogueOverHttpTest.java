package org.eskiz.server.catalogue;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.UUID;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

@ExtendWith(RealServer.class)
class CatalogueOverHttpTest {

    @Test
    void builtInTypesSayWhatTheyAre(Api api) {
        JsonNode types = api.get("/api/cable-types").expect(200).json();
        assertThat(types.valueStream().filter(t -> t.get("builtIn").asBoolean()))
                .hasSize(24);
        assertThat(types.get(0).get("key").asString()).isEqualTo("rg-174");
        JsonNode foam = api.get("/api/cable-types/foam-10").expect(200).json();
        assertThat(foam.get("builtIn").asBoolean()).isTrue();
        assertThat(foam.get("provenance").asString()).isEqualTo("TYPICAL");
        assertThat(foam.get("priceIsSample").asBoolean()).isTrue();
        assertThat(foam.get("points")).hasSize(12);
        assertThat(foam.get("fit").get("worstRelativeResidual").asDouble()).isBetween(0.0, 0.05);
    }

    @Test
    void connectorsTellTheirLossAndLimits(Api api) {
        JsonNode connectors = api.get("/api/connectors").expect(200).json();
        assertThat(connectors
                        .valueStream()
                        .filter(c -> c.get("builtIn").asBoolean())
                        .map(c -> c.get("key").asString()))
                .containsExactly("uhf", "bnc", "n", "sma", "tnc", "7-16", "f", "terminals");
        assertThat(connectors.get(0).get("fitsLeastMm").asDouble()).isEqualTo(5);
        assertThat(connectors.get(7).get("fitsLeastMm").isNull()).isTrue();
    }

    @Test
    void loadingAgainChangesNothing(Api api, BuiltInLoader loader, JdbcTemplate sql) {
        int before = sql.queryForObject("select count(*) from cable_type_revision", Integer.class);
        loader.load();
        assertThat(sql.queryForObject("select count(*) from cable_type_revision", Integer.class))
                .isEqualTo(before);
    }

    @Test
    void changedFiguresBecomeANewRevisionAndTheOldOneStays(Api api, BuiltInLoader loader, JdbcTemplate sql) {
        UUID id = UUID.randomUUID();
        sql.update("""
                insert into cable_type_revision (id, cable_type_id, number, created_at, name, family, provenance,
                    impedance_ohm, velocity_factor, balanced, price_is_sample)
                select ?, id, 2, now(), 'RG-316', 'as an older file said', 'TYPICAL', 50, 0.7, false, true
                from cable_type where key = 'rg-316'""", id);
        sql.update("insert into attenuation_point values (?, 100, 28)", id);
        loader.load();
        assertThat(api.get("/api/cable-types/rg-316").json().get("revision").asInt())
                .as("an older program, or this one again, leaves alone what a newer one has loaded")
                .isEqualTo(2);
        sql.update("delete from built_in_catalogue");
        loader.load();
        JsonNode history =
                api.get("/api/cable-types/rg-316/revisions").expect(200).json();
        assertThat(history.valueStream().map(r -> r.get("revision").asInt())).containsExactly(3, 2, 1);
        assertThat(history.get(1).get("family").asString()).isEqualTo("as an older file said");
        assertThat(history.get(0).get("family")).isEqualTo(history.get(2).get("family"));
        assertThat(api.get("/api/cable-types/rg-316").json().get("revision").asInt())
                .isEqualTo(3);
    }

    @Test
    void builtInKeysAreReservedInTheDatabase(Api api, JdbcTemplate sql) {
        assertThatThrownBy(() -> sql.update("""
                        insert into cable_type (id, workshop_id, key, position, created_at)
                        select ?, id, 'rg-58', 0, now() from operator""", UUID.randomUUID())).hasMessageContaining("reserved");
    }

    @Test
    void everythingAConnectorEverSaidIsKept(Api api) {
        String key = "quay-" + System.nanoTime();
        String said = """
                {"key": "%s", "name": "Quay plug", "lossDb": 0.05, "lossAtMHz": 100, "maxMHz": 500, "peakVoltageV": 400,
                 "bumpOhm": 35, "bumpMm": 30, "averagePowerW": %s, "ratedAtMHz": 30}""";
        api.post("/api/connectors", said.formatted(key, 200)).expect(201);
        api.put("/api/connectors/" + key, said.formatted(key, 300)).expect(200);
        api.put("/api/connectors/" + key, said.formatted(key, 300)).expect(200);
        JsonNode history =
                api.get("/api/connectors/" + key + "/revisions").expect(200).json();
        assertThat(history.valueStream().map(c -> c.get("averagePowerW").asDouble()))
                .containsExactly(300.0, 200.0);
        assertThat(history.get(0).get("revision").asInt())
                .isGreaterThan(history.get(1).get("revision").asInt());
        assertThat(history.get(1).get("bumpMm").asDouble()).isEqualTo(30);
        assertThat(history.get(0).get("impedanceOhm").isNull()).isTrue();
        api.get("/api/connectors/no-such-plug/revisions").expectProblem(404);
        api.post("/api/connectors", said.formatted(key + "-x", 200).replace("\"bumpMm\": 30,", ""))
                .expectProblem(422);
    }
}
