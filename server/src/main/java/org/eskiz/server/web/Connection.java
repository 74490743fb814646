package org.eskiz.server.web;

import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.util.Optional;
import org.apache.coyote.ActionCode;

/** The connection behind a request, for what the servlet interface does not tell. */
public final class Connection {

    private static final String ATTRIBUTE = Connection.class.getName();

    private final org.apache.coyote.Request request;

    private Connection(org.apache.coyote.Request request) {
        this.request = request;
    }

    static void attach(org.apache.catalina.connector.Request request) {
        request.setAttribute(ATTRIBUTE, new Connection(request.getCoyoteRequest()));
    }

    static Optional<Connection> of(HttpServletRequest request) {
        return Optional.ofNullable((Connection) request.getAttribute(ATTRIBUTE));
    }

    /**
     * Whether the client has closed its end. To be asked from the thread that works on the request, when its body has been
     * read: the connection is looked at without waiting. Tomcat counts the end of the stream as one byte that can be read.
     */
    boolean isClosedByClient() {
        request.action(ActionCode.AVAILABLE, Boolean.TRUE);
        return request.getAvailable() == 1;
    }

    /** Ends it at once, without waiting for what was not sent yet. */
    void cut() {
        request.getResponse().action(ActionCode.CLOSE_NOW, new IOException("the client takes too long"));
    }
}
