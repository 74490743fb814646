package org.eskiz.server.plan;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.UUID;
import org.eskiz.server.comparison.ComparisonResponse;
import org.jspecify.annotations.Nullable;
import tools.jackson.databind.JsonNode;

/**
 * A choice that was made.
 *
 * @param figures the row of the ledger as it was on that day
 * @param coreVersion version of the computation
 */
record DecisionResponse(
        UUID id,
        long planVersion,
        Instant decidedAt,
        String rowId,
        String cableName,
        String reason,

        @Schema(implementation = ComparisonResponse.RowResponse.class)
        JsonNode figures,

        String coreVersion,

        @Schema(description = "null where nobody's name stands on it") @Nullable
        String madeBy,

        @Schema(description = "null while it stands") @Nullable
        Instant withdrawnAt) {}
