package org.eskiz.core.choice;

/** What is thought of a cable, from best to worst. */
public enum Verdict {
    /** Every requirement is met with something to spare. */
    PASS,
    /** Every requirement is met, but one of them only just, or not surely. */
    MARGINAL,
    /** A requirement is missed. */
    FAIL;

    /** The worse of two. */
    public Verdict and(Verdict other) {
        return compareTo(other) >= 0 ? this : other;
    }
}
