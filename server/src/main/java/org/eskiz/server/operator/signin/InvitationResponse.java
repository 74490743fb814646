package org.eskiz.server.operator.signin;

import java.time.Instant;
import org.eskiz.server.operator.Role;
import org.jspecify.annotations.Nullable;

/**
 * What a one-time link is good for.
 *
 * @param person whom it lets back in; null where it is for somebody who joins, or who has had no password yet
 */
record InvitationResponse(
        String workshop, Role role, @Nullable String person, Instant endsAt) {}
