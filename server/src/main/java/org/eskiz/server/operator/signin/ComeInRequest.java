package org.eskiz.server.operator.signin;

import jakarta.validation.constraints.NotNull;
import org.eskiz.server.problem.PlainText;
import org.jspecify.annotations.Nullable;

/**
 * A one-time link, used.
 *
 * @param secret of the link
 * @param name of whoever joins; left out by those who have one here
 * @param password of their own; left out by those who have signed in
 */
record ComeInRequest(
        @NotNull(message = "must be given") @PlainText(max = 100)
        String secret,

        @Nullable @PlainText(max = 100) String name,
        @Nullable @PlainText(max = 1000) String password) {

    @Override
    public String toString() {
        return "ComeInRequest[" + name + "]";
    }
}
