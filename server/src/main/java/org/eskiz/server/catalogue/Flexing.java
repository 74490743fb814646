package org.eskiz.server.catalogue;

/** How often a cable may be bent. */
public enum Flexing {
    /** Once, when it is laid. */
    FIXED,
    /** Now and then. */
    OCCASIONAL,
    /** Again and again. */
    REPEATED
}
