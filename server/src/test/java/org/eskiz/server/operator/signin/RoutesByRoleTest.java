package org.eskiz.server.operator.signin;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.eskiz.server.operator.Role;
import org.eskiz.server.operator.signin.Club.Person;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Every route there is, walked by everybody who may not. */
@ExtendWith({RealServer.class, Club.Extension.class})
class RoutesByRoleTest {

    @Test
    void everyRouteIsOpenToWhomItSaysAndToNobodyElse(Club club) {
        Person keeper = club.keeper();
        List<Person> people = List.of(club.somebody(), club.joined(keeper, "GUEST"), club.joined(keeper, "MEMBER"));
        List<String> table = new ArrayList<>();
        table.add(row("route", "stranger", "guest", "member", "open to"));
        for (Route route : Route.all(club)) {
            if (route.method().equals("DELETE")
                    && List.of("/api/session", "/api/me").contains(route.path())) {
                continue; // walking goes on
            }
            List<Integer> got = people.stream()
                    .map(person ->
                            route.asked(person, UUID.randomUUID().toString()).status())
                    .toList();
            table.add(row(
                    route.method() + " " + route.path(),
                    got.get(0),
                    got.get(1),
                    got.get(2),
                    route.isOpenToAnybody() ? "ANYBODY" : route.leastRole()));
            if (route.isOpenToAnybody()) {
                continue;
            }
            assertThat(got.get(0)).as("%s as a stranger", route).isEqualTo(401);
            assertThat(got.get(1) == 403)
                    .as("%s as a guest: %d", route, got.get(1))
                    .isEqualTo(!Role.GUEST.covers(route.leastRole()));
            assertThat(got.get(2) == 403)
                    .as("%s as a member: %d", route, got.get(2))
                    .isEqualTo(!Role.MEMBER.covers(route.leastRole()));
        }
        System.out.println(String.join("\n", table));
        assertThat(table).hasSizeGreaterThan(90);
    }

    private static String row(Object route, Object stranger, Object guest, Object member, Object open) {
        return String.format(Locale.ROOT, "%-60s %8s %6s %7s  %s", route, stranger, guest, member, open);
    }

    /** What is in the first workshop, by the path that leads to one of it. */
    private static Map<String, String> whatThereIs(Person keeper) {
        return Map.of(
                "/api/plans/", first(keeper, "/api/plans?limit=1"),
                "/api/transfers/plans/", first(keeper, "/api/plans?limit=1"),
                "/api/bench/tests/", first(keeper, "/api/bench/tests?limit=1"),
                "/api/locker/pieces/", first(keeper, "/api/locker/pieces?limit=1"),
                "/api/locker/kits/", first(keeper, "/api/locker/kits"));
    }

    private static String first(Person keeper, String list) {
        return keeper.get(list).expect(200).json().get(0).get("id").asString();
    }

    @Test
    void whatIsNotTheirsLooksToThemAsIfItWereNotThere(Club club) {
        Person keeper = club.keeper();
        Person other = club.ofAnotherWorkshop(keeper);
        Map<String, String> there = whatThereIs(keeper);
        List<String> seen = new ArrayList<>();
        for (Route route : Route.all(club)) {
            for (Map.Entry<String, String> thing : there.entrySet()) {
                if (!route.path().startsWith(thing.getKey() + "{")) {
                    continue;
                }
                String random = UUID.randomUUID().toString();
                Api.Answer real = route.asked(other, thing.getValue());
                Api.Answer none = route.asked(other, random);
                assertThat(real.status()).as("%s of somebody else", route).isNotEqualTo(200);
                assertThat(real.status()).as(route.toString()).isEqualTo(none.status());
                assertThat(plain(real, thing.getValue())).as(route.toString()).isEqualTo(plain(none, random));
                seen.add(route.method() + " " + route.path());
            }
        }
        assertThat(seen).hasSizeGreaterThan(20);
    }

    /** An answer but for what differs with every request. */
    private static String plain(Api.Answer answer, String id) {
        return answer.response().body().replace(id, "ID").replaceAll("\"requestId\":\"[^\"]*\"", "");
    }

    @Test
    void nothingOfAnotherWorkshopIsInAnyList(Club club) {
        Person keeper = club.keeper();
        Person other = club.ofAnotherWorkshop(keeper);
        List<String> theirs = Stream.of("/api/plans", "/api/bench/tests", "/api/locker/pieces", "/api/locker/kits")
                .flatMap(list -> keeper.get(list).json().valueStream())
                .map(thing -> thing.get("id").asString())
                .toList();
        assertThat(theirs).hasSizeGreaterThan(20);
        for (Route route : Route.all(club)) {
            if (route.method().equals("GET") && !route.path().contains("{")) {
                Api.Answer answer = other.get(route.path());
                for (String id : theirs) {
                    assertThat(answer.response().body()).as(route.toString()).doesNotContain(id);
                }
            }
        }
        assertThat(other.get("/api/plans").json()).isEmpty();
        JsonNode workspace = other.get("/api/transfers/workspace").expect(200).json();
        assertThat(workspace.toString()).doesNotContain("Skarra");
    }

    @Test
    void theSameKeyIsFreeInAnotherWorkshopAndTheSameIdIsNot(Club club) {
        Person keeper = club.keeper();
        Person other = club.ofAnotherWorkshop(keeper);
        String key = "own-" + UUID.randomUUID().toString().substring(0, 8);
        String connector = """
                {"key": "%s", "name": "%s", "impedanceOhm": 50, "c1DbPerSqrtMHz": 0.002, "c2DbPerMHz2": 0, "maxMHz": 1000,
                 "peakVoltageV": 500, "watertight": false}""";
        keeper.post("/api/connectors", connector.formatted(key, "of the first")).expect(201);
        assertThat(other.get("/api/connectors").json().toString()).doesNotContain(key);
        other.put("/api/connectors/" + key, connector.formatted(key, "theirs now"))
                .expectProblem(404);
        other.post("/api/connectors", connector.formatted(key, "of the other")).expect(201);
        assertThat(keeper.get("/api/connectors").json().toString())
                .contains("of the first")
                .doesNotContain("of the other");

        String plan = "{\"id\": \"%s\", \"site\": \"\", \"name\": \"%s\", \"document\": {\"schemaVersion\": 1}}";
        UUID id = UUID.randomUUID();
        keeper.post("/api/plans", plan.formatted(id, "of the first")).expect(201);
        Api.Answer again = other.post("/api/plans", plan.formatted(id, "of the other"));
        assertThat(again.status()).isEqualTo(409);
        assertThat(again.response().body()).doesNotContain("of the first");
        assertThat(keeper.get("/api/plans/" + id).json().get("name").asString()).isEqualTo("of the first");
    }
}
