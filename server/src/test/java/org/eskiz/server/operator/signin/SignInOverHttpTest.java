package org.eskiz.server.operator.signin;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.eskiz.server.operator.signin.Club.Person;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Coming in, and everything that is tried to come in without being let in. */
@ExtendWith({RealServer.class, Club.Extension.class})
class SignInOverHttpTest {

    @Test
    void aloneNobodySignsIn(Api api) {
        JsonNode session = api.get("/api/session").expect(200).json();
        assertThat(session.get("open").asBoolean()).isFalse();
        assertThat(session.get("role").asString()).isEqualTo("KEEPER");
        api.get("/api/people").expect(200);
        assertThat(api.post("/api/links", "{\"role\": \"MEMBER\"}")
                        .expectProblem(422)
                        .get("detail")
                        .asString())
                .contains("./eskiz open");
    }

    @Test
    void whoHasNotSignedInGetsNothing(Club club) {
        Person stranger = club.somebody();
        assertThat(stranger.session().get("operator").isNull()).isTrue();
        assertThat(stranger.get("/api/plans").expectProblem(401).get("detail").asString())
                .isEqualTo("sign in first");
        stranger.get("/v3/api-docs").expectProblem(401);
        assertThat(stranger.get("/").expect(200).response().body()).contains("<div id=\"root\">");
        stranger.get("/actuator/health/readiness").expect(200);
    }

    @Test
    void theFirstKeeperComesInByALinkAndLetsOthersIn(Club club) {
        Person keeper = club.keeper();
        Person member = club.joined(keeper, "MEMBER");
        assertThat(member.session().get("role").asString()).isEqualTo("MEMBER");
        assertThat(member.session().get("workshop").get("id"))
                .isEqualTo(keeper.session().get("workshop").get("id"));
        assertThat(keeper.get("/api/people").expect(200).json().toString()).contains(member.name());
        member.get("/api/links").expectProblem(403);
    }

    @Test
    void aLinkLetsInOnceAndOnePerson(Club club) {
        Person keeper = club.keeper();
        String url = keeper.post("/api/links", "{\"role\": \"GUEST\"}")
                .expect(201)
                .json()
                .get("url")
                .asString();
        assertThat(url).startsWith("https://club.example/come-in#");
        String secret = url.substring(url.indexOf('#') + 1);
        Person first = club.somebody();
        assertThat(first.post("/api/invitations", "{\"secret\": \"%s\"}".formatted(secret))
                        .expect(200)
                        .json()
                        .get("role")
                        .asString())
                .isEqualTo("GUEST");
        first.comeIn(url, "guest " + UUID.randomUUID());
        Person second = club.somebody();
        second.post("/api/invitations", "{\"secret\": \"%s\"}".formatted(secret))
                .expectProblem(422);
        second.post(
                        "/api/invitations/use",
                        "{\"secret\": \"%s\", \"name\": \"x\", \"password\": \"%s\"}"
                                .formatted(secret, first.password()))
                .expectProblem(422);
        assertThat(second.session().get("operator").isNull()).isTrue();
    }

    @Test
    void aLinkThatWasTakenBackLetsNobodyIn(Club club) {
        Person keeper = club.keeper();
        String url = keeper.post("/api/links", "{\"role\": \"MEMBER\"}")
                .json()
                .get("url")
                .asString();
        keeper.get("/api/links")
                .expect(200)
                .json()
                .forEach(link ->
                        keeper.delete("/api/links/" + link.get("id").asString()).expect(204));
        club.somebody()
                .post("/api/invitations", "{\"secret\": \"%s\"}".formatted(url.substring(url.indexOf('#') + 1)))
                .expectProblem(422);
    }

    @ParameterizedTest
    @ValueSource(strings = {"short", "1234567890", "Password123", "qwertyuiop", "the name itself"})
    void aPasswordThatAnybodyWouldTryIsNotTaken(String password, Club club) {
        String url = club.keeper()
                .post("/api/links", "{\"role\": \"MEMBER\"}")
                .json()
                .get("url")
                .asString();
        JsonNode problem = club.somebody()
                .post(
                        "/api/invitations/use",
                        "{\"secret\": \"%s\", \"name\": \"the name itself\", \"password\": \"%s\"}"
                                .formatted(url.substring(url.indexOf('#') + 1), password))
                .expectProblem(422);
        assertThat(problem.get("errors").get(0).get("path").asString()).isEqualTo("password");
    }

