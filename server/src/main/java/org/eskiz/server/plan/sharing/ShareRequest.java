package org.eskiz.server.plan.sharing;

import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;

/** @param endsOn the last day on which the link leads to the plan */
record ShareRequest(@NotNull(message = "must be given") LocalDate endsOn) {}
