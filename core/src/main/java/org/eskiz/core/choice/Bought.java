package org.eskiz.core.choice;

import java.util.Optional;
import java.util.OptionalInt;

/**
 * Something to be bought for a run.
 *
 * @param kind what it is
 * @param cable the cable; empty for anything else
 * @param element index of the element that it is for; empty for a cable
 * @param needed of a cable m, of anything else pieces
 * @param bought likewise; of a cable more, where it is sold in whole lengths
 * @param amount what that costs; empty where not known
 */
public record Bought(
        Kind kind,
        Optional<Candidate> cable,
        OptionalInt element,
        double needed,
        double bought,
        Optional<Money> amount) {

    public enum Kind {
        /** Cut from a reel or by the metre. */
        CABLE,
        /** The connector of one end of a cable. */
        PLUG,
        /** What joins two plugs. */
        BARREL,
        /** A device, a transformer, a jumper as it comes. */
        PIECE
    }

    static Bought cable(Candidate cable, double needed, double bought) {
        return new Bought(
                Kind.CABLE,
                Optional.of(cable),
                OptionalInt.empty(),
                needed,
                bought,
                cable.pricePerM().map(p -> p.times(bought)));
    }

    static Bought pieces(Kind kind, int element, int count, Optional<Money> price) {
        return new Bought(
                kind, Optional.empty(), OptionalInt.of(element), count, count, price.map(p -> p.times(count)));
    }
}
