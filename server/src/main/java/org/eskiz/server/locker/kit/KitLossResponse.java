package org.eskiz.server.locker.kit;

import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What a kit loses.
 *
 * @param lossDb of its pieces laid end to end with the pairs between them, at 20 °C; null where a piece of it is gone, was never
 *     measured and has no type, or has an end that nobody knows
 */
record KitLossResponse(UUID kitId, @Nullable Double lossDb) {}
