package org.eskiz.server.happening;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import java.util.stream.StreamSupport;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.eskiz.server.operator.signin.Club;
import org.eskiz.server.operator.signin.Club.Person;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** What is done in a club carries the name of who did it, and is seen in that club only. */
@ExtendWith({RealServer.class, Club.Extension.class})
class HappeningsOverHttpTest {

    private static final String PLAN = "{%s, \"site\": \"\", \"name\": \"%s\", \"document\": {\"schemaVersion\": 1}}";

    @Test
    void savesOfAPlanWithinAnHourAreOneAndCarryTheName(Club club) {
        Person member = club.joined(club.keeper(), "MEMBER");
        UUID id = UUID.randomUUID();
        String name = "run " + id;
        member.post("/api/plans", PLAN.formatted("\"id\": \"" + id + "\"", name))
                .expect(201);
        member.put("/api/plans/" + id, PLAN.formatted("\"version\": 0", name + " again"))
                .expect(200);
        member.delete("/api/plans/" + id).expect(204);
        List<JsonNode> found = found(member, "find=" + id);
        assertThat(found).extracting(h -> h.get("kind").asString()).containsExactly("PLAN_DELETED", "PLAN_SAVED");
        assertThat(found).extracting(h -> h.get("person").asString()).containsOnly(member.name());
        assertThat(found(member, "find=" + id + "&kind=PLAN_DELETED")).hasSize(1);
        assertThat(found(member, "person=" + member.id())).hasSize(2);
    }

    @Test
    void aPieceSaysWhoTookItOutAndWhoPutItAway(Club club) {
        Person keeper = club.keeper();
        Person one = club.joined(keeper, "MEMBER");
        Person other = club.joined(keeper, "MEMBER");
        UUID piece = UUID.randomUUID();
        one.post("/api/locker/pieces", """
                        {"id": "%s", "label": "lead %s", "lengthM": 5, "near": {"connectorKey": "n", "gender": "PLUG"},
                         "far": {"connectorKey": "n", "gender": "PLUG"}}""".formatted(piece, piece)).expect(201);
        move(one, piece, "TOOK_OUT", "2026-11-01");
        JsonNode out = other.get("/api/locker/pieces/" + piece).expect(200).json();
        assertThat(out.get("summary").get("outBy").asString()).isEqualTo(one.name());
        assertThat(out.get("events").findValuesAsString("by")).contains(one.name());
        move(other, piece, "PUT_AWAY", "2026-11-02");
        JsonNode back = other.get("/api/locker/pieces/" + piece).expect(200).json();
        assertThat(back.get("summary").get("outBy").isNull()).isTrue();
        assertThat(found(one, "find=" + piece))
                .extracting(
                        h -> h.get("kind").asString() + " " + h.get("person").asString())
                .containsExactly("PIECE_PUT_AWAY " + other.name(), "PIECE_TAKEN_OUT " + one.name());
    }

    private static void move(Person person, UUID piece, String kind, String day) {
        person.put(
                        "/api/locker/movements/" + UUID.randomUUID(),
                        "{\"kind\": \"%s\", \"pieceIds\": [\"%s\"], \"on\": \"%s\"}".formatted(kind, piece, day))
                .expect(200);
    }

    @Test
    void whatHappenedIsReadInPartsOfAllAndInOrder(Club club) {
        Person keeper = club.keeper();
        for (int i = 0; i < 8; i++) {
            plan(keeper, "one of eight");
        }
        Api.Answer first = keeper.get("/api/happenings?limit=5&find=eight").expect(200);
        assertThat(first.json()).hasSize(5);
        assertThat(first.total()).isEqualTo(8);
        JsonNode second = keeper.get(first.next().orElseThrow()).expect(200).json();
        assertThat(second).hasSize(3);
        assertThat(second.get(0).get("at").asString())
                .isLessThanOrEqualTo(first.json().get(4).get("at").asString());
        keeper.get("/api/happenings?after=nonsense").expectProblem(422);
    }

    @Test
    void anotherWorkshopSeesNothingOfItEvenWithoutAQuestionForOne(Club club, Api api) {
        Person keeper = club.keeper();
        Person other = club.ofAnotherWorkshop(keeper);
        plan(keeper, "seen here only");
        assertThat(found(other, "")).isEmpty();
        assertThat(api.get("/api/happenings").expect(200).json()).isNotEmpty();
    }

    @Test
    void whatTheServerMadeUpForTheDemoIsNobodysDoing(Club club) {
        assertThat(found(club.keeper(), "find=Boathouse")).isEmpty();
    }

    /** The last door: a question that forgets to ask for one workshop. */
    @Test
    void theDatabaseItselfShowsNobodyAnything(Club club) {
        JdbcTemplate sql = club.bean(JdbcTemplate.class);
        for (String table : List.of("plan", "piece", "kit", "bench_test", "decision", "happening")) {
            assertThat(sql.queryForObject("select count(*) from " + table, Long.class))
                    .as(table)
                    .isZero();
        }
        assertThat(sql.queryForObject("select count(*) from cable_type where workshop_id is null", Long.class))
                .isGreaterThan(20);
    }

    private static UUID plan(Person person, String name) {
        UUID id = UUID.randomUUID();
        person.post("/api/plans", PLAN.formatted("\"id\": \"" + id + "\"", name))
                .expect(201);
        return id;
    }

    private static List<JsonNode> found(Person person, String query) {
        JsonNode list = person.get("/api/happenings?" + query).expect(200).json();
        return StreamSupport.stream(list.spliterator(), false).toList();
    }
}
