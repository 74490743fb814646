package org.eskiz.server.locker;

import java.time.Clock;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.store.KeysetOrder;
import org.eskiz.server.store.ListPage;
import org.springframework.data.jpa.domain.Specification;
import org.springframework.stereotype.Service;

/** Lists the locker, in parts. */
@Service
class PieceListService {

    private final PieceLives lives;
    private final PieceLifeRepository listed;
    private final PieceRepository pieces;
    private final PieceHistoryReader histories;
    private final PieceMapper mapper;
    private final CatalogueService catalogues;
    private final WorkshopService workshops;
    private final Clock clock;

    PieceListService(
            PieceLives lives,
            PieceLifeRepository listed,
            PieceRepository pieces,
            PieceHistoryReader histories,
            PieceMapper mapper,
            CatalogueService catalogues,
            WorkshopService workshops,
            Clock clock) {
        this.lives = lives;
        this.listed = listed;
        this.pieces = pieces;
        this.histories = histories;
        this.mapper = mapper;
        this.catalogues = catalogues;
        this.workshops = workshops;
        this.clock = clock;
    }

    /**
     * A part of a list, and how long the whole of it is.
     *
     * @param total of all parts
     */
    record Counted(ListPage<PieceSummary> page, long total) {}

    Counted list(PieceListQuery query, KeysetOrder order, KeysetOrder.Part part) {
        lives.keepUp();
        Specification<PieceLifeEntity> wanted = specification(query);
        return new Counted(page(wanted, order, part), listed.count(wanted));
    }

    /** The whole locker by label, read part by part as it is used. */
    Stream<PieceSummary> whole() {
        lives.keepUp();
        Specification<PieceLifeEntity> wanted = specification(PieceListQuery.ANY);
        KeysetOrder byLabel = PieceListQuery.Order.LABEL.keyset();
        return ListPage.all(after -> page(wanted, byLabel, new KeysetOrder.Part(after, ListPage.MOST)));
    }

    private ListPage<PieceSummary> page(
            Specification<PieceLifeEntity> wanted, KeysetOrder order, KeysetOrder.Part part) {
        return order.page(listed, wanted, part).map(this::summaries);
    }

    private List<PieceSummary> summaries(List<PieceLifeEntity> found) {
        Map<UUID, PieceEntity> byId = pieces
                .findByIdInAndWorkshopIdAndDeletedAtIsNull(
                        found.stream().map(l -> l.pieceId).toList(), workshops.current())
                .stream()
                .collect(Collectors.toMap(p -> p.id, Function.identity()));
        return mapper.summaries(histories.of(found.stream()
                .flatMap(l -> Stream.ofNullable(byId.get(l.pieceId)))
                .toList()));
    }

    /**
     * How the locker stands as a whole.
     *
     * @param demo false for what is not of the demo, true for what is; null for both
     */
    LockerOverviewResponse overview(Boolean demo) {
        lives.keepUp();
        return listed.overview(workshops.current(), demo);
    }

    private Specification<PieceLifeEntity> specification(PieceListQuery query) {
        return query.of(workshops.current(), LocalDate.now(clock), this::typesNamed);
    }

    private Collection<UUID> typesNamed(String word) {
        Map<UUID, String> keys = catalogues.keys();
        var catalogue = catalogues.current();
        return keys.entrySet().stream()
                .filter(type -> catalogue
                        .cableType(type.getValue())
                        .filter(t -> t.facts().name().toLowerCase(Locale.ROOT).contains(word))
                        .isPresent())
                .map(Map.Entry::getKey)
                .toList();
    }
}
