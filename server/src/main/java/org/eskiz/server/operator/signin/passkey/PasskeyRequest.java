package org.eskiz.server.operator.signin.passkey;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.NotNull;
import org.eskiz.server.problem.PlainText;
import tools.jackson.databind.JsonNode;

/**
 * A key that a device has made.
 *
 * @param name by which its owner knows it
 */
record PasskeyRequest(
        @NotNull(message = "must be given") @PlainText(max = 100, blank = false)
        String name,

        @Schema(implementation = Object.class, description = "what navigator.credentials.create gave, as JSON")
        @NotNull(message = "must be given")
        JsonNode credential) {}
