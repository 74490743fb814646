package org.eskiz.server.locker;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.NotFoundException;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.store.IdempotentStore;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Takes pieces out and puts them away: all that a movement names, or none of them. */
@Service
class MovementService {

    private final PieceRepository pieces;
    private final OutingRepository outings;
    private final PieceService service;
    private final PieceHistoryReader histories;
    private final PieceMapper mapper;
    private final WorkshopService workshops;
    private final IdempotentStore store;

    MovementService(
            PieceRepository pieces,
            OutingRepository outings,
            PieceService service,
            PieceHistoryReader histories,
            PieceMapper mapper,
            WorkshopService workshops,
            IdempotentStore store) {
        this.pieces = pieces;
        this.outings = outings;
        this.service = service;
        this.histories = histories;
        this.mapper = mapper;
        this.workshops = workshops;
        this.store = store;
    }

    /**
     * Notes a movement. Sent again under the same id it is not noted twice, but says anew where to, and what the pieces bore.
     *
     * @return the pieces as they stand then
     */
    List<PieceSummary> move(UUID id, MovementRequest request) {
        ValidationErrors.in(request).throwIfAny();
        return store.createOrRepeat(() -> amended(id, request), () -> note(id, request));
    }

    private Optional<List<PieceSummary>> amended(UUID id, MovementRequest request) {
        List<OutingEntity> known = of(id);
        known.forEach(o -> amend(o, request));
        return known.isEmpty()
                ? Optional.empty()
                : Optional.of(summaries(known.stream().map(o -> o.pieceId).toList()));
    }

    /** The pieces are locked first, in one order, so that two movements of one piece come one after the other. */
    private List<PieceSummary> note(UUID id, MovementRequest request) {
        ValidationErrors errors = ValidationErrors.in(request);
        Map<UUID, PieceEntity> moved =
                pieces
                        .findByIdInAndWorkshopIdAndDeletedAtIsNullOrderById(request.pieceIds(), workshops.current())
                        .stream()
                        .collect(Collectors.toMap(p -> p.id, Function.identity()));
        Map<UUID, List<OutingEntity>> before = outings.findByPieceIdInOrderByTakenOn(moved.keySet()).stream()
                .collect(Collectors.groupingBy(o -> o.pieceId));
        check(request, moved, before, errors);
        errors.throwIfAny();
        for (PieceEntity piece : moved.values()) {
            move(piece, before.getOrDefault(piece.id, List.of()), id, request);
        }
        outings.flush();
        return summaries(moved.keySet());
    }

    private List<OutingEntity> of(UUID movement) {
        return outings.ofMovement(movement, workshops.current());
    }

    private static void amend(OutingEntity outing, MovementRequest request) {
        if (request.kind() != MovementRequest.Kind.PUT_AWAY) {
            outing.takenTo = request.to();
        }
        if (request.kind() != MovementRequest.Kind.TOOK_OUT) {
            bore(outing, request);
        }
    }

    private static void bore(OutingEntity outing, MovementRequest request) {
        outing.bore(
                Boolean.TRUE.equals(request.wet()),
                Boolean.TRUE.equals(request.frozen()),
                Boolean.TRUE.equals(request.trodden()));
    }

    private void move(PieceEntity piece, List<OutingEntity> before, UUID movement, MovementRequest request) {
        if (request.kind() == MovementRequest.Kind.PUT_AWAY) {
            OutingEntity outing = underWay(before);
            outing.putAway(movement, request.on());
            bore(outing, request);
            return;
        }
        OutingEntity outing = OutingEntity.take(piece.id, movement, request.on(), request.to());
        if (request.kind() == MovementRequest.Kind.WAS_OUT) {
            outing.putAway(movement, request.until());
            bore(outing, request);
        }
        outings.save(outing);
    }

    private static OutingEntity underWay(List<OutingEntity> outings) {
        return outings.stream().filter(o -> o.putAwayOn == null).findFirst().orElseThrow();
    }

