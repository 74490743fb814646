package org.eskiz.server.locker.cutting;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import org.eskiz.server.web.Computation;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/locker")
@Tag(name = "locker")
class CuttingController {

    private final LengthService lengths;

    CuttingController(LengthService lengths) {
        this.lengths = lengths;
    }

    @Computation
    @PostMapping(path = "/length-sets", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(operationId = "searchLengthSets", summary = "Which few lengths serve several sites best; stores nothing")
    LengthSetResponse sets(@RequestBody LengthSetRequest request) {
        return lengths.sets(request);
    }

    @Computation
    @PostMapping(path = "/cut-plans", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(operationId = "planCuts", summary = "What to cut from which reel with least waste; stores nothing")
    CutPlanResponse cuts(@RequestBody CutPlanRequest request) {
        return lengths.cuts(request);
    }
}
