package org.eskiz.server.operator.signin;

import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.UUID;
import java.util.function.Supplier;
import org.eskiz.server.operator.signin.MembershipRepository.Place;
import org.eskiz.server.problem.NotSignedInException;
import org.springframework.stereotype.Component;

/** Sessions that begin with a passkey; counted and refused like those that begin with a password. */
@Component
public class PasskeySessions {

    private final MembershipRepository memberships;
    private final OperatorRepository operators;
    private final Attempts attempts;
    private final WorkSession session;

    PasskeySessions(
            MembershipRepository memberships, OperatorRepository operators, Attempts attempts, WorkSession session) {
        this.memberships = memberships;
        this.operators = operators;
        this.attempts = attempts;
        this.session = session;
    }

    public String nameOf(UUID operator) {
        return operators.findById(operator).orElseThrow().name;
    }

    /** Whatever was wrong with it: nobody learns which keys there are. */
    public static NotSignedInException refusal() {
        return new NotSignedInException("this key is not known here, or did not sign what it was asked to");
    }

    /** @param signedBy whose key has signed, or a refusal */
    public void begin(HttpServletRequest request, Supplier<UUID> signedBy) {
        String address = request.getRemoteAddr();
        attempts.begin(address);
        UUID operator = signedBy.get();
        List<Place> places = memberships.placesOf(operator);
        if (places.isEmpty()) {
            throw refusal();
        }
        attempts.succeeded(address);
        session.begin(request, operator, places.get(0).workshop());
    }
}
