package org.eskiz.server.catalogue.csv;

/**
 * A cable type or a connector as a file has it.
 *
 * @param line in the file, from 1
 * @param request what it says; null where it cannot be read
 * @param why it cannot be; null where it can
 */
public record ReadRow<T>(int line, String key, String name, T request, String why) {

    public static <T> ReadRow<T> refused(int line, String key, String name, String why) {
        return new ReadRow<>(line, key, name, null, why);
    }
}
