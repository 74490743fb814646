package org.eskiz.server.problem;

/** Somebody else has written since. Answered with 409 and the current state. */
public final class ConflictException extends RuntimeException {

    private static final long serialVersionUID = 1;

    private final transient Object current;

    /**
     * @param message what was expected and what was found
     * @param current the state as it is now, in the shape that a GET would answer
     */
    public ConflictException(String message, Object current) {
        super(message);
        this.current = current;
    }

    public Object current() {
        return current;
    }
}
