package org.eskiz.core.choice;

import java.util.Optional;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.Mechanics;
import org.eskiz.core.cable.Ratings;
import org.eskiz.core.unit.Require;

/**
 * A cable that may be chosen.
 *
 * @param id how the caller knows it
 * @param cable what the computation needs of it
 * @param balanced whether it is a balanced line: two conductors alike, not coaxial
 * @param pricePerM empty when not known
 * @param mechanics what of it can be held in the hand
 * @param ratings what it bears
 * @param tolerance how far its attenuation may be off what is said of it, as a fraction; 0.1 for ±10 %
 */
public record Candidate(
        String id,
        Cable cable,
        boolean balanced,
        Optional<Money> pricePerM,
        Mechanics mechanics,
        Ratings ratings,
        double tolerance) {

    public Candidate {
        Require.notNegative("tolerance", tolerance);
        if (tolerance >= 1) {
            throw new IllegalArgumentException("tolerance must be below 1, not " + tolerance);
        }
    }

    /** A cable of which no more is known than what it loses, and that surely. */
    public Candidate(String id, Cable cable) {
        this(id, cable, false, Optional.empty(), Mechanics.UNKNOWN, Ratings.UNKNOWN, 0);
    }
}
