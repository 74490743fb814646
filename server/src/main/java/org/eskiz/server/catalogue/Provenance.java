package org.eskiz.server.catalogue;

/** Where the figures of a cable type come from. */
public enum Provenance {
    /** Typical of the type, of no one maker's sheet. */
    TYPICAL,
    /** From a data sheet. */
    SHEET,
    /** Measured. */
    MEASURED,
    /** Somebody's guess. */
    GUESSED
}
