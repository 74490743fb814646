package org.eskiz.server.locker;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.operator.WorkshopService;
import org.springframework.stereotype.Component;

/** Brings together what is known of pieces; of all of them at once in a few queries, however many there are. */
@Component
class PieceHistoryReader {

    private final PieceRepository pieces;
    private final PieceLives lives;
    private final CatalogueService catalogues;
    private final WorkshopService workshops;

    PieceHistoryReader(
            PieceRepository pieces, PieceLives lives, CatalogueService catalogues, WorkshopService workshops) {
        this.pieces = pieces;
        this.lives = lives;
        this.catalogues = catalogues;
        this.workshops = workshops;
    }

    /** Of every piece that is there. */
    List<PieceHistory> all() {
        Map<UUID, PieceLife> known = lives.all();
        // one that came meanwhile is not known yet
        return histories(
                pieces.findByWorkshopIdAndDeletedAtIsNull(workshops.current()).stream()
                        .filter(p -> known.containsKey(p.id))
                        .toList(),
                known);
    }

    /** Of some. */
    List<PieceHistory> of(Collection<PieceEntity> some) {
        return histories(some, lives.of(some.stream().map(p -> p.id).toList()));
    }

    PieceHistory of(PieceEntity piece) {
        return of(List.of(piece)).get(0);
    }

    private List<PieceHistory> histories(Collection<PieceEntity> some, Map<UUID, PieceLife> known) {
        Catalogue catalogue = catalogues.current();
        Map<UUID, String> keys = catalogues.keys();
        return some.stream()
                .map(p -> new PieceHistory(p, type(p, keys, catalogue), known.get(p.id)))
                .toList();
    }

    private static Optional<CableType> type(PieceEntity piece, Map<UUID, String> keys, Catalogue catalogue) {
        return Optional.ofNullable(piece.cableTypeId).map(keys::get).flatMap(catalogue::cableType);
    }
}
