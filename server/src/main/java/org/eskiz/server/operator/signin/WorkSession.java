package org.eskiz.server.operator.signin;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpSession;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.server.operator.AtWork;
import org.eskiz.server.operator.LinkedVisits;
import org.eskiz.server.operator.signin.MembershipRepository.Place;
import org.eskiz.server.web.PublicAddress;
import org.springframework.http.HttpHeaders;
import org.springframework.security.core.context.SecurityContext;
import org.springframework.security.core.context.SecurityContextImpl;
import org.springframework.security.web.context.HttpRequestResponseHolder;
import org.springframework.security.web.context.SecurityContextRepository;
import org.springframework.session.FindByIndexNameSessionRepository;
import org.springframework.stereotype.Component;

/**
 * What a session knows: whose it is and in which workshop they work. What they may do there is looked up with every request,
 * so that somebody who was let go or is another's guest now is so at once.
 */
@Component
class WorkSession implements SecurityContextRepository {

    static final String OPERATOR = FindByIndexNameSessionRepository.PRINCIPAL_NAME_INDEX_NAME;
    static final String ADDRESS = "address";
    static final String HANDHELD = "handheld";
    private static final String WORKSHOP = "workshop";

    private final MembershipRepository memberships;
    private final LinkedVisits visits;
    private final PublicAddress address;

    WorkSession(MembershipRepository memberships, LinkedVisits visits, PublicAddress address) {
        this.memberships = memberships;
        this.visits = visits;
        this.address = address;
    }

    /** Begins one, under an id that nobody knew before. */
    void begin(HttpServletRequest request, UUID operator, UUID workshop) {
        end(request);
        HttpSession session = request.getSession(true);
        session.setAttribute(OPERATOR, operator.toString());
        session.setAttribute(WORKSHOP, workshop.toString());
        session.setAttribute(ADDRESS, request.getRemoteAddr());
        session.setAttribute(HANDHELD, isHandheld(request));
    }

    private static boolean isHandheld(HttpServletRequest request) {
        String agent = request.getHeader(HttpHeaders.USER_AGENT);
        return agent != null && agent.contains("Mobi");
    }

    void end(HttpServletRequest request) {
        HttpSession session = request.getSession(false);
        if (session != null) {
            session.invalidate();
        }
    }

    /** Goes over to another workshop. */
    void goTo(HttpServletRequest request, UUID workshop) {
        request.getSession(true).setAttribute(WORKSHOP, workshop.toString());
    }

    private Optional<AtWork> read(HttpServletRequest request) {
        String link = request.getHeader(LinkedVisits.HEADER);
        if (link != null) {
            return visits.by(link);
        }
        if (!address.isOpen()) {
            return Optional.of(AtWork.ALONE);
        }
        HttpSession session = request.getSession(false);
        if (session == null || !(session.getAttribute(OPERATOR) instanceof String operator)) {
            return Optional.empty();
        }
        UUID id = UUID.fromString(operator);
        List<Place> places = memberships.placesOf(id);
        return places.stream()
                .filter(p -> p.workshop().toString().equals(session.getAttribute(WORKSHOP)))
                .findFirst()
                .or(() -> places.stream().findFirst())
                .map(place -> new AtWork(id, place.workshop(), place.role()));
    }

    @Override
    @Deprecated
    @SuppressWarnings({"deprecation", "InlineMeSuggester"})
    public SecurityContext loadContext(HttpRequestResponseHolder holder) {
        return read(holder.getRequest())
                .map(atWork -> new SecurityContextImpl(atWork.authentication()))
                .orElseGet(SecurityContextImpl::new);
    }

    @Override
    public void saveContext(SecurityContext context, HttpServletRequest request, HttpServletResponse response) {
        // nothing of it is kept: it is looked up anew
    }

    @Override
    public boolean containsContext(HttpServletRequest request) {
        return read(request).isPresent();
    }
}
