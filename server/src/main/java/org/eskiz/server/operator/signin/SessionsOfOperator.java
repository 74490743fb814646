package org.eskiz.server.operator.signin;

import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.operator.Secrets;
import org.jspecify.annotations.Nullable;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.session.Session;
import org.springframework.stereotype.Component;

/** Where somebody is signed in, on whichever server. */
@Component
class SessionsOfOperator {

    private final FindByIndexNameSessionRepository<? extends Session> sessions;

    SessionsOfOperator(FindByIndexNameSessionRepository<? extends Session> sessions) {
        this.sessions = sessions;
    }

    /** @param here the id of the session that asks */
    List<OwnSessionResponse> of(UUID operator, @Nullable String here) {
        return sessions.findByPrincipalName(operator.toString()).values().stream()
                .filter(s -> !s.isExpired())
                .map(s -> new OwnSessionResponse(
                        handle(s.getId()),
                        s.getId().equals(here),
                        Boolean.TRUE.equals(s.getAttribute(WorkSession.HANDHELD)),
                        s.getAttributeOrDefault(WorkSession.ADDRESS, ""),
                        s.getCreationTime(),
                        s.getLastAccessedTime()))
                .sorted(Comparator.comparing(OwnSessionResponse::lastUsed).reversed())
                .toList();
    }

    void end(UUID operator, String handle) {
        idsOf(operator).stream().filter(id -> handle(id).equals(handle)).forEach(sessions::deleteById);
    }

    /** @param here stays */
    void endOthers(UUID operator, @Nullable String here) {
        idsOf(operator).stream().filter(id -> !id.equals(here)).forEach(sessions::deleteById);
    }

    private List<String> idsOf(UUID operator) {
        return List.copyOf(sessions.findByPrincipalName(operator.toString()).keySet());
    }

    /** The id itself is what the cookie says, and goes to nobody else. */
    private static String handle(String id) {
        return Secrets.digest(id).substring(0, 16);
    }
}
