package org.eskiz.server.catalogue;

import java.text.Normalizer;
import java.util.Locale;
import java.util.function.Predicate;

/** Keys: what types and connectors are known by, whatever they are called. */
final class Keys {

    private static final int LONGEST = 64;

    /** Room for a hyphen and a number. */
    private static final int FOR_A_NUMBER = 5;

    private static final String FORM = "[a-z0-9]+(-[a-z0-9]+)*";

    private Keys() {}

    static boolean isKey(String text) {
        return text.length() <= LONGEST && text.matches(FORM);
    }

    /**
     * A key of a name, with a number behind it where that is taken.
     *
     * @param otherwise for a name without a letter or a digit
     */
    static String free(String name, String otherwise, Predicate<String> isTaken) {
        String plain = Normalizer.normalize(name, Normalizer.Form.NFKD)
                .toLowerCase(Locale.ROOT)
                .replaceAll("[^a-z0-9]+", "-")
                .replaceAll("^-|-$", "");
        String base =
                plain.isEmpty() ? otherwise : plain.substring(0, Math.min(plain.length(), LONGEST - FOR_A_NUMBER));
        String trimmed = base.replaceAll("-$", "");
        String key = trimmed;
        for (int n = 2; isTaken.test(key); n++) {
            key = trimmed + "-" + n;
        }
        return key;
    }
}
