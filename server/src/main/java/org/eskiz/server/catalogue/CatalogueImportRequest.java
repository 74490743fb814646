package org.eskiz.server.catalogue;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.eskiz.server.problem.PlainText;

/**
 * A file of cable types, of connectors, or (JSON) of both.
 *
 * @param fileName ends in .json for JSON; anything else is read as CSV
 * @param lines those to be taken; null for all that can be
 */
public record CatalogueImportRequest(
        @NotNull(message = "must be given") @PlainText(max = 255)
        String fileName,

        @NotNull(message = "must be given") @Size(max = 2_000_000, message = "must be at most {max} characters")
        String text,

        @Size(max = 5000, message = "must be at most {max} lines")
        List<@NotNull(message = "must be a line, not null") Integer> lines) {}
