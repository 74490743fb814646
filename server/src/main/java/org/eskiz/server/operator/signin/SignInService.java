package org.eskiz.server.operator.signin;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.server.operator.Role;
import org.eskiz.server.operator.signin.MembershipRepository.Place;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.NotSignedInException;
import org.eskiz.server.problem.ValidationErrors;
import org.springframework.stereotype.Service;

/** Lets in who is who they say. Whoever is not is told the same, and as late, whether there is such a name or not. */
@Service
class SignInService {

    private final OperatorRepository operators;
    private final MembershipRepository memberships;
    private final Passwords passwords;
    private final Attempts attempts;

    SignInService(
            OperatorRepository operators, MembershipRepository memberships, Passwords passwords, Attempts attempts) {
        this.operators = operators;
        this.memberships = memberships;
        this.passwords = passwords;
        this.attempts = attempts;
    }

    /**
     * @param address the attempt comes from
     * @return where they work first
     * @throws NotSignedInException when they are not who they say
     * @throws org.eskiz.server.problem.BusyException when it was tried too often
     */
    SignedIn signIn(SessionRequest request, String address) {
        ValidationErrors.in(request).throwIfAny();
        attempts.begin(request.name(), address);
        Optional<OperatorEntity> found = operators.named(request.name().strip());
        boolean isRight =
                passwords.matches(request.password(), found.map(o -> o.password).orElse(null));
        List<Place> places = found.map(o -> memberships.placesOf(o.id)).orElse(List.of());
        if (!isRight || places.isEmpty()) {
            throw new NotSignedInException("the name or the password is not right");
        }
        attempts.succeeded(request.name(), address);
        return new SignedIn(found.orElseThrow().id, places.get(0).workshop());
    }

    /** The workshops of somebody who is in. */
    List<Place> places(UUID operator) {
        return memberships.placesOf(operator);
    }

    /** @throws InvalidRequestException where they do not belong to it, or there is none */
    Role roleIn(UUID workshop, UUID operator) {
        return places(operator).stream()
                .filter(p -> p.workshop().equals(workshop))
                .findFirst()
                .orElseThrow(() -> new InvalidRequestException("workshopId", "must be a workshop that you belong to"))
                .role();
    }

    /** Who came in, and where to. */
    record SignedIn(UUID operator, UUID workshop) {}
}
