package org.eskiz.server.assessment;

import org.eskiz.server.problem.OrNull;

/**
 * Smallest and largest over the angles of the load.
 *
 * @param min null for an SWR without limit
 * @param max null likewise
 */
public record BoundsResponse(@OrNull Double min, @OrNull Double max) {}
