package org.eskiz.server.operator.signin;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import me.gosimple.nbvcxz.Nbvcxz;
import org.eskiz.server.problem.InvalidRequestException;
import org.jspecify.annotations.Nullable;
import org.springframework.security.crypto.password.PasswordEncoder;
import org.springframework.stereotype.Component;

/**
 * Which passwords are taken, and how they are kept. Long ones are: length is what makes one hard to guess, so there is no rule
 * about signs in it, and none of the commonest is taken (NIST SP 800-63B, 5.1.1.2). Kept is a slow hash with a salt of its own.
 */
@Component
class Passwords {

    static final int SHORTEST = 10;
    static final int LONGEST = 256;

    private static final String COMMONEST = "/dictionaries/passwords.txt";

    private final PasswordEncoder encoder;

    /** What a wrong name is held against, so that it takes as long as a wrong password. */
    private final String nobodys;

    Passwords(PasswordEncoder encoder) {
        this.encoder = encoder;
        this.nobodys = encoder.encode("nobody has this one");
    }

    /**
     * @param name whose it becomes: nobody's password is their name
     * @throws InvalidRequestException saying why it is not taken
     */
    String hash(String password, String name) {
        if (password.codePointCount(0, password.length()) < SHORTEST) {
            throw refused(
                    "must have at least " + SHORTEST + " characters; a few words one after the other are easy to keep");
        }
        if (password.length() > LONGEST) {
            throw refused("must have at most " + LONGEST + " characters");
        }
        if (password.equalsIgnoreCase(name) || isCommon(password)) {
            throw refused(
                    "is among the first that anybody would try; a few words one after the other are easy to keep");
        }
        return encoder.encode(password);
    }

    private static InvalidRequestException refused(String why) {
        return new InvalidRequestException("password", why);
    }

    /** Takes as long for those that have none. */
    boolean matches(String password, @Nullable String hash) {
        boolean isRight = encoder.matches(password, hash == null ? nobodys : hash);
        return isRight && hash != null;
    }

    private static boolean isCommon(String password) {
        String plain = password.toLowerCase(Locale.ROOT);
        try (InputStream in = Nbvcxz.class.getResourceAsStream(COMMONEST);
                BufferedReader list = new BufferedReader(new InputStreamReader(in, StandardCharsets.UTF_8))) {
            return list.lines().anyMatch(plain::equals);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
