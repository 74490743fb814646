package org.eskiz.server.locker;

import static java.util.Objects.requireNonNullElse;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.problem.InvalidRequestException;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Pieces on their way into and out of files, within the caller's transaction. */
@Service
public class LockerTransfer {

    private final PieceService pieces;
    private final PieceRepository repository;
    private final OutingRepository outings;
    private final PieceChangeRepository changes;
    private final CatalogueService catalogues;
    private final WorkshopService workshops;
    private final Clock clock;

    LockerTransfer(
            PieceService pieces,
            PieceRepository repository,
            OutingRepository outings,
            PieceChangeRepository changes,
            CatalogueService catalogues,
            WorkshopService workshops,
            Clock clock) {
        this.pieces = pieces;
        this.repository = repository;
        this.outings = outings;
        this.changes = changes;
        this.catalogues = catalogues;
        this.workshops = workshops;
        this.clock = clock;
    }

    /** Every piece that is there. */
    @Transactional(readOnly = true)
    public List<PieceInFile> all() {
        return inFile(repository.findByWorkshopIdAndDeletedAtIsNull(workshops.current()));
    }

    /** Ids of every piece that is there, by label. */
    @Transactional(readOnly = true)
    public List<UUID> ids() {
        return repository.findByWorkshopIdAndDeletedAtIsNull(workshops.current()).stream()
                .sorted((a, b) -> a.label.compareToIgnoreCase(b.label))
                .map(p -> p.id)
                .toList();
    }

    /** Some pieces. */
    @Transactional(readOnly = true)
    public List<PieceInFile> of(Collection<UUID> ids) {
        return inFile(repository.findByIdInAndWorkshopIdAndDeletedAtIsNull(ids, workshops.current()));
    }

    /** A piece of this id; empty where there is none. */
    @Transactional(readOnly = true)
    public Optional<PieceInFile> stored(UUID id) {
        return of(List.of(id)).stream().findFirst();
    }

    /** The piece that has a label already. */
    @Transactional(readOnly = true)
    public Optional<UUID> labelled(String label) {
        return repository
                .findFirstByWorkshopIdAndLabelIgnoreCaseAndDeletedAtIsNull(workshops.current(), label.strip())
                .map(p -> p.id);
    }

    /** A label that no piece has yet, like another one. */
    @Transactional(readOnly = true)
    public String freeLabel(String like) {
        String label = like + " (2)";
        for (int i = 3; labelled(label).isPresent(); i++) {
            label = like + " (" + i + ")";
        }
        return label;
    }

    private List<PieceInFile> inFile(List<PieceEntity> some) {
        Map<UUID, String> keys = catalogues.keys();
        List<UUID> ids = some.stream().map(p -> p.id).toList();
        Map<UUID, List<OutingEntity>> outingsOf =
                outings.findByPieceIdInOrderByTakenOn(ids).stream().collect(Collectors.groupingBy(o -> o.pieceId));
        Map<UUID, List<PieceChangeEntity>> changesOf =
                changes.findByPieceIdInOrderByChangedOnAscStoredAtAsc(ids).stream()
                        .collect(Collectors.groupingBy(c -> c.pieceId));
        return some.stream()
                .sorted((a, b) -> a.label.compareToIgnoreCase(b.label))
                .map(p -> inFile(
                        p,
                        keys.get(p.cableTypeId),
                        outingsOf.getOrDefault(p.id, List.of()),
                        changesOf.getOrDefault(p.id, List.of())))
                .toList();
    }

    private static PieceInFile inFile(
            PieceEntity p, String cableKey, List<OutingEntity> outings, List<PieceChangeEntity> changes) {
        return new PieceInFile(
                new PieceRequest(
                        p.id,
                        null,
                        p.label,
                        cableKey,
                        p.lengthM,
                        p.near()
                                .map(e -> new PieceRequest.EndRequest(e.connector(), e.gender()))
                                .orElse(null),
                        p.far()
                                .map(e -> new PieceRequest.EndRequest(e.connector(), e.gender()))
                                .orElse(null),
                        p.boughtOn,
                        p.price,
                        p.priceCurrency,
                        p.keptAt,
                        p.note,
                        p.earlier().map(PieceRequest.EarlierOutingsRequest::of).orElse(null)),
                p.createdAt,
                p.retiredOn,
                outings.stream()
                        .map(o -> new PieceInFile.OutingInFile(
                                o.takenByMovement, o.takenOn, o.putAwayOn, o.takenTo, o.wet, o.frozen, o.trodden))
                        .toList(),
                changes.stream()
                        .map(c -> new PieceInFile.ChangeInFile(
                                c.id, c.kind, c.changedOn, c.lengthBeforeM, c.lengthAfterM, c.note))
                        .toList());
    }

