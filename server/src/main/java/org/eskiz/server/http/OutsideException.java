package org.eskiz.server.http;

/** Something outside of this application, such as an instrument, does not do what it should. Answered with 502. */
public final class OutsideException extends RuntimeException {

    private static final long serialVersionUID = 1;

    public OutsideException(String message) {
        super(message);
    }
}
