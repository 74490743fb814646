package org.eskiz.server.store;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import org.eskiz.server.Api;
import org.eskiz.server.EskizServer;
import org.eskiz.server.RealServer;
import org.eskiz.server.ThrowAwayCluster;
import org.junit.jupiter.api.Test;
import org.springframework.boot.SpringApplication;
import org.springframework.jdbc.core.JdbcTemplate;

/** No route asks the database more often when there is more in it. */
class StatementsTest {

    private static final int MANY = 300;

    /** As many rows again, each a copy of one of the demo with an id, a name and a parent of its own. */
    private static final String[] MORE = {
        """
        insert into plan select (jsonb_populate_record(null::plan, to_jsonb(p) || jsonb_build_object('id', md5('plan' || n)::uuid, 'name', p.name || n))).*
        from generate_series(1, %1$d) n cross join lateral
            (select * from plan where demo order by id offset n %% 6 limit 1) p""", """
            insert into plan select (jsonb_populate_record(null::plan, to_jsonb(p) || jsonb_build_object('id', md5('of pieces' || n)::uuid,
                'name', p.name || n))).*
            from generate_series(1, %1$d) n cross join lateral (select * from plan where name = 'Of pieces') p""", """
            insert into plan_piece select md5('of pieces' || n)::uuid, pp.piece_id
            from generate_series(1, %1$d) n cross join plan_piece pp""", """
        insert into piece select (jsonb_populate_record(null::piece, to_jsonb(p) || jsonb_build_object('id', md5('piece' || n)::uuid, 'label', p.label || n))).*
        from generate_series(1, %1$d) n cross join lateral (select * from piece where demo order by id offset n %% 5 limit 1) p""", """
        insert into outing select (jsonb_populate_record(null::outing, to_jsonb(o) || jsonb_build_object('id', md5('outing' || n)::uuid,
            'piece_id', md5('piece' || n)::uuid, 'taken_by_movement', md5('movement' || n)::uuid))).*
        from generate_series(1, %1$d) n cross join lateral (select * from outing order by id limit 1) o""", """
        insert into bench_test select (jsonb_populate_record(null::bench_test, to_jsonb(t) || jsonb_build_object('id', md5('test' || n)::uuid))).*
        from generate_series(1, %1$d) n cross join lateral (select * from bench_test where demo order by id limit 1) t""", """
        insert into bench_test_revision (test_id, number, document, summary, cable_type_id, piece_id, stored_at)
        select md5('test' || n)::uuid, r.number, r.document, r.summary, r.cable_type_id, md5('piece' || n)::uuid, r.stored_at
        from generate_series(1, %1$d) n cross join lateral
            (select r.* from bench_test_revision r join bench_test t on t.id = r.test_id where t.demo order by t.id, number limit 1) r""", """
        insert into cable_type (id, workshop_id, key, position, created_at)
        select md5('type' || n)::uuid, (select id from operator), 'own-' || n, 1000 + n, now() from generate_series(1, %1$d) n""", """
        insert into cable_type_revision select (jsonb_populate_record(null::cable_type_revision, to_jsonb(r) || jsonb_build_object('id', md5('revision' || n)::uuid,
            'cable_type_id', md5('type' || n)::uuid, 'number', 1, 'name', r.name || n))).*
        from generate_series(1, %1$d) n cross join lateral
            (select r.* from cable_type_revision r join cable_type t on t.id = r.cable_type_id where t.workshop_id is null order by t.position limit 1) r""", """
        insert into attenuation_point select md5('revision' || n)::uuid, p.frequency_mhz, p.attenuation_db_per_100m
        from generate_series(1, %1$d) n cross join lateral
            (select r.id from cable_type_revision r join cable_type t on t.id = r.cable_type_id where t.workshop_id is null order by t.position limit 1) r
            join attenuation_point p on p.revision_id = r.id""", """
        insert into kit select (jsonb_populate_record(null::kit, to_jsonb(k) || jsonb_build_object('id', md5('kit' || n)::uuid, 'name', k.name || n))).*
        from generate_series(1, %1$d) n cross join lateral (select * from kit where demo order by id limit 1) k""", """
        insert into kit_piece select (jsonb_populate_record(null::kit_piece, to_jsonb(kp) || jsonb_build_object('kit_id', md5('kit' || n)::uuid,
            'piece_id', md5('piece' || n)::uuid))).*
        from generate_series(1, %1$d) n cross join lateral (select * from kit_piece order by kit_id, position limit 1) kp""",
    };

    private static final String RUN =
            "{\"run\": [{\"kind\": \"LINE\", \"cableKey\": \"rg-58\", \"lengthM\": 20, \"candidate\": true}],"
                    + " \"radio\": {\"powerW\": 50}, \"bands\": [{\"frequencyMHz\": 145, \"load\": {\"swr\": 1.5}}]";

