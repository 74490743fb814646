package org.eskiz.server.plan;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import org.eskiz.server.document.CableSpec;
import org.eskiz.server.problem.PlainText;

/**
 * A change of a cable type that is not stored yet.
 *
 * @param key of the type
 * @param cable what it would be
 */
record PlanEffectRequest(
        @NotNull(message = "must be given") @PlainText(max = 64)
        String key,

        @NotNull(message = "must be given") @Valid CableSpec cable) {}
