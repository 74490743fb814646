package org.eskiz.server.catalogue;

/**
 * A type as a file has it.
 *
 * @param line in the file, from 1
 * @param said what it says; null where it cannot be read
 * @param why it cannot be; null where it can
 */
record ReadType(int line, String key, String name, CableTypeRequest said, String why) {

    static ReadType of(int line, String key, CableTypeRequest said) {
        return new ReadType(line, key, said.name(), said, null);
    }

    static ReadType refused(int line, String key, String name, String why) {
        return new ReadType(line, key, name, null, why);
    }
}
