package org.eskiz.server.locker;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.eskiz.server.bench.KnownPieces;
import org.eskiz.server.bench.PieceTests;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.locker.PieceMapper.WholeLife;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.plan.PlansOfPiecesService;
import org.eskiz.server.problem.ConflictException;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.NotFoundException;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.store.IdempotentStore;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Keeps pieces, and what is done to them. */
@Service
class PieceService implements KnownPieces {

    private final PieceRepository pieces;
    private final PieceChangeRepository changes;
    private final ObjectProvider<KitNames> kits;
    private final OutingRepository outings;
    private final PieceTests tests;
    private final PieceHistoryReader histories;
    private final PieceMapper mapper;
    private final PlansOfPiecesService plans;
    private final CatalogueService catalogues;
    private final WorkshopService workshops;
    private final IdempotentStore store;
    private final Clock clock;

    PieceService(
            PieceRepository pieces,
            PieceChangeRepository changes,
            ObjectProvider<KitNames> kits,
            OutingRepository outings,
            PieceTests tests,
            PieceHistoryReader histories,
            PieceMapper mapper,
            PlansOfPiecesService plans,
            CatalogueService catalogues,
            WorkshopService workshops,
            IdempotentStore store,
            Clock clock) {
        this.pieces = pieces;
        this.changes = changes;
        this.kits = kits;
        this.outings = outings;
        this.tests = tests;
        this.histories = histories;
        this.mapper = mapper;
        this.plans = plans;
        this.catalogues = catalogues;
        this.workshops = workshops;
        this.store = store;
        this.clock = clock;
    }

    @Override
    public Optional<String> find(UUID piece) {
        return pieces.findByIdAndWorkshopId(piece, workshops.current()).map(p -> p.label);
    }

    @Transactional(readOnly = true)
    PieceResponse get(UUID id) {
        return whole(existing(id));
    }

    /**
     * Stores a new piece under the client's id. Sent again, the same create answers what is stored.
     *
     * @throws ConflictException when the id belongs to another piece
     */
    PieceResponse create(PieceRequest request) {
        if (request.id() == null) {
            throw new InvalidRequestException("id", "must be given: the client makes it");
        }
        return store.createOrRepeat(() -> stored(request), () -> create(request, false));
    }

    /** Stores a piece of the demo, within the caller's transaction. */
    void createDemo(PieceRequest request) {
        stored(request).orElseGet(() -> create(request, true));
    }

    private Optional<PieceResponse> stored(PieceRequest request) {
        return pieces.findByIdAndWorkshopId(request.id(), workshops.current()).map(piece -> {
            PieceResponse stored = whole(piece);
            if (piece.deletedAt != null || !piece.label.equals(request.label())) {
                throw new ConflictException("the id " + request.id() + " belongs to another piece", stored);
            }
            return stored;
        });
    }

    private PieceResponse create(PieceRequest request, boolean demo) {
        checked(request, request.id()).throwIfAny();
        PieceEntity piece = PieceEntity.create(request.id(), workshops.current(), demo, Instant.now(clock));
        write(piece, request);
        pieces.save(piece);
        pieces.flush();
        return whole(piece);
    }

    /**
     * Says something else of a piece.
     *
     * @throws ConflictException when it was changed since it was read
     */
    PieceResponse save(UUID id, PieceRequest request) {
        if (request.version() == null) {
            throw new InvalidRequestException("version", "must be given: the version that the change starts from");
        }
        return store.change(() -> saveOver(id, request), () -> changed(request, get(id)));
    }

    private PieceResponse saveOver(UUID id, PieceRequest request) {
        PieceEntity piece = existing(id);
        if (!piece.version.equals(request.version())) {
            throw changed(request, whole(piece));
        }
        ValidationErrors errors = checked(request, id);
        LocalDate bought = request.boughtOn();
        firstThing(piece)
                .filter(first -> bought != null && bought.isAfter(first))
                .ifPresent(first -> errors.add(
                        "boughtOn",
                        "must not be after %s, when it was out or tested, not %s".formatted(first, bought)));
        errors.throwIfAny();
        write(piece, request);
        pieces.flush();
        return whole(piece);
    }

    /** The day of its first outing, test or change. */
    private Optional<LocalDate> firstThing(PieceEntity piece) {
        WholeLife life = life(piece);
        List<LocalDate> days = new ArrayList<>();
        life.outings().forEach(o -> days.add(o.takenOn));
        life.tests().forEach(t -> days.add(t.on()));
        life.changes().forEach(c -> days.add(c.changedOn));
        return days.stream().min(LocalDate::compareTo);
    }

    private static ConflictException changed(PieceRequest request, PieceResponse current) {
        return new ConflictException(
                String.format(
                        Locale.ROOT,
                        "the piece was changed meanwhile: you started from version %d, it is at version %d now",
                        request.version(),
                        current.summary().version()),
                current);
    }