    private void check(
            MovementRequest request,
            Map<UUID, PieceEntity> moved,
            Map<UUID, List<OutingEntity>> before,
            ValidationErrors errors) {
        service.notInTheFuture(errors, "on", request.on());
        service.notInTheFuture(errors, "until", request.until());
        boolean isOver = request.kind() == MovementRequest.Kind.WAS_OUT;
        if (isOver != (request.until() != null)) {
            errors.add("until", "goes with an outing that is over, and with nothing else");
        } else if (isOver && request.until().isBefore(request.on())) {
            errors.add("until", "must not be before %s, not %s".formatted(request.on(), request.until()));
        }
        errors.throwIfAny();
        for (int i = 0; i < request.pieceIds().size(); i++) {
            UUID id = request.pieceIds().get(i);
            String path = "pieceIds[" + i + "]";
            if (request.pieceIds().indexOf(id) < i) {
                errors.add(path, "the piece is named twice");
            } else if (!moved.containsKey(id)) {
                errors.add(path, "there is no piece \"" + id + "\" in the locker");
            } else {
                check(request, moved.get(id), before.getOrDefault(id, List.of()), path, errors);
            }
        }
    }

    private static void check(
            MovementRequest request,
            PieceEntity piece,
            List<OutingEntity> before,
            String path,
            ValidationErrors errors) {
        OutingEntity out =
                before.stream().filter(o -> o.putAwayOn == null).findFirst().orElse(null);
        if (request.kind() == MovementRequest.Kind.PUT_AWAY) {
            if (out == null) {
                errors.add(path, piece.label + " is not out");
            } else if (request.on().isBefore(out.takenOn)) {
                errors.add(
                        path,
                        "%s was taken out on %s; it cannot be put away on %s"
                                .formatted(piece.label, out.takenOn, request.on()));
            }
            return;
        }
        if (piece.boughtOn != null && request.on().isBefore(piece.boughtOn)) {
            errors.add(
                    path,
                    "%s was bought on %s; it was not out on %s".formatted(piece.label, piece.boughtOn, request.on()));
        }
        if (piece.retiredOn != null && !request.on().isBefore(piece.retiredOn)) {
            errors.add(path, piece.label + " is retired since " + piece.retiredOn);
        }
        LocalDate until = request.kind() == MovementRequest.Kind.WAS_OUT ? request.until() : LocalDate.MAX;
        before.stream()
                .filter(o -> overlap(o, request.on(), until))
                .findFirst()
                .ifPresent(o -> errors.add(path, inTwoPlaces(piece, o)));
    }

    /** A day on which one outing ends may be the first of the next. */
    static boolean overlap(OutingEntity outing, LocalDate on, LocalDate until) {
        LocalDate end = Objects.requireNonNullElse(outing.putAwayOn, LocalDate.MAX);
        return on.isBefore(end) && outing.takenOn.isBefore(until);
    }

    private static String inTwoPlaces(PieceEntity piece, OutingEntity o) {
        String where = o.takenTo == null ? "out" : "out at " + o.takenTo;
        return o.putAwayOn == null
                ? "%s is %s since %s; a piece cannot be in two places".formatted(piece.label, where, o.takenOn)
                : "%s was %s from %s to %s; a piece cannot be in two places"
                        .formatted(piece.label, where, o.takenOn, o.putAwayOn);
    }

    /** Takes a movement back, as if it had never been. */
    @Transactional
    List<PieceSummary> takeBack(UUID id) {
        List<OutingEntity> moved = of(id);
        if (moved.isEmpty()) {
            throw new NotFoundException("movement", id);
        }
        List<UUID> ids = moved.stream().map(o -> o.pieceId).toList();
        Map<UUID, List<OutingEntity>> all =
                outings.findByPieceIdInOrderByTakenOn(ids).stream().collect(Collectors.groupingBy(o -> o.pieceId));
        List<String> outAgain = new ArrayList<>();
        for (OutingEntity outing : moved) {
            if (id.equals(outing.takenByMovement)) {
                outings.delete(outing);
            } else if (all.get(outing.pieceId).stream().anyMatch(o -> o.takenOn.isAfter(outing.putAwayOn))) {
                outAgain.add(service.find(outing.pieceId).orElseThrow());
            } else {
                outing.reopen();
            }
        }
        if (!outAgain.isEmpty()) {
            throw new InvalidRequestException(
                    "id", "cannot be taken back: " + String.join(", ", outAgain) + " was out again since");
        }
        outings.flush();
        return summaries(ids);
    }

    private List<PieceSummary> summaries(Collection<UUID> ids) {
        return mapper.summariesByLabel(
                histories.of(pieces.findByIdInAndWorkshopIdAndDeletedAtIsNull(ids, workshops.current())));
    }
}
