package org.eskiz.server.operator.signin;

import java.time.Instant;

/**
 * Where one is signed in.
 *
 * @param id to sign out there; no secret
 * @param here whether it is this one
 * @param handheld whether it is a phone, by what its browser says
 * @param address it was begun from
 */
record OwnSessionResponse(String id, boolean here, boolean handheld, String address, Instant since, Instant lastUsed) {}
