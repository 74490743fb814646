package org.eskiz.server.plan;

import io.swagger.v3.oas.annotations.media.Schema;

/** How the cable in a plan's run came to lie there. */
@Schema(name = "CableStanding", enumAsRef = true)
public enum CableStanding {
    /** The plan follows the ledger, and it comes first there. */
    SUGGESTED,
    /** By hand. */
    PICKED,
    /** By a decision that stands. */
    CHOSEN
}
