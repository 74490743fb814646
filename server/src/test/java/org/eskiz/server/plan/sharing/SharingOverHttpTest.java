package org.eskiz.server.plan.sharing;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.RealServer;
import org.eskiz.server.operator.signin.Club;
import org.eskiz.server.operator.signin.Club.Person;
import org.eskiz.server.operator.signin.Route;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** A link to a plan, and what can be reached by it. */
@ExtendWith({RealServer.class, Club.Extension.class})
class SharingOverHttpTest {

    private static final String COMPARISON = """
            {"radio": {"powerW": 100}, "bands": [{"name": "2 m", "frequencyMHz": 145, "load": {"swr": 1.5}}],
             "run": [{"kind": "LINE", "id": "l", "cableKey": "rg-58", "lengthM": 20, "candidate": true}]%s}""";

    private final UUID plan = UUID.randomUUID();

    @Test
    void leadsToThePlanUntilItsDayEndsOrItIsTakenBack(Club club) {
        Person keeper = club.keeper();
        String path = create(keeper);
        JsonNode made = share(keeper, today(club).plusDays(7));
        Person visitor = visitor(club, made);
        JsonNode shared = visitor.get("/api/shared").expect(200).json();
        assertThat(shared.get("planId").asString()).isEqualTo(plan.toString());
        assertThat(shared.get("endsOn").asString())
                .isEqualTo(today(club).plusDays(7).toString());
        assertThat(visitor.get(path).expect(200).json().get("name").asString()).isEqualTo("Mast");
        assertThat(visitor.post("/api/comparisons", COMPARISON.formatted(""))
                        .expect(200)
                        .json()
                        .get("rows"))
                .isNotEmpty();
        assertThat(visitor.get("/api/transfers" + path.substring(4)).status()).isEqualTo(200);

        JsonNode listed = keeper.get(path + "/shares").expect(200).json();
        assertThat(listed).hasSize(1);
        assertThat(listed.get(0).get("madeBy").asString()).isEqualTo("Keeper");
        assertThat(listed.toString()).doesNotContain(secret(made));
        String share = listed.get(0).get("id").asString();
        keeper.delete(path + "/shares/" + share).expect(204);
        keeper.delete(path + "/shares/" + share).expectProblem(404);
        visitor.get("/api/shared").expectProblem(401);
        visitor.get(path).expectProblem(401);
    }

    @Test
    void leadsNowhereAfterItsDay(Club club, JdbcTemplate sql) {
        create(club.keeper());
        Person visitor = visitor(club, share(club.keeper(), today(club)));
        visitor.get("/api/shared").expect(200);
        sql.update("update plan_share set ends_on = ends_on - 1 where plan_id = ?", plan);
        visitor.get("/api/shared").expectProblem(401);
    }

    @Test
    void leadsNowhereOnceThePlanIsPutAway(Club club) {
        String path = create(club.keeper());
        Person visitor = visitor(club, share(club.keeper(), today(club)));
        club.keeper().delete(path).expect(204);
        visitor.get(path).expectProblem(404);
        visitor.get("/api/shared").expectProblem(404);
    }

    @Test
    void leadsToNothingElse(Club club) {
        create(club.keeper());
        UUID another = UUID.randomUUID();
        club.keeper().post("/api/plans", body(another, "Another")).expect(201);
        Person visitor = visitor(club, share(club.keeper(), today(club)));
        visitor.get("/api/plans/" + another).expectProblem(404);
        visitor.get("/api/plans/" + another + "/decisions").expectProblem(404);
        List<String> open = Route.all(club).stream()
                .filter(route -> !route.isOpenToAnybody())
                .filter(route ->
                        route.asked(visitor, UUID.randomUUID().toString()).status() != 403)
                .map(route -> route.method() + " " + route.path())
                .toList();
        assertThat(open)
                .containsExactlyInAnyOrder(
                        "GET /api/cable-types",
                        "GET /api/connectors",
                        "GET /api/plans/{id}",
                        "GET /api/plans/{id}/decisions",
                        "GET /api/settings",
                        "GET /api/shared",
                        "GET /api/transfers/plans/{id}",
                        "POST /api/assessments",
                        "POST /api/assessments/at-the-antenna",
                        "POST /api/assessments/profile",
                        "POST /api/comparisons",
                        "POST /api/comparisons/changes",
                        "POST /api/confidence",
                        "POST /api/fits",
                        "POST /api/mixes",
                        "POST /api/run-sheets",
                        "POST /api/sweeps");
    }

