package org.eskiz.server.web;

import org.eskiz.server.problem.ClientGoneException;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** Whoever the present request is from. */
public final class Client {

    private Client() {}

    /**
     * Goes on only while they listen; to be asked every few milliseconds of work, from the thread of the request.
     *
     * @throws ClientGoneException when they have closed the connection
     */
    public static void requireListening() {
        if (RequestContextHolder.getRequestAttributes() instanceof ServletRequestAttributes request
                && Connection.of(request.getRequest())
                        .map(Connection::isClosedByClient)
                        .orElse(false)) {
            throw new ClientGoneException();
        }
    }
}
