package org.eskiz.core.bench;

/** A sweep of which no line can be made; the message says why, and what would help. */
public final class SweepException extends IllegalArgumentException {

    private static final long serialVersionUID = 1;

    SweepException(String message) {
        super(message);
    }
}