    /** A piece that does not lie in the plan is no cable that could be computed with. */
    @Test
    void leadsToNoPieceThatDoesNotLieInThePlan(Club club) {
        create(club.keeper());
        JsonNode piece = club.keeper()
                .get("/api/locker/pieces?limit=1")
                .expect(200)
                .json()
                .get(0);
        String with = COMPARISON
                .formatted("")
                .replace(
                        "\"cableKey\": \"rg-58\"",
                        "\"pieceId\": \"%s\"".formatted(piece.get("id").asString()));
        assertThat(club.keeper().post("/api/comparisons", with).status()).isEqualTo(200);
        Person visitor = visitor(club, share(club.keeper(), today(club)));
        visitor.post("/api/comparisons", with).expectProblem(422);
    }

    @Test
    void saysNothingOfWhereInstrumentsStand(Club club) {
        create(club.keeper());
        Person visitor = visitor(club, share(club.keeper(), today(club)));
        assertThat(visitor.get("/api/settings")
                        .expect(200)
                        .json()
                        .get("instrumentHosts")
                        .isNull())
                .isTrue();
    }

    @Test
    void isMadeAndTakenBackByMembersOfTheWorkshopOnly(Club club) {
        String path = create(club.keeper());
        String wish = "{\"endsOn\": \"%s\"}".formatted(today(club));
        club.joined(club.keeper(), "GUEST").post(path + "/shares", wish).expectProblem(403);
        Person elsewhere = club.ofAnotherWorkshop(club.keeper());
        elsewhere.post(path + "/shares", wish).expectProblem(404);
        JsonNode made = share(club.keeper(), today(club));
        elsewhere
                .delete(path + "/shares/" + made.get("share").get("id").asString())
                .expectProblem(404);
        visitor(club, made).get("/api/shared").expect(200);
    }

    @ParameterizedTest
    @CsvSource({"-1, must be from", "367, must be from"})
    void endsWithinAYear(int days, String why, Club club) {
        String path = create(club.keeper());
        JsonNode problem = club.keeper()
                .post(
                        path + "/shares",
                        "{\"endsOn\": \"%s\"}".formatted(today(club).plusDays(days)))
                .expectProblem(422);
        assertThat(problem.get("errors").get(0).get("path").asString()).isEqualTo("endsOn");
        assertThat(problem.get("errors").get(0).get("message").asString()).startsWith(why);
    }

    private static LocalDate today(Club club) {
        return LocalDate.ofInstant(Instant.now(club.bean(Clock.class)), ZoneOffset.UTC);
    }

    private String create(Person by) {
        by.post("/api/plans", body(plan, "Mast")).expect(201);
        return "/api/plans/" + plan;
    }

    private static String body(UUID id, String name) {
        return "{\"id\": \"%s\", \"site\": \"\", \"name\": \"%s\", \"document\": {\"schemaVersion\": 1}}"
                .formatted(id, name);
    }

    private JsonNode share(Person by, LocalDate endsOn) {
        return by.post("/api/plans/" + plan + "/shares", "{\"endsOn\": \"%s\"}".formatted(endsOn))
                .expect(201)
                .json();
    }

    private static String secret(JsonNode made) {
        String url = made.get("url").asString();
        assertThat(url).startsWith("https://club.example/shared#");
        return url.substring(url.indexOf('#') + 1);
    }

    private static Person visitor(Club club, JsonNode made) {
        Person visitor = club.somebody();
        visitor.carry(secret(made));
        return visitor;
    }
}
