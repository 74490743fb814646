package org.eskiz.server.comparison;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.tags.Tag;
import org.eskiz.server.operator.OpenToVisitors;
import org.eskiz.server.web.Computation;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping(path = "/api", consumes = MediaType.APPLICATION_JSON_VALUE)
@Tag(name = "assessment")
class ComparisonController {

    private final ComparisonService comparisons;
    private final LedgerAnswers answers;

    ComparisonController(ComparisonService comparisons, LedgerAnswers answers) {
        this.comparisons = comparisons;
        this.answers = answers;
    }

    @Computation
    @PostMapping("/sweeps")
    @OpenToVisitors
    @Operation(
            operationId = "sweep",
            summary = "Candidates over frequency, or over the length of what is up for choice")
    SweepResponse sweep(@RequestBody SweepRequest request) {
        return comparisons.sweep(request);
    }

    @Computation
    @PostMapping("/comparisons")
    @OpenToVisitors
    @Operation(operationId = "compare", summary = "Cables put one after the other into the same run: the ledger")
    @ApiResponse(responseCode = "200", content = @Content(schema = @Schema(implementation = ComparisonResponse.class)))
    ResponseEntity<byte[]> compare(
            @RequestBody ComparisonRequest request,
            @Parameter(hidden = true) @RequestHeader(name = HttpHeaders.ACCEPT_ENCODING, required = false)
                    String accepted) {
        return answers.of(request).answer(accepted);
    }

    @Computation
    @PostMapping("/confidence")
    @OpenToVisitors
    @Operation(operationId = "howSure", summary = "How sure a run is to do what is asked of it, and what that rests on")
    ConfidenceResponse confidence(@RequestBody ComparisonRequest request) {
        return comparisons.confidence(request);
    }

    @Computation
    @PostMapping("/run-sheets")
    @OpenToVisitors
    @Operation(
            operationId = "runSheet",
            summary = "What is needed to build a row: to buy, to cut, to expect; stores nothing")
    RunSheetResponse runSheet(@RequestBody RunSheetRequest request) {
        return comparisons.runSheet(request);
    }

    @Computation
    @PostMapping("/comparisons/changes")
    @OpenToVisitors
    @Operation(operationId = "changes", summary = "What would change the answer of a comparison")
    ChangesResponse changes(@RequestBody ChangesRequest request) {
        return comparisons.changes(request);
    }

    @Computation
    @PostMapping("/mixes")
    @OpenToVisitors
    @Operation(operationId = "mix", summary = "The best mixes of cables, searched in a bounded number of steps")
    MixesResponse mixes(@RequestBody MixesRequest request) {
        return comparisons.mixes(request);
    }
}
