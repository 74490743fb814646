package org.eskiz.server.operator.signin;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.operator.Role;
import org.eskiz.server.operator.Settings;

/**
 * All that is stored about a person. What they made belongs to the workshop and is counted here; its file has the rest.
 *
 * @param hasPassword whether there is one; only its hash is stored
 * @param passkeys their names; stored are the public halves of them
 * @param taste how they like to work, beside what holds for all of their workshop
 * @param sessions where they are signed in, with the addresses they came from
 * @param done how much carries their name
 */
record OwnRecordResponse(
        UUID id,
        String name,
        Instant since,
        boolean hasPassword,
        List<String> passkeys,
        List<MembershipResponse> workshops,
        Settings taste,
        List<OwnSessionResponse> sessions,
        List<DoneResponse> done) {

    /** A workshop that they belong to. */
    record MembershipResponse(UUID id, String name, Role role) {}

    /**
     * What carries their name in the workshop they are in.
     *
     * @param kind as what happened tells it
     */
    record DoneResponse(String kind, long count) {}
}
