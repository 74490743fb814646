package org.eskiz.server.plan.together;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import java.util.function.Predicate;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.eskiz.server.operator.signin.Club;
import org.eskiz.server.operator.signin.Club.Person;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** People at one plan, at two servers on one database: the one where nobody signs in, and the club's. */
@ExtendWith({RealServer.class, Club.Extension.class})
class PlanEventsTest {

    private final UUID plan = UUID.randomUUID();

    @Test
    void whatOneSavesIsToldToTheOthersAtWhicheverServerTheyAre(Api alone, Club club) throws Exception {
        Person member = club.joined(club.keeper(), "MEMBER");
        long version = create(member);
        try (Stream here = Stream.of(alone.request("/api/plans/" + plan + "/events"));
                Stream there = Stream.of(member.request("/api/plans/" + plan + "/events"))) {
            here.await("look", e -> true);
            there.await("look", e -> true);
            long saved = member.put("/api/plans/" + plan, body("\"version\": " + version, "Mast, longer"))
                    .expect(200)
                    .json()
                    .get("version")
                    .asLong();
            for (Stream one : new Stream[] {here, there}) {
                JsonNode event = one.await("saved", e -> true);
                assertThat(event.get("version").asLong()).isEqualTo(saved);
                assertThat(event.get("by").asString()).isEqualTo(member.name());
            }
            alone.put("/api/plans/" + plan, body("\"version\": " + saved, "Mast, by nobody in particular"))
                    .expect(200);
            assertThat(there.await("saved", e -> e.get("version").asLong() > saved))
                    .isNotNull();
        }
    }

    @Test
    void whoElseIsHereIsToldAsTheyComeAndGo(Api alone, Club club) throws Exception {
        Person member = club.joined(club.keeper(), "MEMBER");
        create(member);
        try (Stream here = Stream.of(alone.request("/api/plans/" + plan + "/events"))) {
            assertThat(here.await("here", e -> true).get("others")).isEmpty();
            try (Stream there = Stream.of(member.request("/api/plans/" + plan + "/events"))) {
                there.await("here", e -> e.get("others").size() == 1);
                JsonNode met = here.await("here", e -> e.get("others").size() == 1);
                assertThat(met.get("others").get(0).get("name").asString()).isEqualTo(member.name());
            }
            // a server finds out with the next thing that it says
            member.put("/api/plans/" + plan, body("\"version\": 0", "Mast")).status();
            here.await("here", e -> e.get("others").isEmpty());
        }
    }

    @Test
    void nothingIsToldOfAPlanThatIsNotThereOrNotTheirs(Api alone, Club club) {
        Person stranger = club.somebody();
        Person elsewhere = club.ofAnotherWorkshop(club.keeper());
        create(club.keeper());
        String path = "/api/plans/" + plan + "/events";
        stranger.get(path).expectProblem(401);
        JsonNode notTheirs = elsewhere.get(path).expectProblem(404);
        UUID none = UUID.randomUUID();
        JsonNode notThere = elsewhere.get("/api/plans/" + none + "/events").expectProblem(404);
        assertThat(notTheirs.get("detail").asString().replace(plan.toString(), ""))
                .isEqualTo(notThere.get("detail").asString().replace(none.toString(), ""));
        assertThat(alone.get("/api/plans/" + none + "/events").expectProblem(404))
                .isNotNull();
    }

    private long create(Person by) {
        return by.post("/api/plans", body("\"id\": \"%s\"".formatted(plan), "Mast"))
                .expect(201)
                .json()
                .get("version")
                .asLong();
    }

    private static String body(String known, String name) {
        return "{%s, \"site\": \"\", \"name\": \"%s\", \"document\": {\"schemaVersion\": 1}}".formatted(known, name);
    }

    /** Events as they come. */
    private record Stream(InputStream answer, BufferedReader lines) implements AutoCloseable {

        static Stream of(HttpRequest.Builder request) throws Exception {
            InputStream answer = HttpClient.newHttpClient()
                    .send(request.header("Accept", "text/event-stream").GET().build(), BodyHandlers.ofInputStream())
                    .body();
            return new Stream(answer, new BufferedReader(new InputStreamReader(answer, StandardCharsets.UTF_8)));
        }

        /** Reads until an event of a kind is so. */
        JsonNode await(String kind, Predicate<JsonNode> so) {
            try {
                for (String line = lines.readLine(); line != null; line = lines.readLine()) {
                    if (line.equals("event:" + kind)) {
                        JsonNode event = Api.parse(lines.readLine().replaceFirst("^data:", ""));
                        if (so.test(event)) {
                            return event;
                        }
                    }
                }
                throw new IllegalStateException("ended without " + kind);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }

        @Override
        public void close() throws IOException {
            answer.close();
        }
    }
}