    /** Stores a piece that is new, with its life. */
    @Transactional
    public void add(PieceInFile piece) {
        pieces.create(piece.piece());
        live(piece);
    }

    /** Says of the piece that is there what a file says of it, and adds to its life what it lacks. */
    @Transactional
    public void replace(PieceInFile piece) {
        long version = pieces.get(piece.piece().id()).summary().version();
        PieceRequest p = piece.piece();
        pieces.save(
                p.id(),
                new PieceRequest(
                        null,
                        version,
                        p.label(),
                        p.cableKey(),
                        p.lengthM(),
                        p.near(),
                        p.far(),
                        p.boughtOn(),
                        p.price(),
                        p.priceCurrency(),
                        p.keptAt(),
                        p.note(),
                        p.earlier()));
        live(piece);
    }

    private void live(PieceInFile piece) {
        PieceEntity entity = repository
                .findByIdAndWorkshopId(piece.piece().id(), workshops.current())
                .orElseThrow();
        entity.retiredOn = piece.retiredOn();
        entity.createdAt = requireNonNullElse(piece.enteredAt(), entity.createdAt);
        for (PieceInFile.OutingInFile o : requireNonNullElse(piece.outings(), List.<PieceInFile.OutingInFile>of())) {
            List<OutingEntity> known = outings.findByPieceIdOrderByTakenOn(entity.id);
            if (known.stream().noneMatch(k -> k.takenByMovement.equals(o.movementId()))) {
                refuseImpossible(entity, known, o);
                outings.save(outing(entity.id, o));
                outings.flush();
            }
        }
        Instant now = Instant.now(clock);
        int order = 0;
        for (PieceInFile.ChangeInFile c : requireNonNullElse(piece.changes(), List.<PieceInFile.ChangeInFile>of())) {
            if (changes.findById(c.id()).isEmpty()) {
                changes.save(change(entity.id, c, now.plusMillis(order++)));
            }
        }
        changes.flush();
    }

    private static void refuseImpossible(PieceEntity piece, List<OutingEntity> known, PieceInFile.OutingInFile o) {
        LocalDate until = requireNonNullElse(o.until(), LocalDate.MAX);
        if (until.isBefore(o.on())) {
            throw new InvalidRequestException(
                    "pieces",
                    "%s was out from %s to %s: the end is before the beginning".formatted(piece.label, o.on(), until));
        }
        if (piece.boughtOn != null && o.on().isBefore(piece.boughtOn)) {
            throw new InvalidRequestException(
                    "pieces",
                    "%s was bought on %s; it was not out on %s".formatted(piece.label, piece.boughtOn, o.on()));
        }
        if (known.stream().anyMatch(k -> MovementService.overlap(k, o.on(), until))) {
            throw new InvalidRequestException(
                    "pieces",
                    "%s was out elsewhere on %s; a piece cannot be in two places".formatted(piece.label, o.on()));
        }
    }

    private static OutingEntity outing(UUID piece, PieceInFile.OutingInFile o) {
        OutingEntity outing = OutingEntity.take(piece, o.movementId(), o.on(), o.to());
        if (o.until() != null) {
            outing.putAway(o.movementId(), o.until());
        }
        outing.bore(Boolean.TRUE.equals(o.wet()), Boolean.TRUE.equals(o.frozen()), Boolean.TRUE.equals(o.trodden()));
        return outing;
    }

    private static PieceChangeEntity change(UUID piece, PieceInFile.ChangeInFile c, Instant at) {
        if ((c.kind() == PieceChange.NEW_END) != (c.lengthAfterM() != null && c.lengthBeforeM() != null)
                || (c.lengthAfterM() != null && c.lengthAfterM() > c.lengthBeforeM())) {
            throw new InvalidRequestException(
                    "pieces", "a new end, and nothing else, makes a piece shorter: look at the change of " + c.on());
        }
        PieceChangeEntity change = PieceChangeEntity.of(
                piece, new PieceChangeRequest(c.id(), c.kind(), c.on(), c.lengthAfterM(), c.note()), at);
        change.lengthBeforeM = c.lengthBeforeM();
        change.lengthAfterM = c.lengthAfterM();
        return change;
    }
}
