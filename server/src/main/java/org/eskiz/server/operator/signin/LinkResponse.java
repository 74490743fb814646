package org.eskiz.server.operator.signin;

import java.time.Instant;
import java.util.UUID;
import org.eskiz.server.operator.Role;
import org.jspecify.annotations.Nullable;

/**
 * A link that waits to be used.
 *
 * @param role that whoever uses it has
 * @param person whom it lets back in; null where it is for somebody who joins
 * @param madeBy who made it; null where it was made on the server
 */
record LinkResponse(
        UUID id,
        Role role,
        @Nullable String person,
        @Nullable String madeBy,
        Instant endsAt) {}
