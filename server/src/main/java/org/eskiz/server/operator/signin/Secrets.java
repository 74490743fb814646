package org.eskiz.server.operator.signin;

import java.nio.charset.StandardCharsets;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.security.SecureRandom;
import java.util.Base64;
import java.util.HexFormat;

/** What only one person is to know: 256 bits by chance, of which the database keeps a digest. */
final class Secrets {

    private static final int SECRET_BYTES = 32;
    private static final SecureRandom RANDOM = new SecureRandom();

    /** Where the front end takes one; the secret stands behind a #, which no browser sends and no server writes down. */
    private static final String PAGE = "/come-in#";

    private Secrets() {}

    static String random() {
        byte[] bytes = new byte[SECRET_BYTES];
        RANDOM.nextBytes(bytes);
        return Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
    }

    static String digest(String secret) {
        try {
            byte[] digest = MessageDigest.getInstance("SHA-256").digest(secret.getBytes(StandardCharsets.UTF_8));
            return HexFormat.of().formatHex(digest);
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Where the link of one leads, on this server. */
    static String link(String secret) {
        return PAGE + secret;
    }
}