    private static final String PLAN_OF_PIECES = """
            {"id": "00000000-0000-4000-8000-00000000e55e", "site": "Quay", "name": "Of pieces", "document": {"schemaVersion": 1,
             "assessment": {"radio": {"powerW": 50}, "bands": [{"frequencyMHz": 14.2, "load": {"swr": 1}}],
             "run": [{"kind": "LINE", "pieceId": "00000000-0000-4000-8000-0000000c000c", "cableKey": "rg-58", "lengthM": 15}]}}}""";

    private static final Map<String, Consumer<Api>> ROUTES = routes();

    private static Map<String, Consumer<Api>> routes() {
        Map<String, Consumer<Api>> routes = new LinkedHashMap<>();
        for (String path : new String[] {
            "/api/plans?limit=2",
            "/api/plans?limit=2&find=s&order=CHANGED_LAST_FIRST",
            "/api/plans/bin",
            "/api/sites",
            "/api/sites/document?site=Skarra%20light",
            "/api/devices",
            "/api/bench/tests?limit=2",
            "/api/bench/tests?limit=2&find=2&outcome=WORSE",
            "/api/bench/tests.csv",
            "/api/locker/pieces",
            "/api/locker/pieces.csv",
            "/api/locker/due.ics",
            "/api/locker/kits",
            "/api/locker/kit-losses?atMHz=145",
            "/api/cable-types",
            "/api/connectors",
            "/api/catalogue/export.csv",
            "/api/catalogue/export.json",
        }) {
            routes.put("GET " + path, api -> api.get(path).expect(200));
        }
        routes.put("ledger", api -> api.post("/api/comparisons", RUN + "}").expect(200));
        routes.put(
                "site",
                api -> api.post("/api/sites/sheet?site=Skarra%20light", "{\"schemaVersion\": 1}")
                        .expect(200));
        routes.put(
                "buying for a site",
                api -> api.post("/api/sites/buying?site=Skarra%20light", "{\"schemaVersion\": 1}")
                        .expect(200));
        routes.put("effects", api -> api.post("/api/plans/effects", """
                        {"key": "rg-213", "cable": {"impedanceOhm": 50, "velocityFactor": 0.66, "attenuation": {"points": [
                          {"frequencyMHz": 100, "attenuationDbPer100m": 9}]}}}""").expect(200));
        routes.put(
                "kit search",
                api -> api.post("/api/locker/kit-searches", """
                        {"comparison": %s, "requirements": [{"kind": "LEAST_PERCENT", "percent": 20}]}, "lengthM": 20, "mostPieces": 3,
                         "radio": {"connectorKey": "n", "gender": "SOCKET"}, "antenna": {"connectorKey": "n", "gender": "SOCKET"}}""".formatted(RUN)).expect(200));
        return routes;
    }

    @Test
    void aRouteAsksAsOftenOfHundredsOfThingsAsOfAFew() {
        try (ThrowAwayCluster cluster = ThrowAwayCluster.start();
                var context = SpringApplication.run(
                        EskizServer.class,
                        RealServer.arguments(
                                cluster.url(),
                                "--eskiz.demo=true",
                                "--spring.jpa.properties.hibernate.session_factory.statement_inspector="
                                        + StatementCount.class.getName()))) {
            Api api = Api.at(context.getEnvironment().getRequiredProperty("local.server.port", Integer.class));
            api.post("/api/plans", PLAN_OF_PIECES).expect(201);
            ROUTES.values().forEach(route -> route.accept(api));
            Map<String, Long> few = asked(api);
            JdbcTemplate database = new JdbcTemplate(cluster.as("eskiz"));
            for (String more : MORE) {
                assertThat(database.update(more.formatted(MANY))).isPositive();
            }
            // what is known of pieces is worked out by parts, a plan is drawn when it is first listed
            assertThat(StatementCount.during(
                            () -> api.get("/api/locker/pieces?limit=1").expect(200)))
                    .isLessThan(MANY / 10);
            Optional<String> next = Optional.of("/api/plans?limit=500");
            while (next.isPresent()) {
                next = api.get(next.get()).expect(200).next();
            }
            ROUTES.values().forEach(route -> route.accept(api));
            assertThat(asked(api)).isEqualTo(few);
            // a file is written in parts, so that it never stands in the memory as a whole
            assertThat(StatementCount.during(
                            () -> api.get("/api/transfers/workspace").expect(200)))
                    .isLessThan(MANY / 3);
        }
    }

    private static Map<String, Long> asked(Api api) {
        Map<String, Long> asked = new LinkedHashMap<>();
        ROUTES.forEach((name, route) -> asked.put(name, StatementCount.during(() -> route.accept(api))));
        return asked;
    }
}
