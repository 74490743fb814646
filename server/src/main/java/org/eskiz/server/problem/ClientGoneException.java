package org.eskiz.server.problem;

/** Whoever asked does not listen any more; what was being worked out for them is left. */
public final class ClientGoneException extends RuntimeException {

    private static final long serialVersionUID = 1;

    public ClientGoneException() {
        super("the client has closed the connection");
    }
}
