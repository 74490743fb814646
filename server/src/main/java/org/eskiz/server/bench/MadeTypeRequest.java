package org.eskiz.server.bench;

import jakarta.validation.constraints.NotNull;
import org.eskiz.server.problem.PlainText;

/** What a cable type that is made of a test is to be called. */
record MadeTypeRequest(
        @NotNull(message = "must be given") @PlainText(max = 120, blank = false)
        String name) {}
