package org.eskiz.server.plan.sharing;

import java.time.Instant;
import java.time.LocalDate;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A link that stands. The link itself is told once, to whoever makes it.
 *
 * @param madeBy null where nobody's name stands on it
 * @param endsOn the last day on which it leads to the plan
 */
record ShareResponse(UUID id, Instant madeAt, @Nullable String madeBy, LocalDate endsOn) {}
