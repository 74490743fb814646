package org.eskiz.server.operator.signin.passkey;

import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** A key of one's own. */
record PasskeyResponse(
        UUID id, String name, Instant madeAt, @Nullable Instant usedAt) {}
