package org.eskiz.server.plan.together;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.media.Content;
import io.swagger.v3.oas.annotations.media.Schema;
import io.swagger.v3.oas.annotations.responses.ApiResponse;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.UUID;
import org.eskiz.server.operator.AtWork;
import org.eskiz.server.problem.NotSignedInException;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;

@RestController
@RequestMapping("/api/plans/{id}/events")
@Tag(name = "plans")
class PlanEventController {

    private final PlanStreams streams;

    PlanEventController(PlanStreams streams) {
        this.streams = streams;
    }

    @GetMapping(produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    @ApiResponse(
            responseCode = "200",
            content = @Content(mediaType = MediaType.TEXT_EVENT_STREAM_VALUE, schema = @Schema(type = "string")))
    @Operation(
            operationId = "planEvents",
            summary = "What happens to a plan while it is open, as server-sent events",
            description = """
                    "saved" when it was saved, by whomever: {"version": 7, "by": "Wren"}, null for nobody by name. "chosen" when a cable was chosen or a choice withdrawn: {}. "here" when \
                    somebody comes or goes: {"others": [{"id": "…", "name": "Wren"}]}, once for every other window. "look" at \
                    the beginning, and when something may have been missed: {"version": 7}, null where it is not known. Ends after five minutes, or when the server does: connect again.""")
    ResponseEntity<SseEmitter> events(@PathVariable UUID id) {
        AtWork reader = AtWork.now().orElseThrow(NotSignedInException::new);
        return ResponseEntity.ok()
                // a proxy hands on at once what comes
                .header("X-Accel-Buffering", "no")
                .body(streams.open(id, reader));
    }
}
