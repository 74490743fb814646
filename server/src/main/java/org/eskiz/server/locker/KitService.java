package org.eskiz.server.locker;

import static java.util.Objects.requireNonNullElse;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.locker.KitResponse.AdapterResponse;
import org.eskiz.server.locker.KitResponse.PackedResponse;
import org.eskiz.server.operator.OperatorService;
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
class KitService {

    private final KitRepository kits;
    private final PieceRepository pieces;
    private final OutingRepository outings;
    private final CatalogueService catalogues;
    private final OperatorService operators;
    private final IdempotentStore store;
    private final JsonMapper json;
    private final Clock clock;

    KitService(
            KitRepository kits,
            PieceRepository pieces,
            OutingRepository outings,
            CatalogueService catalogues,
            OperatorService operators,
            IdempotentStore store,
            JsonMapper json,
            Clock clock) {
        this.kits = kits;
        this.pieces = pieces;
        this.outings = outings;
        this.catalogues = catalogues;
        this.operators = operators;
        this.store = store;
        this.json = json;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    List<KitResponse> list() {
        List<KitEntity> all = kits.all(operators.current());
        Packing packing = packing(all);
        return all.stream().map(k -> response(k, packing)).toList();
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
        return kits.findById(request.id()).map(this::response);
    }

    private KitResponse create(KitRequest request, boolean demo) {
        check(request);
        KitEntity kit = KitEntity.create(request.id(), operators.current(), demo, Instant.now(clock));
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
                kits.findByIdAndOperatorId(id, operators.current()).orElseThrow(() -> new NotFoundException("kit", id));
        kit.deletedAt = null;
        return response(kit);
    }

    /** Removes the kits of the demo for good. */
    @Transactional
    void removeDemo() {
        Instant now = Instant.now(clock);
        kits.all(operators.current()).stream().filter(k -> k.demo).forEach(k -> k.deletedAt = now);
    }

    private void check(KitRequest request) {
        ValidationErrors errors = ValidationErrors.in(request);
        errors.throwIfAny();
        Set<UUID> known = pieces
                .findByIdInAndOperatorIdAndDeletedAtIsNull(
                        request.pieces().stream()
                                .map(KitRequest.PackedRequest::pieceId)
                                .toList(),
                        operators.current())
                .stream()
                .map(p -> p.id)
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
            PieceService.knownEnd(
                    errors, "adapters[" + i + "].near", adapters.get(i).near(), catalogue);
            PieceService.knownEnd(
                    errors, "adapters[" + i + "].far", adapters.get(i).far(), catalogue);
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
        return kits.findByIdAndOperatorId(id, operators.current())
                .filter(k -> k.deletedAt == null)
                .orElseThrow(() -> new NotFoundException("kit", id));
    }

    private KitResponse response(KitEntity kit) {
        return response(kit, packing(List.of(kit)));
    }

    /**
     * What is known of the pieces of some kits.
     *
     * @param there those that are there, by their ids
     * @param out since when those are that are out
     * @param massKg of those whose type says it
     */
    private record Packing(Map<UUID, PieceEntity> there, Map<UUID, LocalDate> out, Map<UUID, Double> massKg) {

        /** As far as it is of one of them. */
        Packing of(KitEntity kit) {
            Map<UUID, PieceEntity> own = new LinkedHashMap<>();
            kit.pieces.stream()
                    .filter(p -> there.containsKey(p.pieceId()))
                    .forEach(p -> own.put(p.pieceId(), there.get(p.pieceId())));
            Map<UUID, LocalDate> ownOut = new HashMap<>(out);
            ownOut.keySet().retainAll(own.keySet());
            return new Packing(own, ownOut, massKg);
        }
    }

    private Packing packing(List<KitEntity> some) {
        List<UUID> ids = some.stream()
                .flatMap(k -> k.pieces.stream())
                .map(KitEntity.Packed::pieceId)
                .distinct()
                .toList();
        Map<UUID, PieceEntity> there =
                pieces.findByIdInAndOperatorIdAndDeletedAtIsNull(ids, operators.current()).stream()
                        .collect(Collectors.toMap(p -> p.id, Function.identity()));
        return new Packing(
                there,
                outings.findByPieceIdInOrderByTakenOn(ids).stream()
                        .filter(o -> o.putAwayOn == null)
                        .collect(Collectors.toMap(o -> o.pieceId, o -> o.takenOn)),
                massesKg(there.values()));
    }

    private Map<UUID, Double> massesKg(Collection<PieceEntity> some) {
        Catalogue catalogue = catalogues.current();
        Map<UUID, String> keys = catalogues.keys();
        Map<UUID, Double> masses = new HashMap<>();
        for (PieceEntity p : some) {
            Optional.ofNullable(p.cableTypeId)
                    .map(keys::get)
                    .flatMap(catalogue::cableType)
                    .flatMap(type -> PieceMapper.massKg(type, p.lengthM))
                    .ifPresent(kg -> masses.put(p.id, kg));
        }
        return masses;
    }

    private KitResponse response(KitEntity kit, Packing packing) {
        Packing own = packing.of(kit);
        Map<UUID, PieceEntity> there = own.there();
        Map<UUID, LocalDate> out = own.out();
        List<KitEntity.Packed> packed =
                kit.pieces.stream().filter(p -> there.containsKey(p.pieceId())).toList();
        return new KitResponse(
                kit.id,
                kit.version,
                kit.demo,
                kit.name,
                kit.note,
                packed.stream()
                        .map(p -> new PackedResponse(
                                p.pieceId(),
                                there.get(p.pieceId()).label,
                                there.get(p.pieceId()).lengthM,
                                own.massKg().get(p.pieceId()),
                                p.turned(),
                                p.spare(),
                                out.get(p.pieceId())))
                        .toList(),
                List.of(json.readValue(kit.adapters, AdapterResponse[].class)),
                packed.stream()
                        .filter(p -> !p.spare())
                        .mapToDouble(p -> there.get(p.pieceId()).lengthM)
                        .sum(),
                !packed.isEmpty() && packed.stream().allMatch(p -> out.containsKey(p.pieceId())),
                trouble(kit, there, out.keySet()));
    }

    private static List<String> trouble(KitEntity kit, Map<UUID, PieceEntity> there, Set<UUID> out) {
        List<String> trouble = new ArrayList<>();
        long gone =
                kit.pieces.stream().filter(p -> !there.containsKey(p.pieceId())).count();
        if (gone > 0) {
            trouble.add(gone == 1 ? "a piece of it is gone" : gone + " pieces of it are gone");
        }
        there.values().stream()
                .filter(p -> p.retiredOn != null)
                .forEach(p -> trouble.add(p.label + " is retired since " + p.retiredOn));
        if (!out.containsAll(there.keySet())) {
            there.values().stream().filter(p -> out.contains(p.id)).forEach(p -> trouble.add(p.label + " is out"));
        }
        return trouble;
    }
}
