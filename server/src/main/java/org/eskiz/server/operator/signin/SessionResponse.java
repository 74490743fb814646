package org.eskiz.server.operator.signin;

import java.util.List;
import java.util.UUID;
import org.eskiz.server.operator.Role;
import org.jspecify.annotations.Nullable;

/**
 * Who is at work, for the page.
 *
 * @param open whether this server is open to others, who sign in
 * @param operator null for nobody, and where nobody signs in
 * @param workshop likewise
 * @param role null for nobody
 * @param workshops all that they belong to
 * @param csrf goes with everything that changes something, as the header X-CSRF-TOKEN; null for nobody
 */
record SessionResponse(
        boolean open,
        @Nullable NamedResponse operator,
        @Nullable NamedResponse workshop,
        @Nullable Role role,
        List<NamedResponse> workshops,
        @Nullable String csrf) {

    /** An operator or a workshop. */
    record NamedResponse(UUID id, String name) {}
}
