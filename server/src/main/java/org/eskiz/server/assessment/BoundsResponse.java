package org.eskiz.server.assessment;

import org.jspecify.annotations.Nullable;

/**
 * Smallest and largest over the angles of the load.
 *
 * @param min null for an SWR without limit
 * @param max null likewise
 */
public record BoundsResponse(@Nullable Double min, @Nullable Double max) {}
