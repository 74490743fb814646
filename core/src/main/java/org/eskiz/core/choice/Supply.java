package org.eskiz.core.choice;

import java.util.Optional;

/**
 * How an element of a run comes to be there.
 *
 * @param owned whether it is there already, and so nothing of it is bought
 * @param barrel of a joint: whether a barrel between two plugs
 * @param price of it as one piece: a device, a made-up jumper; empty where not known
 * @param cable of a line that no candidate replaces: what it is cut from
 */
public record Supply(boolean owned, boolean barrel, Optional<Money> price, Optional<Candidate> cable) {

    /** To be bought, at a price that nobody knows. */
    public static final Supply TO_BUY = new Supply(false, false, Optional.empty(), Optional.empty());
}
