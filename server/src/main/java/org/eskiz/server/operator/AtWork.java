package org.eskiz.server.operator;

import java.io.Serializable;
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
 */
public record AtWork(UUID operator, UUID workshop, Role role) implements Serializable {

    /** The workshop and the operator that the migrations make, under one id. */
    static final UUID FIRST = UUID.fromString("00000000-0000-4000-8000-000000000001");

    /** Who is at work where nobody signs in, and what the server does by itself. */
    public static final AtWork ALONE = new AtWork(FIRST, FIRST, Role.KEEPER);

    /** Of the present request; empty where nobody has signed in. */
    public static Optional<AtWork> now() {
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
