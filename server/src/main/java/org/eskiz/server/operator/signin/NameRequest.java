package org.eskiz.server.operator.signin;

import jakarta.validation.constraints.NotNull;
import org.eskiz.server.problem.PlainText;

/** Another name. */
record NameRequest(
        @NotNull(message = "must be given") @PlainText(max = 100, blank = false)
        String name) {}
