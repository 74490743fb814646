package org.eskiz.server.operator.signin;

import jakarta.validation.constraints.NotNull;
import java.util.UUID;

/** Which workshop to go on in. */
record GoToWorkshopRequest(
        @NotNull(message = "must be given") UUID workshopId) {}
