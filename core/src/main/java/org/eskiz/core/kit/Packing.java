package org.eskiz.core.kit;

import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What goes into the bag with a kit.
 *
 * @param adapters of each kind, how many the kit needs; one more of each goes as a spare
 * @param spare the piece that could stand in for any one of the kit: the shortest of the others that is as long as the kit's longest
 *     and ends in something the kit ends in; empty where there is none
 */
public record Packing(Map<Coupling.Adapter, Integer> adapters, Optional<OwnedPiece> spare) {

    /** Packs a kit, with a spare from what else is there. */
    public static Packing of(Kit kit, List<OwnedPiece> others) {
        Map<Coupling.Adapter, Integer> adapters = new LinkedHashMap<>();
        kit.adapters().forEach(a -> adapters.merge(sameEitherWay(a, adapters), 1, Integer::sum));
        double longestM = kit.pieces().stream()
                .mapToDouble(l -> l.piece().lengthM())
                .max()
                .orElseThrow();
        Optional<OwnedPiece> spare = others.stream()
                .filter(p -> p.lengthM() >= longestM)
                .filter(p -> kit.pieces().stream().noneMatch(l -> l.piece().id().equals(p.id())))
                .filter(p -> kit.pieces().stream().anyMatch(l -> endsAlike(l.piece(), p)))
                .min(Comparator.comparingDouble(OwnedPiece::lengthM).thenComparingDouble(OwnedPiece::lossDb));
        return new Packing(adapters, spare);
    }

    /** An adapter turned round is the same adapter. */
    private static Coupling.Adapter sameEitherWay(Coupling.Adapter adapter, Map<Coupling.Adapter, Integer> known) {
        var turned = new Coupling.Adapter(adapter.far(), adapter.near());
        return known.containsKey(turned) ? turned : adapter;
    }

    private static boolean endsAlike(OwnedPiece a, OwnedPiece b) {
        return (a.near().equals(b.near()) && a.far().equals(b.far()))
                || (a.near().equals(b.far()) && a.far().equals(b.near()));
    }
}
