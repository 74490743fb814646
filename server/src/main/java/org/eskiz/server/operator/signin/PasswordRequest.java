package org.eskiz.server.operator.signin;

import jakarta.validation.constraints.NotNull;
import org.eskiz.server.problem.PlainText;

/** Another password. */
record PasswordRequest(
        @NotNull(message = "must be given") @PlainText(max = 1000)
        String old,

        @NotNull(message = "must be given") @PlainText(max = 1000)
        String password) {

    @Override
    public String toString() {
        return "PasswordRequest[]";
    }
}
