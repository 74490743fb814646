package org.eskiz.server.site;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import org.jspecify.annotations.Nullable;

/**
 * A site.
 *
 * @param plans how many carry its name
 */
record SiteResponse(
        String name,

        @Schema(description = "null until something was said of it") @Nullable
        Long version,

        @Schema(description = "null likewise") @Nullable Instant updatedAt,

        long plans,
        SiteDocument document) {}
