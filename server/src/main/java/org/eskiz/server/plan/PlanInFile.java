package org.eskiz.server.plan;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.document.PlanDocument;
import org.eskiz.server.problem.PlainText;
import tools.jackson.databind.JsonNode;

/**
 * A plan in a file, with every choice that was made in it. What it said before is not in the file.
 *
 * @param document as {@code GET /api/plans/{id}} has it
 */
public record PlanInFile(
        @NotNull(message = "must be given") UUID id,

        @NotNull(message = "must be given") @PlainText(max = 120)
        String site,

        @NotNull(message = "must be given") @PlainText(max = 120, blank = false)
        String name,

        @NotNull(message = "must be given") @Schema(implementation = PlanDocument.class)
        JsonNode document,

        @Size(max = 500, message = "must be at most {max} decisions")
        List<@NotNull(message = "must be a decision, not null") @Valid DecisionInFile> decisions) {

    /**
     * A choice, with the figures of its day.
     *
     * @param withdrawnAt null while it stands
     */
    public record DecisionInFile(
            @NotNull(message = "must be given") UUID id,
            @NotNull(message = "must be given") Instant decidedAt,

            @NotNull(message = "must be given") @PlainText(max = 300)
            String rowId,

            @NotNull(message = "must be given") @PlainText(max = 300)
            String cableName,

            @NotNull(message = "must be given") @PlainText(max = 4000)
            String reason,

            @NotNull(message = "must be given") @Schema(type = "object")
            JsonNode figures,

            @NotNull(message = "must be given") @PlainText(max = 60)
            String coreVersion,

            Instant withdrawnAt) {}
}
