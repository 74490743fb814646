package org.eskiz.server.operator;

import java.util.Optional;
import java.util.UUID;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.security.core.Authentication;
import org.springframework.security.core.authority.AuthorityUtils;
import org.springframework.security.core.context.SecurityContextHolder;

/**
 * Who is at work, and where.
 *
 * @param workshop whose plans, cables, tests and pieces are at hand
 * @param onlyPlan the one plan that is at hand to whoever comes by a link to it
 */
public record AtWork(UUID operator, UUID workshop, Role role, Optional<UUID> onlyPlan) {

    /** The workshop and the operator that the migrations make, under one id. */
    static final UUID FIRST = UUID.fromString("00000000-0000-4000-8000-000000000001");

    /** Who is at work where nobody signs in. */
    public static final AtWork ALONE = new AtWork(FIRST, FIRST, Role.KEEPER);

    /** The operator of what nobody does. */
    static final UUID NOBODY = new UUID(0, 0);

    /** What the server does by itself, in the first workshop: nobody's name stands on it. */
    static final AtWork BY_ITSELF = new AtWork(NOBODY, FIRST, Role.KEEPER);

    public AtWork(UUID operator, UUID workshop, Role role) {
        this(operator, workshop, role, Optional.empty());
    }

    /** Somebody who was given a link to a plan, and belongs to no workshop. */
    public static AtWork visiting(UUID plan, UUID workshop) {
        return new AtWork(NOBODY, workshop, Role.GUEST, Optional.of(plan));
    }

    /** For whom this thread works right now; whatever asks the database for their things asks this. */
    private static final ThreadLocal<AtWork> PRESENT = new ThreadLocal<>();

    static void begin(AtWork atWork) {
        PRESENT.set(atWork);
    }

    static void end() {
        PRESENT.remove();
    }

    static Optional<AtWork> present() {
        return Optional.ofNullable(PRESENT.get());
    }

    /** Who is at work; empty where nobody is. */
    public static Optional<AtWork> now() {
        return present().or(AtWork::signedIn);
    }

    /** Who has signed in by the session of the present request; where nobody signs in, who is alone. */
    public static Optional<AtWork> signedIn() {
        Authentication authentication = SecurityContextHolder.getContext().getAuthentication();
        return authentication != null && authentication.getPrincipal() instanceof AtWork atWork
                ? Optional.of(atWork)
                : Optional.empty();
    }

    public Authentication authentication() {
        return UsernamePasswordAuthenticationToken.authenticated(
                this, null, AuthorityUtils.createAuthorityList("ROLE_" + role.name()));
    }
}
