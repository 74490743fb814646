package org.eskiz.server.site;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import org.eskiz.server.problem.PlainText;

/** What is said of a site, in a file. */
public record SiteInFile(
        @NotNull(message = "must be given") @PlainText(max = 120, blank = false)
        String name,

        @NotNull(message = "must be given") @Valid SiteDocument document) {}
