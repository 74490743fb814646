package org.eskiz.server.catalogue;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.util.HexFormat;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** Whoever changes the built-in files counts their edition up, and writes down here what they then are. */
class BuiltInFilesTest {

    private static final Map<Integer, String> DIGESTS = Map.of(
            1, "d6d5a6b1bedd90f2116f4e46f79901cc753e5cc87067d8cb6246158354010bad",
            2, "f41535864e536029dd2a9eeffcb598d5d921e203ffdc101bc10e318b19c15733");

    @Test
    void theFilesAreOfTheirEdition() throws IOException, NoSuchAlgorithmException {
        MessageDigest digest = MessageDigest.getInstance("SHA-256");
        for (String file : new String[] {"attenuation.csv", "cable-types.csv", "connectors.csv"}) {
            try (InputStream in = BuiltInFiles.class.getResourceAsStream("/catalogue/" + file)) {
                digest.update(in.readAllBytes());
            }
        }
        assertThat(DIGESTS).containsEntry(BuiltInFiles.EDITION, HexFormat.of().formatHex(digest.digest()));
    }
}