    /** Puts a piece away for good, unless a plan is made of it. */
    @Transactional
    void delete(UUID id) {
        PieceEntity piece = existing(id);
        List<PlansOfPiecesService.PlanName> using = plans.of(List.of(id)).getOrDefault(id, List.of());
        if (!using.isEmpty()) {
            throw new InvalidRequestException(
                    "id",
                    "%s lies in the run of %s; take it out there first, or retire it"
                            .formatted(
                                    piece.label,
                                    using.stream()
                                            .map(p -> "\"" + p.site() + ", " + p.name() + "\"")
                                            .collect(Collectors.joining(" and "))));
        }
        piece.deletedAt = Instant.now(clock);
    }

    @Transactional
    PieceResponse restore(UUID id) {
        PieceEntity piece = pieces.findByIdAndWorkshopId(id, workshops.current())
                .orElseThrow(() -> new NotFoundException("piece", id));
        if (piece.deletedAt != null) {
            ValidationErrors errors = ValidationErrors.in(id);
            freeLabel(errors, piece.label, id);
            errors.throwIfAny();
            piece.deletedAt = null;
            pieces.flush();
        }
        return whole(piece);
    }

    /** Removes the pieces of the demo for good. */
    @Transactional
    void removeDemo() {
        Instant now = Instant.now(clock);
        pieces.findByWorkshopIdAndDeletedAtIsNullAndDemoTrue(workshops.current())
                .forEach(p -> p.deletedAt = now);
    }

    /** Notes what was done to a piece. Sent again under the same id, it is noted once. */
    PieceResponse change(UUID id, PieceChangeRequest request) {
        ValidationErrors errors = ValidationErrors.in(request);
        errors.throwIfAny();
        return store.createOrRepeat(
                () -> changes.findById(request.id())
                        .filter(c -> c.pieceId.equals(id))
                        .map(c -> whole(existing(id))),
                () -> note(existing(id), request));
    }

    private PieceResponse note(PieceEntity piece, PieceChangeRequest request) {
        ValidationErrors errors = ValidationErrors.in(request);
        check(request, piece, errors);
        errors.throwIfAny();
        PieceChangeEntity change = PieceChangeEntity.of(piece.id, request, Instant.now(clock));
        switch (request.kind()) {
            case NEW_END -> {
                change.lengthBeforeM = piece.lengthM;
                change.lengthAfterM = request.lengthAfterM();
                piece.lengthM = request.lengthAfterM();
            }
            case RETIRED -> piece.retiredOn = request.on();
            case BACK_IN_SERVICE -> piece.retiredOn = null;
            case REPAIR -> {
                // nothing but the note changes
            }
        }
        changes.save(change);
        changes.flush();
        return whole(piece);
    }

    private void check(PieceChangeRequest request, PieceEntity piece, ValidationErrors errors) {
        if (request.on().isBefore(piece.since()) && piece.boughtOn != null) {
            errors.add(
                    "on",
                    "%s was bought on %s; nothing was done to it on %s"
                            .formatted(piece.label, piece.boughtOn, request.on()));
        }
        notInTheFuture(errors, "on", request.on());
        if ((request.kind() == PieceChange.NEW_END) != (request.lengthAfterM() != null)) {
            errors.add("lengthAfterM", "goes with a new end, and with nothing else");
        } else if (request.lengthAfterM() != null && request.lengthAfterM() > piece.lengthM) {
            errors.add(
                    "lengthAfterM",
                    "a new end makes a piece shorter: it is %s m, and cannot be %s m after"
                            .formatted(piece.lengthM, request.lengthAfterM()));
        }
        boolean isRetired = piece.retiredOn != null;
        if (request.kind() == PieceChange.RETIRED && isRetired) {
            errors.add("kind", piece.label + " is retired since " + piece.retiredOn);
        }
        if (request.kind() == PieceChange.BACK_IN_SERVICE && !isRetired) {
            errors.add("kind", piece.label + " is in service");
        }
    }

    void notInTheFuture(ValidationErrors errors, String path, LocalDate day) {
        if (day != null && day.isAfter(mapper.today())) {
            errors.add(path, "must not be after today, %s, not %s".formatted(mapper.today(), day));
        }
    }

