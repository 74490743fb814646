package org.eskiz.server.problem;

import java.util.Optional;
import org.slf4j.MDC;

/** The id of the request that this thread works on: in every line of the log about it, and in its answer when it is refused. */
public final class RequestId {

    /** As the pattern of the log names it, and a problem carries it. */
    public static final String NAME = "requestId";

    private RequestId() {}

    public static void begin(String id) {
        MDC.put(NAME, id);
    }

    public static void end() {
        MDC.remove(NAME);
    }

    public static Optional<String> current() {
        return Optional.ofNullable(MDC.get(NAME));
    }
}
