package org.eskiz.server.problem;

/** Whoever asks has not signed in, or is not who they say. */
public final class NotSignedInException extends RuntimeException {

    private static final long serialVersionUID = 1;

    public NotSignedInException() {
        this("sign in first");
    }

    public NotSignedInException(String why) {
        super(why);
    }
}
