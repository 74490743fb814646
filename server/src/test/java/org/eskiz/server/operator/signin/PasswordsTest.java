package org.eskiz.server.operator.signin;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.eskiz.server.problem.InvalidRequestException;
import org.junit.jupiter.api.Test;

class PasswordsTest {

    private final Passwords passwords = new Passwords(new SignInConfiguration().slowly());

    @Test
    void aHashSaysHowItWasMadeAndIsAnotherEachTime() {
        String hash = passwords.hash("three cables in a duct", "Rowan");
        assertThat(hash).startsWith("{pbkdf2@SpringSecurity_v5_8}").doesNotContain("cables");
        assertThat(passwords.hash("three cables in a duct", "Rowan")).isNotEqualTo(hash);
        assertThat(passwords.matches("three cables in a duct", hash)).isTrue();
        assertThat(passwords.matches("three cables in a duck", hash)).isFalse();
    }

    @Test
    void longOnesAreTakenWhole() {
        String hash = passwords.hash("a".repeat(200) + " and an end", "Rowan");
        assertThat(passwords.matches("a".repeat(200) + " and another", hash)).isFalse();
        assertThatThrownBy(() -> passwords.hash("a".repeat(257), "Rowan")).isInstanceOf(InvalidRequestException.class);
    }

    @Test
    void whoeverHasNoneIsNotLetInByAny() {
        assertThat(passwords.matches("nobody has this one", null)).isFalse();
    }
}
