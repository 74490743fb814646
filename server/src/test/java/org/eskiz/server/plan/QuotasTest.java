package org.eskiz.server.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.sql.Timestamp;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.eskiz.server.operator.signin.Club;
import org.eskiz.server.operator.signin.Club.Person;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** What one operator may have in a club, and what is left of autosaves of long ago. */
@ExtendWith({RealServer.class, Club.Extension.class})
class QuotasTest {

    /** As the club of the tests is told. */
    private static final int PLANS = 60;

    @Test
    void nobodyHasMorePlansThanTheirShareAndOthersGoOn(Club club) {
        Person member = club.joined(club.keeper(), "MEMBER");
        UUID last = null;
        for (int i = 0; i < PLANS; i++) {
            last = UUID.randomUUID();
            member.post("/api/plans", body("\"id\": \"" + last + "\"", "one of many"))
                    .expect(201);
        }
        String more = body("\"id\": \"" + UUID.randomUUID() + "\"", "one too many");
        JsonNode problem = member.post("/api/plans", more).expectProblem(403);
        assertThat(problem.get("detail").asString())
                .contains("you have made " + PLANS + " plans")
                .contains("into the bin");
        club.joined(club.keeper(), "MEMBER").post("/api/plans", more).expect(201);
        member.delete("/api/plans/" + last).expect(204);
        member.post("/api/plans", body("\"id\": \"" + UUID.randomUUID() + "\"", "room again"))
                .expect(201);
    }

    @Test
    void nobodyBringsInMoreOfSweepsThanTheirShare(Club club) {
        Person member = club.joined(club.keeper(), "MEMBER");
        String sweep = "# MHZ S MA R 50\\n" + "!%s\\n".repeat(1) + "100 0.5 0\\n200 0.4 0\\n";
        String padding = "x".repeat(60_000);
        member.post("/api/bench/files", file(sweep.formatted("a" + padding))).expect(201);
        JsonNode problem = member.post("/api/bench/files", file(sweep.formatted("b" + padding)))
                .expectProblem(403);
        assertThat(problem.get("detail").asString()).contains("what one operator may have here");
        // the same again is no more
        assertThat(member.post("/api/bench/files", file(sweep.formatted("a" + padding)))
                        .status())
                .isLessThan(300);
    }

    private static String file(String text) {
        return "{\"fileName\": \"sweep.s1p\", \"text\": \"%s\"}".formatted(text);
    }

    @Test
    void ofLongAgoStaysWhatEachDayEndedWithAndWhatWasChosenIn(
            Api api, JdbcTemplate sql, PlanThinning thinning, Clock clock) {
        UUID plan = UUID.randomUUID();
        long version = api.post("/api/plans", body("\"id\": \"" + plan + "\"", "save 0"))
                .expect(201)
                .json()
                .get("version")
                .asLong();
        for (int i = 1; i <= 9; i++) {
            version = api.put("/api/plans/" + plan, body("\"version\": " + version, "save " + i))
                    .expect(200)
                    .json()
                    .get("version")
                    .asLong();
        }
        // four of one day and three of another, long ago; three of now
        Instant now = Instant.now(clock);
        backdate(sql, plan, 0, 3, now.minus(Duration.ofDays(60)));
        backdate(sql, plan, 4, 6, now.minus(Duration.ofDays(50)));
        thinning.thin();
        assertThat(names(sql, plan)).containsExactly("save 0", "save 3", "save 6", "save 7", "save 8", "save 9");
        thinning.thin();
        assertThat(names(sql, plan)).hasSize(6);
    }

    @Test
    void theServerCannotTakeARevisionAwayOtherwise(Api api, JdbcTemplate sql) {
        UUID plan = UUID.randomUUID();
        api.post("/api/plans", body("\"id\": \"" + plan + "\"", "kept")).expect(201);
        for (String statement : List.of(
                "delete from plan_revision where plan_id = ?",
                "update plan_revision set name = 'other' where plan_id = ?")) {
            assertThatThrownBy(() -> sql.update(statement, plan)).hasMessageContaining("append-only");
        }
    }

    /** Moves saves into the past, which nobody but the owner of the tables can. */
    private static void backdate(JdbcTemplate sql, UUID plan, int from, int to, Instant at) {
        JdbcTemplate owner = RealServer.owner(sql);
        owner.execute("alter table plan_revision disable trigger plan_revision_is_final");
        for (int i = from; i <= to; i++) {
            owner.update(
                    "update plan_revision set saved_at = ? where plan_id = ? and name = ?",
                    Timestamp.from(at),
                    plan,
                    "save " + i);
        }
        owner.execute("alter table plan_revision enable trigger plan_revision_is_final");
    }

    private static List<String> names(JdbcTemplate sql, UUID plan) {
        return sql.queryForList(
                "select name from plan_revision where plan_id = ? order by version", String.class, plan);
    }

    private static String body(String known, String name) {
        return "{%s, \"site\": \"\", \"name\": \"%s\", \"document\": {\"schemaVersion\": 1}}".formatted(known, name);
    }
}
