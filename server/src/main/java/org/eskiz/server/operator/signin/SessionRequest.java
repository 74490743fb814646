package org.eskiz.server.operator.signin;

import jakarta.validation.constraints.NotNull;
import org.eskiz.server.problem.PlainText;

/** A name and a password. */
record SessionRequest(
        @NotNull(message = "must be given") @PlainText(max = 100)
        String name,

        @NotNull(message = "must be given") @PlainText(max = 1000)
        String password) {

    @Override
    public String toString() {
        return "SessionRequest[" + name + "]";
    }
}
