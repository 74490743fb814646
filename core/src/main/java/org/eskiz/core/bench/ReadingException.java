package org.eskiz.core.bench;

/** A reading that comes to no loss; the message says why. */
public final class ReadingException extends IllegalArgumentException {

    private static final long serialVersionUID = 1;

    ReadingException(String message) {
        super(message);
    }
}
