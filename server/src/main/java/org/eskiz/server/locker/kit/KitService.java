package org.eskiz.server.locker.kit;

import static java.util.Objects.requireNonNullElse;

import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.locker.KitNames;
import org.eskiz.server.locker.PieceOfLocker;
import org.eskiz.server.locker.PieceRequest;
import org.eskiz.server.locker.PiecesOfLocker;
import org.eskiz.server.locker.kit.KitResponse.AdapterResponse;
import org.eskiz.server.locker.kit.KitResponse.PackedResponse;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.problem.ConflictException;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.NotFoundException;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.store.IdempotentStore;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Keeps kits. A piece may belong to several; it is out with one at a time, like any piece. */
@Service
class KitService implements KitNames {

    private final KitRepository kits;
    private final PiecesOfLocker pieces;
    private final CatalogueService catalogues;
    private final WorkshopService workshops;
    private final IdempotentStore store;
    private final JsonMapper json;
    private final Clock clock;

    KitService(
            KitRepository kits,
            PiecesOfLocker pieces,
            CatalogueService catalogues,
            WorkshopService workshops,
            IdempotentStore store,
            JsonMapper json,
            Clock clock) {
        this.kits = kits;
        this.pieces = pieces;
        this.catalogues = catalogues;
        this.workshops = workshops;
        this.store = store;
        this.json = json;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    List<KitResponse> list() {
        List<KitEntity> all = kits.all(workshops.current());
        Map<UUID, PieceOfLocker> known = piecesOf(all);
        return all.stream().map(k -> response(k, known)).toList();
    }

    /** Stores a new kit under the client's id; sent again, it answers what is stored. */
    KitResponse create(KitRequest request) {
        requireId(request);
        return store.createOrRepeat(() -> stored(request), () -> create(request, false));
    }

    /** Stores a kit of the demo, within the caller's transaction. */
    void createDemo(KitRequest request) {
        requireId(request);
        stored(request).orElseGet(() -> create(request, true));
    }

    private static void requireId(KitRequest request) {
        if (request.id() == null) {
            throw new InvalidRequestException("id", "must be given: the client makes it");
        }
    }

    private Optional<KitResponse> stored(KitRequest request) {
        return kits.findByIdAndWorkshopId(request.id(), workshops.current()).map(this::response);
    }

    private KitResponse create(KitRequest request, boolean demo) {
        check(request);
        KitEntity kit = KitEntity.create(request.id(), workshops.current(), demo, Instant.now(clock));
        write(kit, request);
        kits.save(kit);
        kits.flush();
        return response(kit);
    }

    /**
     * Says something else of a kit.
     *
     * @throws ConflictException when it was changed since it was read
     */
    KitResponse save(UUID id, KitRequest request) {
        return store.change(() -> saveOver(id, request), () -> changed(id));
    }

    private ConflictException changed(UUID id) {
        return new ConflictException("the kit was changed meanwhile", response(existing(id)));
    }

    private KitResponse saveOver(UUID id, KitRequest request) {
        KitEntity kit = existing(id);
        if (!kit.version.equals(request.version())) {
            throw changed(id);
        }
        check(request);
        write(kit, request);
        kits.flush();
        return response(kit);
    }

    /** Unpacks a kit; its pieces stay in the locker. */
    @Transactional
    void delete(UUID id) {
        existing(id).deletedAt = Instant.now(clock);
    }

    @Transactional
    KitResponse restore(UUID id) {
        KitEntity kit =
                kits.findByIdAndWorkshopId(id, workshops.current()).orElseThrow(() -> new NotFoundException("kit", id));
        kit.deletedAt = null;
        return response(kit);
    }

    /** Removes the kits of the demo for good. */
    @Transactional
    void removeDemo() {
        Instant now = Instant.now(clock);
        kits.all(workshops.current()).stream().filter(k -> k.demo).forEach(k -> k.deletedAt = now);
    }

    private void check(KitRequest request) {
        ValidationErrors errors = ValidationErrors.in(request);
        errors.throwIfAny();
        Set<UUID> known = pieces
                .of(request.pieces().stream()
                        .map(KitRequest.PackedRequest::pieceId)
                        .toList())
                .stream()
                .map(PieceOfLocker::id)
                .collect(Collectors.toSet());
        Set<UUID> named = new HashSet<>();
        for (int i = 0; i < request.pieces().size(); i++) {
            UUID piece = request.pieces().get(i).pieceId();
            if (!known.contains(piece)) {
                errors.add("pieces[" + i + "].pieceId", "there is no piece \"" + piece + "\" in the locker");
            } else if (!named.add(piece)) {
                errors.add("pieces[" + i + "].pieceId", "the piece is in the kit twice");
            }
        }
        Catalogue catalogue = catalogues.current();
        List<KitRequest.AdapterRequest> adapters = adapters(request);
        for (int i = 0; i < adapters.size(); i++) {
            PieceRequest.EndRequest.requireKnown(adapters.get(i).near(), "adapters[" + i + "].near", catalogue, errors);
            PieceRequest.EndRequest.requireKnown(adapters.get(i).far(), "adapters[" + i + "].far", catalogue, errors);
        }
        errors.throwIfAny();
    }

    private static List<KitRequest.AdapterRequest> adapters(KitRequest request) {
        return requireNonNullElse(request.adapters(), List.of());
    }

    private void write(KitEntity kit, KitRequest request) {
        kit.name = request.name().strip();
        kit.note = request.note();
        kit.adapters = json.writeValueAsString(adapters(request));
        kit.pieces.clear();
        request.pieces()
                .forEach(p -> kit.pieces.add(new KitEntity.Packed(
                        p.pieceId(), Boolean.TRUE.equals(p.turned()), Boolean.TRUE.equals(p.spare()))));
    }

    private KitEntity existing(UUID id) {
        return kits.findByIdAndWorkshopId(id, workshops.current())
                .filter(k -> k.deletedAt == null)
                .orElseThrow(() -> new NotFoundException("kit", id));
    }

    @Override
    @Transactional(readOnly = true)
    public List<String> with(UUID piece) {
        return kits.all(workshops.current()).stream()
                .filter(k -> k.pieces.stream().anyMatch(p -> p.pieceId().equals(piece)))
                .map(k -> k.name)
                .toList();
    }

    private KitResponse response(KitEntity kit) {
        return response(kit, piecesOf(List.of(kit)));
    }

    /** The pieces of some kits, those that are there, by their ids. */
    private Map<UUID, PieceOfLocker> piecesOf(List<KitEntity> some) {
        List<UUID> ids = some.stream()
                .flatMap(k -> k.pieces.stream())
                .map(KitEntity.Packed::pieceId)
                .distinct()
                .toList();
        return pieces.of(ids).stream().collect(Collectors.toMap(PieceOfLocker::id, Function.identity()));
    }

    private KitResponse response(KitEntity kit, Map<UUID, PieceOfLocker> known) {
        List<KitEntity.Packed> packed =
                kit.pieces.stream().filter(p -> known.containsKey(p.pieceId())).toList();
        List<PieceOfLocker> there =
                packed.stream().map(p -> known.get(p.pieceId())).toList();
        return new KitResponse(
                kit.id,
                kit.version,
                kit.demo,
                kit.name,
                kit.note,
                packed.stream().map(p -> packed(p, known.get(p.pieceId()))).toList(),
                List.of(json.readValue(kit.adapters, AdapterResponse[].class)),
                packed.stream()
                        .filter(p -> !p.spare())
                        .mapToDouble(p -> known.get(p.pieceId()).lengthM())
                        .sum(),
                !there.isEmpty() && there.stream().allMatch(KitService::isOut),
                trouble(kit.pieces.size() - there.size(), there));
    }

    private static PackedResponse packed(KitEntity.Packed packed, PieceOfLocker piece) {
        return new PackedResponse(
                piece.id(),
                piece.label(),
                piece.lengthM(),
                piece.massKg().orElse(null),
                packed.turned(),
                packed.spare(),
                piece.outSince().orElse(null));
    }

    private static boolean isOut(PieceOfLocker piece) {
        return piece.outSince().isPresent();
    }

    private static List<String> trouble(int gone, List<PieceOfLocker> there) {
        List<String> trouble = new ArrayList<>();
        if (gone > 0) {
            trouble.add(gone == 1 ? "a piece of it is gone" : gone + " pieces of it are gone");
        }
        there.forEach(p -> p.retiredOn().ifPresent(on -> trouble.add(p.label() + " is retired since " + on)));
        if (!there.stream().allMatch(KitService::isOut)) {
            there.stream().filter(KitService::isOut).forEach(p -> trouble.add(p.label() + " is out"));
        }
        return trouble;
    }
}
