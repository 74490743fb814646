package org.eskiz.core.choice;

import java.util.Optional;
import java.util.OptionalDouble;
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
 * @param soldInM whole lengths it is sold in, m: a reel, or cut lengths; empty for by the metre
 * @param mechanics what of it can be held in the hand
 * @param ratings what it bears
 * @param tolerance how far its attenuation may be off what is said of it, as a fraction; 0.1 for ±10 %
 * @param owned whether it is there already, as long as it is: a piece of the locker
 */
public record Candidate(
        String id,
        Cable cable,
        boolean balanced,
        Optional<Money> pricePerM,
        OptionalDouble soldInM,
        Mechanics mechanics,
        Ratings ratings,
        double tolerance,
        boolean owned) {

    public Candidate {
        Require.notNegative("tolerance", tolerance);
        if (tolerance >= 1) {
            throw new IllegalArgumentException("tolerance must be below 1, not " + tolerance);
        }
    }

    /** A cable that has to be bought. */
    public Candidate(
            String id,
            Cable cable,
            boolean balanced,
            Optional<Money> pricePerM,
            OptionalDouble soldInM,
            Mechanics mechanics,
            Ratings ratings,
            double tolerance) {
        this(id, cable, balanced, pricePerM, soldInM, mechanics, ratings, tolerance, false);
    }

    /** A cable of which no more is known than what it loses, and that surely. */
    public Candidate(String id, Cable cable) {
        this(id, cable, false, Optional.empty(), OptionalDouble.empty(), Mechanics.UNKNOWN, Ratings.UNKNOWN, 0);
    }
}
