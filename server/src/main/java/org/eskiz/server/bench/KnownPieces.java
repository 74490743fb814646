package org.eskiz.server.bench;

import java.util.Optional;
import java.util.UUID;

/** Which pieces there are; the locker brings it. */
public interface KnownPieces {

    /** The label of a piece; empty where there is none. */
    Optional<String> find(UUID piece);
}
