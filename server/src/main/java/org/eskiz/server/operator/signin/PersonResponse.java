package org.eskiz.server.operator.signin;

import java.time.Instant;
import java.util.UUID;
import org.eskiz.server.operator.Role;

/**
 * Somebody of the workshop.
 *
 * @param since when they came to it
 */
record PersonResponse(UUID id, String name, Role role, Instant since) {}
