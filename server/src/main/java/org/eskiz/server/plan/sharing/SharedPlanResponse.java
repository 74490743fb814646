package org.eskiz.server.plan.sharing;

import java.time.LocalDate;
import java.util.UUID;

/**
 * Where a link leads.
 *
 * @param endsOn the last day on which it does
 */
record SharedPlanResponse(UUID planId, LocalDate endsOn) {}
