package org.eskiz.server.locker;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.store.KeysetOrder;
import org.eskiz.server.web.Attachment;
import org.eskiz.server.web.ListAnswer;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.PutMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/locker")
@Tag(name = "locker")
class LockerController {

    private final PieceListService list;
    private final PieceService pieces;
    private final MovementService movements;
    private final Clock clock;

    LockerController(PieceListService list, PieceService pieces, MovementService movements, Clock clock) {
        this.list = list;
        this.pieces = pieces;
        this.movements = movements;
        this.clock = clock;
    }

    @GetMapping("/pieces")
    @Operation(
            operationId = "listPieces",
            summary = "Pieces and how they stand, by label or the most urgent first, in parts")
    ResponseEntity<List<PieceSummary>> list(
            @Parameter(description = "words, each in the label, the type, the place or the note")
                    @RequestParam(required = false)
                    String find,
            @Parameter(description = "only the piece of this label, whatever its capitals")
                    @RequestParam(required = false)
                    String label,
            @RequestParam(required = false) PieceListQuery.Standing standing,
            @Parameter(description = "false for those that are not of the demo, true for those that are")
                    @RequestParam(required = false)
                    Boolean demo,
            @Parameter(description = "only these") @RequestParam(required = false) List<UUID> ids,
            @RequestParam(defaultValue = "LABEL") PieceListQuery.Order order,
            @Parameter(description = "as the link to the next part has it") @RequestParam(required = false)
                    String after,
            @Parameter(description = "how many at most: 1 to 500, 200 where nothing is said")
                    @RequestParam(required = false)
                    Integer limit) {
        var query = new PieceListQuery(find, label, standing, demo, ids);
        PieceListService.Counted found = list.list(query, order.keyset(), KeysetOrder.Part.of(after, limit));
        return ListAnswer.of(found.page().items(), found.page().next(), found.total());
    }

    @GetMapping("/overview")
    @Operation(operationId = "getLockerOverview", summary = "How many pieces stand how, and the longest of them")
    LockerOverviewResponse overview(
            @Parameter(description = "false for those that are not of the demo, true for those that are")
                    @RequestParam(required = false)
                    Boolean demo) {
        return list.overview(demo);
    }

    @GetMapping(path = "/pieces.csv", produces = "text/csv")
    @Operation(operationId = "exportPieces", summary = "The locker as CSV")
    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(type = "string")))
    void csv(@Parameter(hidden = true) HttpServletResponse response) throws IOException {
        Attachment.csv(response, "locker.csv", PieceCsv.COLUMNS, PieceCsv.rows(list.whole()));
    }

    @GetMapping(path = "/due.ics", produces = "text/calendar")
    @Operation(operationId = "exportDue", summary = "When pieces are to be tested again, as iCalendar")
    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(type = "string")))
    void calendar(@Parameter(hidden = true) HttpServletResponse response) throws IOException {
        Attachment.text(
                response,
                "test-again.ics",
                new MediaType("text", "calendar", StandardCharsets.UTF_8),
                DueCalendar.write(list.whole(), Instant.now(clock)));
    }

    @PostMapping(path = "/pieces", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "createPiece", summary = "Store a new piece under an id made by the client")
    PieceResponse create(@RequestBody PieceRequest request) {
        return pieces.create(request);
    }

    @GetMapping("/pieces/{id}")
    @Operation(operationId = "getPiece", summary = "One piece with its whole life")
    PieceResponse get(@PathVariable UUID id) {
        return pieces.get(id);
    }

    @PutMapping(path = "/pieces/{id}", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(operationId = "savePiece", summary = "Say something else of a piece")
    PieceResponse save(@PathVariable UUID id, @RequestBody PieceRequest request) {
        return pieces.save(id, request);
    }

    @DeleteMapping("/pieces/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(
            operationId = "deletePiece",
            summary = "Take a piece out of the locker; refused while plans are made of it")
    void delete(@PathVariable UUID id) {
        pieces.delete(id);
    }

    @PostMapping("/pieces/{id}/restore")
    @Operation(operationId = "restorePiece", summary = "Put a piece back that was taken out of the locker")
    PieceResponse restore(@PathVariable UUID id) {
        return pieces.restore(id);
    }

    @PostMapping(path = "/pieces/{id}/changes", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(
            operationId = "changePiece",
            summary = "Note a repair, a new end, or that a piece is retired or used again")
    PieceResponse change(@PathVariable UUID id, @RequestBody PieceChangeRequest request) {
        return pieces.change(id, request);
    }

    @DeleteMapping("/pieces/{id}/changes/{change}")
    @Operation(operationId = "takeBackChange", summary = "Take back the last thing that was done to a piece")
    PieceResponse takeBack(@PathVariable UUID id, @PathVariable UUID change) {
        return pieces.takeBack(id, change);
    }

    @PutMapping(path = "/movements/{id}", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(
            operationId = "movePieces",
            summary =
                    "Take pieces out or put them away, all or none; sent again, it amends where to and what they bore")
    List<PieceSummary> move(@PathVariable UUID id, @RequestBody MovementRequest request) {
        return movements.move(id, request);
    }

    @DeleteMapping("/movements/{id}")
    @Operation(operationId = "takeBackMovement", summary = "Take a movement back, as if it had never been")
    List<PieceSummary> takeBack(@PathVariable UUID id) {
        return movements.takeBack(id);
    }
}
