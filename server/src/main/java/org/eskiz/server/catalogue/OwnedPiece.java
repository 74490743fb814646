package org.eskiz.server.catalogue;

import java.util.UUID;

/**
 * A piece that the operator owns, as far as a run needs it.
 *
 * @param lengthM as it is now
 * @param cable it taken as a cable of its own: what was measured of it stands in place of what its type says; its key is
 *     {@code piece:} and its id, which no type can have
 */
public record OwnedPiece(UUID id, String label, double lengthM, CableType cable) {

    /** The key that a piece goes by among cables. */
    public static String key(UUID id) {
        return "piece:" + id;
    }
}
