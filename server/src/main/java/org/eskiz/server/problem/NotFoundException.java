package org.eskiz.server.problem;

/** What the URL names does not exist. Answered with 404. */
public final class NotFoundException extends RuntimeException {

    private static final long serialVersionUID = 1;

    public NotFoundException(String what, Object name) {
        super("there is no " + what + " \"" + name + "\"");
    }
}
