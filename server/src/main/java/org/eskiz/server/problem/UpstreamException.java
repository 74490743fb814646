package org.eskiz.server.problem;

import java.util.Optional;

/** Something outside of this application, such as an instrument, does not do what it should. Answered with 502. */
public final class UpstreamException extends RuntimeException {

    private static final long serialVersionUID = 1;

    private final String code;

    public UpstreamException(String message) {
        this(message, null, null);
    }

    /**
     * One that a client has to tell apart.
     *
     * @param code travels with the problem as {@code code}; null for none
     */
    public UpstreamException(String message, String code, Throwable cause) {
        super(message, cause);
        this.code = code;
    }

    public Optional<String> code() {
        return Optional.ofNullable(code);
    }
}
