package org.eskiz.server.locker;

import java.util.List;
import java.util.UUID;

/** What knows which kits a piece goes with. */
public interface KitNames {

    /** Names of the kits that have a piece in them. */
    List<String> with(UUID piece);
}
