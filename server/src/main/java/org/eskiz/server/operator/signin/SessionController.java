package org.eskiz.server.operator.signin;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletRequest;
import java.util.List;
import java.util.Optional;
import org.eskiz.server.operator.AtWork;
import org.eskiz.server.operator.OpenTo;
import org.eskiz.server.operator.OpenToAnybody;
import org.eskiz.server.operator.Role;
import org.eskiz.server.operator.signin.MembershipRepository.Place;
import org.eskiz.server.operator.signin.SessionResponse.NamedResponse;
import org.eskiz.server.operator.signin.SignInService.SignedIn;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.web.Computation;
import org.eskiz.server.web.PublicAddress;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.security.web.csrf.CsrfToken;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/session")
@Tag(name = "people")
class SessionController {

    private static final SessionResponse NOBODY = new SessionResponse(true, null, null, null, List.of(), null);

    /** Where nobody signs in there is nobody to name. */
    private static final SessionResponse ALONE =
            new SessionResponse(false, null, null, AtWork.ALONE.role(), List.of(), null);

    private final SignInService signIn;
    private final WorkSession session;
    private final PublicAddress address;

    SessionController(SignInService signIn, WorkSession session, PublicAddress address) {
        this.signIn = signIn;
        this.session = session;
        this.address = address;
    }

    @GetMapping
    @OpenToAnybody
    @Operation(operationId = "getSession", summary = "Who is at work; nobody until they sign in, where that is needed")
    SessionResponse get(HttpServletRequest request) {
        return address.isOpen()
                ? AtWork.now()
                        .filter(atWork -> atWork.onlyPlan().isEmpty())
                        .map(atWork -> of(atWork, request))
                        .orElse(NOBODY)
                : ALONE;
    }

    private SessionResponse of(AtWork atWork, HttpServletRequest request) {
        List<Place> places = signIn.places(atWork.operator());
        Place here = places.stream()
                .filter(p -> p.workshop().equals(atWork.workshop()))
                .findFirst()
                .orElseThrow();
        return new SessionResponse(
                true,
                new NamedResponse(atWork.operator(), here.operatorName()),
                new NamedResponse(here.workshop(), here.workshopName()),
                atWork.role(),
                places.stream()
                        .map(p -> new NamedResponse(p.workshop(), p.workshopName()))
                        .toList(),
                csrf(request).orElse(null));
    }

    private static Optional<String> csrf(HttpServletRequest request) {
        return Optional.ofNullable((CsrfToken) request.getAttribute(CsrfToken.class.getName()))
                .map(CsrfToken::getToken);
    }

    /** A hash that is slow on purpose takes its turn like any computation. */
    @Computation
    @PostMapping(consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @OpenToAnybody
    @Operation(operationId = "signIn", summary = "Sign in by name and password; 429 after too many attempts")
    void begin(@RequestBody SessionRequest asked, HttpServletRequest request) {
        SignedIn in = signIn.signIn(asked, request.getRemoteAddr());
        session.begin(request, in.operator(), in.workshop());
    }

    @DeleteMapping
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @OpenToAnybody
    @Operation(operationId = "signOut", summary = "Sign out")
    void end(HttpServletRequest request) {
        session.end(request);
    }

    @PutMapping(path = "/workshop", consumes = MediaType.APPLICATION_JSON_VALUE)
    @OpenTo(Role.GUEST)
    @Operation(operationId = "goToWorkshop", summary = "Go on in another workshop that one belongs to")
    SessionResponse goTo(@RequestBody GoToWorkshopRequest asked, HttpServletRequest request) {
        ValidationErrors.in(asked).throwIfAny();
        AtWork now = AtWork.now().orElseThrow();
        Role there = signIn.roleIn(asked.workshopId(), now.operator());
        if (!address.isOpen()) {
            return ALONE;
        }
        session.goTo(request, asked.workshopId());
        return of(new AtWork(now.operator(), asked.workshopId(), there), request);
    }
}
