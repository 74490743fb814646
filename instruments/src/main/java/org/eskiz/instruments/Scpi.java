package org.eskiz.instruments;

import java.util.Locale;

/** The words of SCPI: headers have a short form, their capitals, and a long one. */
final class Scpi {

    private Scpi() {}

    /** Whether a header is one of a command written {@code SENSe:FREQuency:STARt}; either form of each word will do. */
    static boolean is(String header, String command) {
        String[] said = header.replaceFirst("^:", "").toUpperCase(Locale.ROOT).split(":");
        String[] known = command.split(":");
        if (said.length != known.length) {
            return false;
        }
        for (int i = 0; i < said.length; i++) {
            String brief = known[i].replaceAll("[a-z]", "");
            if (!said[i].equals(brief) && !said[i].equals(known[i].toUpperCase(Locale.ROOT))) {
                return false;
            }
        }
        return true;
    }

    static String unquoted(String argument) {
        return argument.strip().replaceAll("^[\"']|[\"']$", "");
    }
}
