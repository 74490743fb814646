package org.eskiz.server.bench;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.tags.Tag;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import org.eskiz.core.bench.SheetDeviation;
import org.eskiz.core.bench.Touchstone;
import org.eskiz.server.bench.BenchTestResponse.BenchTestSummary;
import org.eskiz.server.operator.OpenTo;
import org.eskiz.server.operator.Role;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.store.KeysetOrder;
import org.eskiz.server.store.ListPage;
import org.eskiz.server.web.Attachment;
import org.eskiz.server.web.Computation;
import org.eskiz.server.web.ListAnswer;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
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
@RequestMapping("/api/bench")
@Tag(name = "bench")
class BenchController {

    private final BenchService bench;
    private final SweepFileService files;
    private final DistanceService distances;

    BenchController(BenchService bench, SweepFileService files, DistanceService distances) {
        this.bench = bench;
        this.files = files;
        this.distances = distances;
    }

    @Computation
    @PostMapping(path = "/analyses", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(operationId = "analyseTest", summary = "What a test comes to; stores nothing")
    BenchAnalysisResponse analyse(@RequestBody BenchTestRequest request) {
        return bench.analyse(request);
    }

    @GetMapping("/tests")
    @Operation(operationId = "listTests", summary = "Tests at their newest revision, the last day first, in parts")
    ResponseEntity<List<BenchTestSummary>> tests(
            @Parameter(description = "words, each in the piece, the type or the day") @RequestParam(required = false)
                    String find,
            @RequestParam(required = false) BenchMethod method,
            @RequestParam(required = false) SheetDeviation.Outcome outcome,
            @Parameter(description = "false for those that are not of the demo, true for those that are")
                    @RequestParam(required = false)
                    Boolean demo,
            @Parameter(description = "only these") @RequestParam(required = false) List<UUID> ids,
            @Parameter(description = "key of a cable type: only those that it was made of")
                    @RequestParam(required = false)
                    String made,
            @Parameter(description = "as the link to the next part has it") @RequestParam(required = false)
                    String after,
            @Parameter(description = "how many at most: 1 to 500, 200 where nothing is said")
                    @RequestParam(required = false)
                    Integer limit) {
        var query = new BenchLogQuery(find, method, outcome, demo, ids, bench.typeMade(made));
        ListPage<BenchTestSummary> page = bench.log(query, KeysetOrder.Part.of(after, limit));
        return ListAnswer.of(page.items(), page.next(), bench.count(query));
    }

    @GetMapping(path = "/tests.csv", produces = "text/csv")
    @Operation(operationId = "exportTests", summary = "The log as CSV: all tests, or those that fit")
    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(type = "string")))
    void csv(
            @RequestParam(required = false) String find,
            @RequestParam(required = false) BenchMethod method,
            @RequestParam(required = false) SheetDeviation.Outcome outcome,
            @RequestParam(required = false) Boolean demo,
            @RequestParam(required = false) List<UUID> ids,
            @Parameter(hidden = true) HttpServletResponse response)
            throws IOException {
        csv(bench.wholeLog(new BenchLogQuery(find, method, outcome, demo, ids, null)), response);
    }

    private static void csv(Stream<BenchTestSummary> tests, HttpServletResponse response) throws IOException {
        Attachment.csv(response, "bench.csv", BenchLogCsv.COLUMNS, BenchLogCsv.rows(tests));
    }

    @PostMapping(path = "/test-exports", consumes = MediaType.APPLICATION_JSON_VALUE, produces = "text/csv")
    @OpenTo(Role.GUEST)
    @Operation(operationId = "exportSomeTests", summary = "Some tests of the log as CSV, however many")
    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(type = "string")))
    void csv(@RequestBody TestExportRequest request, @Parameter(hidden = true) HttpServletResponse response)
            throws IOException {
        ValidationErrors.in(request).throwIfAny();
        Set<UUID> wanted = Set.copyOf(request.ids());
        csv(bench.wholeLog(BenchLogQuery.ANY).filter(t -> wanted.contains(t.id())), response);
    }

    /** Tests that are wanted. */
    record TestExportRequest(
            @NotNull(message = "must be given") @Size(min = 1, max = 100_000, message = "must be 1 to {max} tests")
            List<@NotNull(message = "must be an id, not null") UUID> ids) {}

    @PostMapping(path = "/tests", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "createTest", summary = "Store a new test under an id made by the client")
    BenchTestResponse create(@RequestBody BenchTestRequest request) {
        return bench.create(request);
    }

    @GetMapping("/tests/{id}")
    @Operation(operationId = "getTest", summary = "One test: what was noted, and what it comes to today")
    BenchTestResponse get(@PathVariable UUID id) {
        return bench.get(id);
    }

    @PutMapping(path = "/tests/{id}", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(
            operationId = "correctTest",
            summary = "Correct a test: a new revision; 409 with the newest one when it was corrected meanwhile")
    BenchTestResponse correct(@PathVariable UUID id, @RequestBody BenchTestRequest request) {
        if (request.id() != null && !request.id().equals(id)) {
            throw new InvalidRequestException("id", "must be " + id + " as in the URL, not " + request.id());
        }
        return bench.correct(id, request);
    }

    @GetMapping("/tests/{id}/revisions")
    @Operation(operationId = "listTestRevisions", summary = "Everything that was ever noted of a test, newest first")
    List<BenchTestResponse> revisions(@PathVariable UUID id) {
        return bench.history(id);
    }

    @PostMapping(path = "/tests/{id}/cable-type", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "makeCableType", summary = "Make a cable type of one's own of a test")
    BenchTestResponse makeType(@PathVariable UUID id, @RequestBody MadeTypeRequest request) {
        return bench.makeType(id, request);
    }

    @PostMapping(path = "/files", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "storeSweep", summary = "Keep a sweep (Touchstone 1.x) and say what is in it")
    BenchFileResponse store(@RequestBody BenchFileRequest request) {
        return files.store(request);
    }

    @GetMapping(path = "/files/{id}/touchstone", produces = MediaType.TEXT_PLAIN_VALUE)
    @Operation(operationId = "exportSweep", summary = "A kept sweep as Touchstone, in the form asked for")
    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(type = "string")))
    void touchstone(
            @PathVariable UUID id,
            @RequestParam(defaultValue = "RI") Touchstone.Form form,
            @Parameter(hidden = true) HttpServletResponse response)
            throws IOException {
        Attachment.text(
                response,
                files.name(id),
                new MediaType("text", "plain", StandardCharsets.UTF_8),
                files.touchstone(id, form));
    }

    @Computation
    @PostMapping(path = "/distances", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(operationId = "lookAlong", summary = "What reflects where along a line, from a kept sweep of one end")
    DistanceResponse look(@RequestBody DistanceRequest request) {
        return distances.look(request);
    }

    @PostMapping(path = "/loss-tables", consumes = MediaType.APPLICATION_JSON_VALUE)
    @OpenTo(Role.GUEST)
    @Operation(operationId = "readLosses", summary = "Frequencies and losses out of a table in any usual form")
    LossTableResponse losses(@RequestBody LossTableRequest request) {
        ValidationErrors.in(request).throwIfAny();
        return LossTableResponse.of(request);
    }
}