    @Test
    void aWrongNameAndAWrongPasswordGetTheSameAnswer(Club club) {
        Person member = club.joined(club.keeper(), "MEMBER");
        JsonNode wrongPassword =
                club.somebody().signIn(member.name(), "not this one at all").expectProblem(401);
        JsonNode wrongName = club.somebody()
                .signIn("nobody " + UUID.randomUUID(), member.password())
                .expectProblem(401);
        assertThat(wrongName.get("detail")).isEqualTo(wrongPassword.get("detail"));
        assertThat(wrongName.get("title")).isEqualTo(wrongPassword.get("title"));
        Person again = club.somebody();
        again.signIn(member.name().toUpperCase(java.util.Locale.ROOT), member.password())
                .expect(204);
        assertThat(again.id()).isEqualTo(member.id());
    }

    @Test
    void guessingIsSlowedDownWhetherThereIsSuchANameOrNot(Club club) {
        Person member = club.joined(club.keeper(), "MEMBER");
        for (String name : new String[] {member.name(), "nobody " + UUID.randomUUID()}) {
            for (int i = 0; i < 5; i++) {
                club.somebody().signIn(name, "wrong guess " + i).expectProblem(401);
            }
            Api.Answer refused = club.somebody().signIn(name, member.password());
            assertThat(refused.expectProblem(429).get("detail").asString()).contains("too many attempts");
            assertThat(refused.response().headers().firstValue("Retry-After")).isPresent();
        }
        club.bean(JdbcTemplate.class).update("delete from sign_in_attempts");
        club.somebody().signIn(member.name(), member.password()).expect(204);
    }

    @Test
    void theSessionIsAnotherAfterSigningInAndOfNoUseAfterSigningOut(Club club) {
        Person member = club.joined(club.keeper(), "MEMBER");
        String before = member.cookie();
        member.signIn(member.name(), member.password()).expect(204);
        assertThat(member.cookie()).isNotEqualTo(before).startsWith("__Host-eskiz=");
        Person thief = club.somebody();
        thief.steal(member);
        thief.get("/api/plans").expect(200);
        member.delete("/api/session").expect(204);
        thief.get("/api/plans").expectProblem(401);
        thief.post("/api/plans", "{}").expectProblem(401);
    }

    @Test
    void theCookieGoesNowhereElse(Club club) {
        Person member = club.joined(club.keeper(), "MEMBER");
        assertThat(member.signIn(member.name(), member.password())
                        .response()
                        .headers()
                        .firstValue("Set-Cookie")
                        .orElseThrow())
                .contains("; Path=/")
                .contains("; Secure")
                .contains("; HttpOnly")
                .contains("; SameSite=Strict")
                .doesNotContain("Domain=");
    }

    @Test
    void anotherPageCannotAskInTheirName(Club club) {
        Person member = club.joined(club.keeper(), "MEMBER");
        member.forgetToken();
        member.get("/api/plans").expect(200);
        assertThat(member.delete("/api/plans/" + UUID.randomUUID())
                        .expectProblem(403)
                        .get("detail")
                        .asString())
                .contains("X-CSRF-TOKEN");
        member.delete("/api/session").expectProblem(403);
    }

    @Test
    void whoIsLetGoIsOutAtOnceAndWhoBecomesAGuestChangesNothingMore(Club club) {
        Person keeper = club.keeper();
        Person member = club.joined(keeper, "MEMBER");
        keeper.put("/api/people/" + member.id() + "/role", "{\"role\": \"GUEST\"}")
                .expect(200);
        member.get("/api/plans").expect(200);
        member.delete("/api/plans/" + UUID.randomUUID()).expectProblem(403);
        UUID id = member.id();
        keeper.delete("/api/people/" + id).expect(204);
        member.get("/api/plans").expectProblem(401);
        keeper.delete("/api/people/" + id).expectProblem(404);
        // the same browser, still with the cookie of a session that is nobody's any more
        Person other = club.joined(keeper, "MEMBER");
        member.forgetToken();
        member.signIn(other.name(), other.password()).expect(204);
        member.get("/api/plans").expect(200);
    }

    @Test
    void aWorkshopIsNeverWithoutAKeeper(Club club) {
        Person keeper = club.ofAnotherWorkshop(club.keeper());
        keeper.put("/api/people/" + keeper.id() + "/role", "{\"role\": \"MEMBER\"}")
                .expectProblem(422);
        keeper.delete("/api/people/" + keeper.id()).expectProblem(422);
    }

