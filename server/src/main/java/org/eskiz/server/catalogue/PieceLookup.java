package org.eskiz.server.catalogue;

import java.util.Optional;
import java.util.UUID;

/** Finds pieces that an operator owns; the locker brings it. */
public interface PieceLookup {

    /** A piece; empty where there is none, or nobody knows what it loses. */
    Optional<OwnedPiece> find(UUID piece, UUID operator);
}
