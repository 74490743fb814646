package org.eskiz.server.happening;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.happening.HappeningService.Wanted;
import org.eskiz.server.store.KeysetOrder.Part;
import org.eskiz.server.store.ListPage;
import org.eskiz.server.store.Search;
import org.eskiz.server.web.ListAnswer;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api/happenings")
@Tag(name = "people")
class HappeningController {

    private final HappeningService happenings;

    HappeningController(HappeningService happenings) {
        this.happenings = happenings;
    }

    @GetMapping
    @Operation(
            operationId = "listHappenings",
            summary = "What happened in the workshop and who did it, the newest first")
    ResponseEntity<List<HappeningResponse>> list(
            @RequestParam(required = false) HappeningResponse.@Nullable Kind kind,
            @RequestParam(required = false) @Nullable UUID person,
            @RequestParam(required = false) @Nullable String find,
            @RequestParam(required = false) @Nullable String after,
            @RequestParam(required = false) @Nullable Integer limit) {
        var wanted = new Wanted(kind, person, Search.of(find));
        ListPage<HappeningResponse> page = happenings.list(wanted, Part.of(after, limit));
        return ListAnswer.of(page.items(), page.next(), happenings.count(wanted));
    }
}
