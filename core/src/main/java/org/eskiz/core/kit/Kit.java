package org.eskiz.core.kit;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * A run made of pieces.
 *
 * @param pieces from the radio on
 * @param atRadio how it meets what the radio offers; empty where nobody said what that is
 * @param between how each piece meets the next, one fewer than pieces
 * @param atAntenna how it meets what the antenna offers; empty where nobody said what that is
 * @param lengthM of its pieces together
 * @param leftOverM how much longer that is than was wanted
 * @param lossDb of pieces and joints, on the band that decides
 * @param massKg of its pieces, without adapters; empty where that of one is not known
 */
public record Kit(
        List<Laid> pieces,
        Optional<Coupling> atRadio,
        List<Coupling> between,
        Optional<Coupling> atAntenna,
        double lengthM,
        double leftOverM,
        double lossDb,
        OptionalDouble massKg) {

    public Kit {
        pieces = List.copyOf(pieces);
        between = List.copyOf(between);
    }

    /**
     * A piece in its place.
     *
     * @param turned whether its far end points to the radio
     */
    public record Laid(OwnedPiece piece, boolean turned) {

        End toRadio() {
            return turned ? piece.far() : piece.near();
        }

        End toAntenna() {
            return turned ? piece.near() : piece.far();
        }
    }

    /**
     * What pieces lose that are laid one behind the other: each of them, and every mated pair between two; not the pairs at
     * radio and antenna, which nobody has named.
     *
     * @param pairLossDb loss of one mated pair by kind of connector
     */
    public static double seriesLossDb(List<Laid> laid, ToDoubleFunction<String> pairLossDb) {
        double pieces = laid.stream().mapToDouble(l -> l.piece().lossDb()).sum();
        double pairs = IntStream.range(1, laid.size())
                .mapToObj(i ->
                        Coupling.of(laid.get(i - 1).toAntenna(), laid.get(i).toRadio()))
                .flatMap(c -> c.mated().stream())
                .mapToDouble(pairLossDb)
                .sum();
        return pieces + pairs;
    }

    /** All of its couplings, from the radio on. */
    public List<Coupling> couplings() {
        return Stream.of(atRadio.stream(), between.stream(), atAntenna.stream())
                .flatMap(s -> s)
                .toList();
    }

    /** Mated pairs, those at radio and antenna included where they are known. */
    public int matedPairs() {
        return couplings().stream().mapToInt(c -> c.mated().size()).sum();
    }

    /** Adapters to be packed with it. */
    public List<Coupling.Adapter> adapters() {
        return couplings().stream().flatMap(c -> c.adapter().stream()).toList();
    }
}
