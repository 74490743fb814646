package org.eskiz.server.locker;

import java.util.Collection;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.eskiz.server.bench.PieceTest;
import org.eskiz.server.bench.PieceTests;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.operator.OperatorService;
import org.springframework.stereotype.Component;

/** Brings together what is known of pieces; of all of them at once in a few queries, however many there are. */
@Component
class PieceHistoryReader {

    private static final int AT_A_TIME = 400;

    private final PieceRepository pieces;

    private final OutingRepository outings;
    private final PieceTests tests;
    private final CatalogueService catalogues;
    private final OperatorService operators;

    PieceHistoryReader(
            PieceRepository pieces,
            OutingRepository outings,
            PieceTests tests,
            CatalogueService catalogues,
            OperatorService operators) {
        this.pieces = pieces;
        this.outings = outings;
        this.tests = tests;
        this.catalogues = catalogues;
        this.operators = operators;
    }

    /** Of every piece that is there. */
    List<PieceHistory> all() {
        UUID operator = operators.current();
        Catalogue catalogue = catalogues.current();
        Map<UUID, String> keys = catalogues.keys();
        List<PieceEntity> there = pieces.findByOperatorIdAndDeletedAtIsNull(operator);
        Map<UUID, List<PieceTest>> testsByPiece = new HashMap<>();
        // tests are much text to read: a few hundred pieces' at a time are in the memory
        for (int from = 0; from < there.size(); from += AT_A_TIME) {
            List<UUID> some = there.subList(from, Math.min(there.size(), from + AT_A_TIME)).stream()
                    .map(p -> p.id)
                    .toList();
            testsByPiece.putAll(tests.of(some, operator, catalogue));
        }
        Map<UUID, List<OutingEntity>> outingsByPiece =
                outings.all(operator).stream().collect(Collectors.groupingBy(o -> o.pieceId));
        return there.stream()
                .map(p -> new PieceHistory(
                        p,
                        type(p, keys, catalogue),
                        testsByPiece.getOrDefault(p.id, List.of()),
                        outingsByPiece.getOrDefault(p.id, List.of())))
                .toList();
    }

    /** Of some. */
    List<PieceHistory> of(Collection<PieceEntity> some) {
        Catalogue catalogue = catalogues.current();
        Map<UUID, String> keys = catalogues.keys();
        List<UUID> ids = some.stream().map(p -> p.id).toList();
        Map<UUID, List<OutingEntity>> outingsByPiece =
                outings.findByPieceIdInOrderByTakenOn(ids).stream().collect(Collectors.groupingBy(o -> o.pieceId));
        Map<UUID, List<PieceTest>> testsByPiece = tests.of(ids, operators.current(), catalogue);
        return some.stream()
                .map(p -> new PieceHistory(
                        p,
                        type(p, keys, catalogue),
                        testsByPiece.getOrDefault(p.id, List.of()),
                        outingsByPiece.getOrDefault(p.id, List.of())))
                .toList();
    }

    PieceHistory of(PieceEntity piece) {
        return of(List.of(piece)).get(0);
    }

    private static Optional<CableType> type(PieceEntity piece, Map<UUID, String> keys, Catalogue catalogue) {
        return Optional.ofNullable(piece.cableTypeId).map(keys::get).flatMap(catalogue::cableType);
    }
}
