package org.eskiz.server.operator.signin;

import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import org.eskiz.server.problem.PlainText;

/** A workshop to begin. */
record WorkshopRequest(
        @NotNull(message = "must be given") UUID id,

        @NotNull(message = "must be given") @PlainText(max = 100, blank = false)
        String name) {}
