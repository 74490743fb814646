package org.eskiz.instruments;

/** What a stand-in does wrong when it is asked to. */
enum Fault {
    NONE,
    /** Every answer takes seconds. */
    SLOW,
    /** Half an answer, then the line is dead. */
    CUT,
    /** Something that is no answer. */
    GARBAGE,
    /** Nobody is let in. */
    REFUSED,
    /** No answer at all. */
    SILENT,
    /** A line that never ends. */
    ENDLESS,
    /** A block with fewer bytes than it says. */
    SHORTBLOCK,
    /** A block that says it has far more bytes than anybody wants. */
    LONGBLOCK,
    /** Not-a-number among the data. */
    NAN,
    /** A sweep that stops half-way. */
    HALF,
    /** A key that does not let go. */
    STUCK,
    /** An error for every key, though it is taken. */
    COMPLAINING,
    /** Less than nothing. */
    NEGATIVE,
    /** Frequencies that are all zero. */
    ZERO
}
