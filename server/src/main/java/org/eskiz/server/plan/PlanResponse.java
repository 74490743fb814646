package org.eskiz.server.plan;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.UUID;
import org.eskiz.server.document.PlanDocument;
import tools.jackson.databind.JsonNode;

/** A plan as it is stored. */
record PlanResponse(
        UUID id,
        long version,
        String site,
        String name,
        boolean demo,
        Instant createdAt,
        Instant updatedAt,
        @Schema(implementation = PlanDocument.class) JsonNode document) {}
