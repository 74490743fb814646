package org.eskiz.server.plan;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import org.eskiz.server.document.PlanDocument;
import org.eskiz.server.problem.PlainText;
import tools.jackson.databind.JsonNode;

/**
 * A plan to be stored.
 *
 * @param id made by the client; for a create only
 * @param version the version that was changed; for a save only
 * @param site the place; plans of one place stay together
 * @param name what the operator calls it
 */
public record PlanRequest(
        UUID id,
        Long version,

        @NotNull(message = "must be given") @PlainText(max = 120)
        String site,

        @NotNull(message = "must be given") @PlainText(max = 120, blank = false)
        String name,

        @NotNull(message = "must be given") @Schema(implementation = PlanDocument.class)
        JsonNode document) {}