    /** Takes back the last thing that was done to a piece. */
    @Transactional
    PieceResponse takeBack(UUID id, UUID changeId) {
        PieceEntity piece = existing(id);
        List<PieceChangeEntity> all = changes.findByPieceIdOrderByChangedOnAscStoredAtAsc(id);
        PieceChangeEntity change = all.stream()
                .filter(c -> c.id.equals(changeId))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("change of " + piece.label, changeId));
        PieceChangeEntity last =
                all.stream().max((a, b) -> a.storedAt.compareTo(b.storedAt)).orElseThrow();
        if (!last.id.equals(changeId)) {
            throw new InvalidRequestException(
                    "id", "only the last change of a piece can be taken back: that of " + last.changedOn);
        }
        switch (change.kind) {
            case NEW_END -> piece.lengthM = change.lengthBeforeM;
            case RETIRED -> piece.retiredOn = null;
            case BACK_IN_SERVICE ->
                piece.retiredOn = all.stream()
                        .filter(c -> c.kind == PieceChange.RETIRED)
                        .map(c -> c.changedOn)
                        .max(LocalDate::compareTo)
                        .orElse(null);
            case REPAIR -> {
                // there was nothing but the note
            }
        }
        changes.delete(change);
        changes.flush();
        return whole(piece);
    }

    private ValidationErrors checked(PieceRequest request, UUID id) {
        ValidationErrors errors = ValidationErrors.in(request);
        Catalogue catalogue = catalogues.current();
        if (request.cableKey() != null
                && catalogue.cableType(request.cableKey()).isEmpty()) {
            errors.add("cableKey", "there is no cable type \"" + request.cableKey() + "\"");
        }
        PieceRequest.EndRequest.requireKnown(request.near(), "near", catalogue, errors);
        PieceRequest.EndRequest.requireKnown(request.far(), "far", catalogue, errors);
        notInTheFuture(errors, "boughtOn", request.boughtOn());
        checkEarlier(errors, request);
        if ((request.price() == null) != (request.priceCurrency() == null)) {
            errors.add("priceCurrency", "a price and its currency go together");
        }
        if (request.label() != null) {
            freeLabel(errors, request.label(), id);
        }
        return errors;
    }

    private void checkEarlier(ValidationErrors errors, PieceRequest request) {
        PieceRequest.EarlierOutingsRequest earlier = request.earlier();
        if (earlier == null || earlier.outings() == null || earlier.from() == null || earlier.until() == null) {
            return;
        }
        notInTheFuture(errors, "earlier.until", earlier.until());
        if (earlier.until().isBefore(earlier.from())) {
            errors.add(
                    "earlier.until",
                    "must not be before %s, when they begin, not %s".formatted(earlier.from(), earlier.until()));
        }
        if (request.boughtOn() != null && earlier.from().isBefore(request.boughtOn())) {
            errors.add(
                    "earlier.from",
                    "must not be before %s, when it was bought, not %s".formatted(request.boughtOn(), earlier.from()));
        }
        if (earlier.hardOutings() != null && earlier.hardOutings() > earlier.outings()) {
            errors.add(
                    "earlier.hardOutings",
                    "must be at most %d, all of them, not %d".formatted(earlier.outings(), earlier.hardOutings()));
        }
    }

    private void freeLabel(ValidationErrors errors, String label, UUID id) {
        pieces.findFirstByWorkshopIdAndLabelIgnoreCaseAndDeletedAtIsNull(workshops.current(), label.strip())
                .filter(p -> !p.id.equals(id))
                .ifPresent(p -> errors.add("label", "another piece is labelled \"" + p.label + "\" already"));
    }

    private void write(PieceEntity piece, PieceRequest request) {
        piece.label = request.label().strip();
        piece.cableTypeId = request.cableKey() == null
                ? null
                : catalogues.typeIds(List.of(request.cableKey())).get(0);
        piece.lengthM = request.lengthM();
        piece.nearConnector = request.near() == null ? null : request.near().connectorKey();
        piece.nearGender = request.near() == null ? null : request.near().gender();
        piece.farConnector = request.far() == null ? null : request.far().connectorKey();
        piece.farGender = request.far() == null ? null : request.far().gender();
        piece.boughtOn = request.boughtOn();
        piece.price = request.price();
        piece.priceCurrency = request.priceCurrency();
        piece.keptAt = request.keptAt();
        piece.note = request.note();
        piece.earlier(Optional.ofNullable(request.earlier()).map(PieceRequest.EarlierOutingsRequest::earlierOutings));
    }

    private PieceEntity existing(UUID id) {
        return pieces.findByIdAndWorkshopId(id, workshops.current())
                .filter(p -> p.deletedAt == null)
                .orElseThrow(() -> new NotFoundException("piece", id));
    }

    private PieceResponse whole(PieceEntity piece) {
        return mapper.whole(histories.of(piece), life(piece), kits.getObject().with(piece.id));
    }

    private WholeLife life(PieceEntity piece) {
        return new WholeLife(
                tests.of(List.of(piece.id), workshops.current(), catalogues.current())
                        .getOrDefault(piece.id, List.of()),
                outings.findByPieceIdOrderByTakenOn(piece.id),
                changes.findByPieceIdOrderByChangedOnAscStoredAtAsc(piece.id));
    }
}
