package org.eskiz.server.problem;

/** What the URL names does not exist. Answered with 404. */
public final class NotHereException extends RuntimeException {

    private static final long serialVersionUID = 1;

    public NotHereException(String what, Object name) {
        super("there is no " + what + " \"" + name + "\"");
    }
}