    @Test
    void anotherPasswordSignsOutEverywhereElse(Club club) {
        Person member = club.joined(club.keeper(), "MEMBER");
        Person phone = club.somebody();
        phone.signIn(member.name(), member.password()).expect(204);
        assertThat(member.get("/api/me/sessions").expect(200).json()).hasSize(2);
        member.put("/api/me/password", "{\"old\": \"not the old one\", \"password\": \"four cables in a duct\"}")
                .expectProblem(422);
        member.put(
                        "/api/me/password",
                        "{\"old\": \"%s\", \"password\": \"four cables in a duct\"}".formatted(member.password()))
                .expect(204);
        member.get("/api/plans").expect(200);
        phone.get("/api/plans").expectProblem(401);
        phone.signIn(member.name(), "four cables in a duct").expect(204);
    }

    @Test
    void oneSessionIsEndedFromAnother(Club club) {
        Person member = club.joined(club.keeper(), "MEMBER");
        Person phone = club.somebody();
        phone.signIn(member.name(), member.password()).expect(204);
        for (JsonNode session : member.get("/api/me/sessions").json()) {
            assertThat(member.cookie()).doesNotContain(session.get("id").asString());
            if (!session.get("here").asBoolean()) {
                member.delete("/api/me/sessions/" + session.get("id").asString())
                        .expect(204);
            }
        }
        phone.get("/api/plans").expectProblem(401);
        member.get("/api/plans").expect(200);
    }

    @Test
    void whoLostAPasswordIsLetBackInByAKeeperAndIsOutEverywhereElse(Club club) {
        Person keeper = club.keeper();
        Person member = club.joined(keeper, "MEMBER");
        String url = keeper.post("/api/people/" + member.id() + "/way-back", "{}")
                .expect(200)
                .json()
                .get("url")
                .asString();
        Person back = club.somebody();
        back.post(
                        "/api/invitations/use",
                        "{\"secret\": \"%s\", \"password\": \"another one entirely\"}"
                                .formatted(url.substring(url.indexOf('#') + 1)))
                .expect(204);
        assertThat(back.session().get("operator").get("name").asString()).isEqualTo(member.name());
        member.get("/api/plans").expectProblem(401);
        club.somebody().signIn(member.name(), member.password()).expectProblem(401);
    }

    @Test
    void whoBelongsToTwoWorkshopsGoesFromOneToTheOther(Club club) {
        Person keeper = club.keeper();
        Person other = club.ofAnotherWorkshop(keeper);
        String url = other.post("/api/links", "{\"role\": \"MEMBER\"}")
                .json()
                .get("url")
                .asString();
        Person member = club.joined(keeper, "MEMBER");
        member.post("/api/invitations/use", "{\"secret\": \"%s\"}".formatted(url.substring(url.indexOf('#') + 1)))
                .expect(204);
        JsonNode session = member.session();
        assertThat(session.get("workshop").get("name").asString()).isEqualTo("Another");
        assertThat(session.get("workshops")).hasSize(2);
    }

    @Test
    void whatIsStoredOfAPersonIsShownToThemAndGoesWithThem(Club club) {
        Person keeper = club.keeper();
        Person member = club.joined(keeper, "MEMBER");
        JsonNode record = member.get("/api/me/record").expect(200).json();
        assertThat(record.get("name").asString()).isEqualTo(member.name());
        assertThat(record.get("sessions")).hasSize(1);
        assertThat(record.toString())
                .doesNotContain("pbkdf2")
                .doesNotContain(member.cookie().substring(13));
        UUID plan = UUID.randomUUID();
        member.post(
                        "/api/plans",
                        "{\"id\": \"%s\", \"site\": \"\", \"name\": \"left behind\", \"document\": {\"schemaVersion\": 1}}"
                                .formatted(plan))
                .expect(201);
        member.delete("/api/me").expect(204);
        member.get("/api/plans").expectProblem(401);
        assertThat(club.somebody().signIn(member.name(), member.password()).status())
                .isEqualTo(401);
        keeper.get("/api/plans/" + plan).expect(200);
        assertThat(keeper.get("/api/happenings?find=left")
                        .expect(200)
                        .json()
                        .get(0)
                        .get("person")
                        .asString())
                .isEqualTo("somebody who left");
        assertThat(keeper.get("/api/people").json().toString()).doesNotContain(member.name());
    }
}
