package org.eskiz.server.problem;

/** Whoever asks may not. */
public final class NotAllowedException extends RuntimeException {

    private static final long serialVersionUID = 1;

    public NotAllowedException(String why) {
        super(why);
    }
}
