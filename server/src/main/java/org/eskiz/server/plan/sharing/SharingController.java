package org.eskiz.server.plan.sharing;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.operator.LinkedVisits;
import org.eskiz.server.operator.OpenTo;
import org.eskiz.server.operator.OpenToVisitors;
import org.eskiz.server.operator.Role;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.ResponseStatus;
import org.springframework.web.bind.annotation.RestController;

@RestController
@RequestMapping("/api")
@Tag(name = "plans")
class SharingController {

    private final SharingService sharing;

    SharingController(SharingService sharing) {
        this.sharing = sharing;
    }

    @GetMapping("/plans/{id}/shares")
    @OpenTo(Role.MEMBER)
    @Operation(operationId = "listShares", summary = "Links to a plan that stand, the first one first")
    List<ShareResponse> list(@PathVariable UUID id) {
        return sharing.of(id);
    }

    @PostMapping(path = "/plans/{id}/shares", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(
            operationId = "sharePlan",
            summary = "Make a link to a plan, for people who do not belong to the workshop",
            description = """
                    Whoever has it reads this plan and computes with it until the end of a day, UTC, and reaches nothing else. \
                    What is in the link goes with every request of theirs as Eskiz-Share.""")
    ShareMadeResponse share(@PathVariable UUID id, @RequestBody ShareRequest request) {
        return sharing.share(id, request);
    }

    @DeleteMapping("/plans/{id}/shares/{share}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "takeShareBack", summary = "Take a link back: it leads nowhere from now on")
    void takeBack(@PathVariable UUID id, @PathVariable UUID share) {
        sharing.takeBack(id, share);
    }

    @GetMapping("/shared")
    @OpenToVisitors
    @Operation(operationId = "sharedPlan", summary = "Where a link leads")
    SharedPlanResponse shared(
            @Parameter(description = "what is in the link")
                    @RequestHeader(value = LinkedVisits.HEADER, required = false)
                    String secret) {
        return sharing.visited(secret);
    }
}
