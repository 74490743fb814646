package org.eskiz.server.operator.signin.passkey;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.validation.constraints.NotNull;
import tools.jackson.databind.JsonNode;

/** What a device has signed. */
record PasskeySignInRequest(
        @Schema(implementation = Object.class, description = "what navigator.credentials.get gave, as JSON")
        @NotNull(message = "must be given")
        JsonNode credential) {}
