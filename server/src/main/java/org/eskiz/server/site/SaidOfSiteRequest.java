package org.eskiz.server.site;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import org.eskiz.server.problem.Within;
import org.jspecify.annotations.Nullable;

/**
 * What is said of a site.
 *
 * @param version that the change starts from; null where nothing was said of it before
 */
public record SaidOfSiteRequest(
        @Nullable @Within(what = "version", min = 0, max = Long.MAX_VALUE)
        Long version,

        @NotNull(message = "must be given") @Valid SiteDocument document) {}
