package org.eskiz.server.plan;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A plan in a list.
 *
 * @param chosen name of the cable chosen last and not withdrawn
 */
record PlanSummary(
        UUID id,
        long version,
        String site,
        String name,
        boolean demo,
        Instant updatedAt,

        @Schema(description = "null when nothing is chosen") @Nullable
        String chosen,

        @Nullable @Schema(description = "null where the plan cannot be assessed as it stands")
        PlanSketch sketch) {}
