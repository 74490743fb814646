package org.eskiz.server.catalogue;

import java.util.Collection;
import java.util.Map;
import java.util.UUID;

/** Finds pieces that an operator owns; the locker brings it. */
public interface PieceLookup {

    /** Of some pieces those that are there and of which somebody knows what they lose, by their ids. */
    Map<UUID, FoundPiece> find(Collection<UUID> pieces, UUID workshop);

    /**
     * A piece that the operator owns, as far as a run needs it.
     *
     * @param lengthM as it is now
     * @param cable it taken as a cable of its own: what was measured of it stands in place of what its type says; its key is
     *     {@code piece:} and its id, which no type can have
     */
    record FoundPiece(UUID id, String label, double lengthM, CableType cable) {

        /** The key that a piece goes by among cables. */
        public static String key(UUID id) {
            return "piece:" + id;
        }
    }
}
