package org.eskiz.server.operator.signin;

import jakarta.validation.constraints.NotNull;
import org.eskiz.server.problem.PlainText;

/** The secret of a one-time link. */
record SecretRequest(
        @NotNull(message = "must be given") @PlainText(max = 100)
        String secret) {

    @Override
    public String toString() {
        return "SecretRequest[]";
    }
}
