package org.eskiz.server.plan;

import java.util.UUID;

/**
 * How a changed cable type moves a plan, on the band that it moves most.
 *
 * @param beforeDb total loss as it is
 * @param afterDb total loss as it would be
 */
record PlanEffectResponse(UUID planId, String site, String name, String bandName, double beforeDb, double afterDb) {}
