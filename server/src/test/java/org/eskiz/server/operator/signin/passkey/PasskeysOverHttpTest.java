package org.eskiz.server.operator.signin.passkey;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.UUID;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.eskiz.server.operator.signin.Club;
import org.eskiz.server.operator.signin.Club.Person;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Keys in devices: made known, signed with, and tried by whoever should not. */
@ExtendWith({RealServer.class, Club.Extension.class})
class PasskeysOverHttpTest {

    private static final String ORIGIN = "https://club.example";
    private static final String HOST = "club.example";

    private final Device device = new Device();

    @Test
    void whoHasTheDeviceIsInWithoutNameAndPassword(Club club) {
        Person member = withKey(club);
        JsonNode kept = member.get("/api/me/passkeys").expect(200).json();
        assertThat(kept).hasSize(1);
        assertThat(kept.get(0).get("name").asString()).isEqualTo("a telephone");
        assertThat(kept.get(0).get("usedAt").isNull()).isTrue();
        Person again = club.somebody();
        signIn(again, device.signed(challenge(again), ORIGIN, HOST)).expect(204);
        assertThat(again.id()).isEqualTo(member.id());
        assertThat(again.get("/api/me/passkeys").json().get(0).get("usedAt").isNull())
                .isFalse();
        assertThat(again.get("/api/me/record")
                        .expect(200)
                        .json()
                        .get("passkeys")
                        .get(0)
                        .asString())
                .isEqualTo("a telephone");
    }

    @Test
    void whatIsAskedForNamesThisServerAndItsOwnKeys(Club club) {
        Person member = withKey(club);
        JsonNode options =
                member.post("/api/me/passkeys/options", "").expect(200).json();
        assertThat(options.get("rp").get("id").asString()).isEqualTo(HOST);
        assertThat(options.get("user").get("name").asString()).isEqualTo(member.name());
        assertThat(options.get("excludeCredentials")).hasSize(1);
        assertThat(options.get("authenticatorSelection").get("userVerification").asString())
                .isEqualTo("required");
    }

    @Test
    void anAnswerIsGoodOnce(Club club) {
        withKey(club);
        Person one = club.somebody();
        String signed = device.signed(challenge(one), ORIGIN, HOST);
        signIn(one, signed).expect(204);
        signIn(club.somebody(), signed).expectProblem(401);
    }

    @Test
    void anAnswerToAnotherPageOrToNobodysQuestionLetsNobodyIn(Club club) {
        withKey(club);
        Person one = club.somebody();
        String unasked = "AAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAAA";
        signIn(one, device.signed(unasked, ORIGIN, HOST)).expectProblem(401);
        signIn(one, device.signed(challenge(one), "https://club.example.evil.example", HOST))
                .expectProblem(401);
        signIn(one, device.signed(challenge(one), ORIGIN, "evil.example")).expectProblem(401);
        // its owner was not looked at
        signIn(one, device.signed(challenge(one), ORIGIN, HOST, 0x01)).expectProblem(401);
        signIn(one, "{}").expectProblem(401);
    }

    @Test
    void aKeyThatNobodyHasHereLetsNobodyIn(Club club) {
        Person one = club.somebody();
        JsonNode unknown =
                signIn(one, new Device().signed(challenge(one), ORIGIN, HOST)).expectProblem(401);
        withKey(club);
        JsonNode wrong =
                signIn(one, device.signed(challenge(one), ORIGIN, HOST, 0x01)).expectProblem(401);
        assertThat(unknown.get("detail")).isEqualTo(wrong.get("detail"));
    }

    @Test
    void whatSomebodyElseWasAskedForMakesNobodyAKey(Club club) {
        Person one = club.joined(club.keeper(), "GUEST");
        Person other = club.joined(club.keeper(), "GUEST");
        String asked = toMake(one);
        keep(other, device.made(asked, ORIGIN, HOST)).expectProblem(422);
        keep(one, device.made(challenge(one), ORIGIN, HOST)).expectProblem(422);
        keep(one, device.made(asked, ORIGIN, HOST)).expect(201);
    }

    @Test
    void aKeyThatWasRemovedAndOneOfSomebodyWhoLeftLetNobodyIn(Club club, JdbcTemplate sql) {
        Person member = withKey(club);
        String id = member.get("/api/me/passkeys").json().get(0).get("id").asString();
        club.joined(club.keeper(), "MEMBER").delete("/api/me/passkeys/" + id).expectProblem(404);
        member.delete("/api/me/passkeys/" + id).expect(204);
        Person again = club.somebody();
        signIn(again, device.signed(challenge(again), ORIGIN, HOST)).expectProblem(401);

        Person leaving = withKey(club);
        UUID who = leaving.id();
        leaving.delete("/api/me").expect(204);
        signIn(again, device.signed(challenge(again), ORIGIN, HOST)).expectProblem(401);
        assertThat(sql.queryForObject("select count(*) from passkey where operator_id = ?", Long.class, who))
                .isZero();
    }

    @Test
    void aKeyOfBeforeLetsNobodyInAfterAPasswordWasLost(Club club) {
        Person member = withKey(club);
        String url = club.keeper()
                .post("/api/people/" + member.id() + "/way-back", "{}")
                .expect(200)
                .json()
                .get("url")
                .asString();
        club.somebody().comeIn(url, member.name());
        Person whoHasTheDevice = club.somebody();
        signIn(whoHasTheDevice, device.signed(challenge(whoHasTheDevice), ORIGIN, HOST))
                .expectProblem(401);
    }

    private Person withKey(Club club) {
        Person member = club.joined(club.keeper(), "MEMBER");
        keep(member, device.made(toMake(member), ORIGIN, HOST)).expect(201);
        return member;
    }

    private static String toMake(Person person) {
        return person.post("/api/me/passkeys/options", "")
                .expect(200)
                .json()
                .get("challenge")
                .asString();
    }

    private static String challenge(Person person) {
        return person.post("/api/session/passkey/options", "")
                .expect(200)
                .json()
                .get("challenge")
                .asString();
    }

    private static Api.Answer keep(Person person, String credential) {
        return person.post("/api/me/passkeys", "{\"name\": \"a telephone\", \"credential\": %s}".formatted(credential));
    }

    private static Api.Answer signIn(Person person, String credential) {
        Api.Answer answer = person.post("/api/session/passkey", "{\"credential\": %s}".formatted(credential));
        if (answer.status() == 204) {
            person.refresh();
        }
        return answer;
    }
}
