package org.eskiz.server.plan;

import io.swagger.v3.oas.annotations.Operation;
import io.swagger.v3.oas.annotations.Parameter;
import io.swagger.v3.oas.annotations.tags.Tag;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.operator.Demo;
import org.eskiz.server.operator.OpenTo;
import org.eskiz.server.operator.OpenToVisitors;
import org.eskiz.server.operator.Role;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.store.KeysetOrder;
import org.eskiz.server.store.ListPage;
import org.eskiz.server.web.Computation;
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
@RequestMapping("/api/plans")
@Tag(name = "plans")
class PlanController {

    private final PlanService plans;
    private final DecisionService decisions;
    private final PlanEffectService effects;
    private final CablesInRuns inRuns;
    private final Demo demo;

    PlanController(
            PlanService plans, DecisionService decisions, PlanEffectService effects, CablesInRuns inRuns, Demo demo) {
        this.plans = plans;
        this.decisions = decisions;
        this.effects = effects;
        this.inRuns = inRuns;
        this.demo = demo;
    }

    @GetMapping
    @Operation(operationId = "listPlans", summary = "Plans without their documents, by site and name, in parts")
    ResponseEntity<List<PlanSummary>> list(
            @Parameter(description = "words, each in the site, the name or the cable") @RequestParam(required = false)
                    String find,
            @RequestParam(defaultValue = "SITE") PlanListQuery.Order order,
            @Parameter(description = "false for those that are not of the demo, true for those that are")
                    @RequestParam(required = false)
                    Boolean demo,
            @Parameter(description = "only these") @RequestParam(required = false) List<UUID> ids,
            @Parameter(description = "as the link to the next part has it") @RequestParam(required = false)
                    String after,
            @Parameter(description = "how many at most: 1 to 500, 200 where nothing is said")
                    @RequestParam(required = false)
                    Integer limit) {
        var query = new PlanListQuery(find, demo, ids);
        ListPage<PlanSummary> page = plans.list(query, order, KeysetOrder.Part.of(after, limit));
        return ListAnswer.of(page.items(), page.next(), plans.count(query));
    }

    @GetMapping("/bin")
    @OpenTo(Role.KEEPER)
    @Operation(operationId = "listBin", summary = "Plans that were put away, the last one first")
    List<PlanSummary> bin() {
        return plans.bin();
    }

    @Computation
    @PostMapping(path = "/effects", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(operationId = "effectsOfCable", summary = "Which plans a changed cable type would move, and by how much")
    List<PlanEffectResponse> effects(@RequestBody PlanEffectRequest request) {
        return effects.of(request);
    }

    @DeleteMapping("/demo")
    @OpenTo(Role.KEEPER)
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "removeDemo", summary = "Remove the demo for good, its plans and its bench tests")
    void removeDemo() {
        demo.remove();
    }

    @PostMapping(consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "createPlan", summary = "Store a new plan under an id made by the client")
    PlanResponse create(@RequestBody PlanRequest request) {
        if (request.id() == null) {
            throw new InvalidRequestException("id", "must be given: the client makes it");
        }
        return plans.create(request);
    }

    @GetMapping("/{id}")
    @OpenToVisitors
    @Operation(operationId = "getPlan", summary = "One plan with its document")
    PlanResponse get(@PathVariable UUID id) {
        return plans.get(id);
    }

    @PutMapping(path = "/{id}", consumes = MediaType.APPLICATION_JSON_VALUE)
    @Operation(operationId = "savePlan", summary = "Save over a version; 409 with the current plan when it changed")
    PlanResponse save(@PathVariable UUID id, @RequestBody PlanRequest request) {
        if (request.version() == null) {
            throw new InvalidRequestException("version", "must be given: the version that was changed");
        }
        if (request.id() != null && !request.id().equals(id)) {
            throw new InvalidRequestException("id", "must be " + id + " as in the URL, not " + request.id());
        }
        return plans.save(id, request);
    }

    @DeleteMapping("/{id}")
    @ResponseStatus(HttpStatus.NO_CONTENT)
    @Operation(operationId = "deletePlan", summary = "Put a plan away; it can be restored")
    void delete(@PathVariable UUID id) {
        plans.delete(id);
    }

    @PostMapping("/{id}/restore")
    @Operation(operationId = "restorePlan", summary = "Bring back a plan that was put away")
    PlanResponse restore(@PathVariable UUID id) {
        return plans.restore(id);
    }

    @Computation
    @GetMapping("/{id}/in-run")
    @Operation(
            operationId = "getCableInRun",
            summary = "One plan with the cable in its run, as its sheet draws it; or with another row of its ledger")
    CableInRunResponse inRun(@PathVariable UUID id, @RequestParam(required = false) String rowId) {
        return inRuns.of(plans.existing(id), rowId);
    }

    @GetMapping("/{id}/decisions")
    @OpenToVisitors
    @Operation(operationId = "listDecisions", summary = "Every choice made in a plan, newest first")
    List<DecisionResponse> decisions(@PathVariable UUID id) {
        return decisions.list(id);
    }

    @PostMapping(path = "/{id}/decisions", consumes = MediaType.APPLICATION_JSON_VALUE)
    @ResponseStatus(HttpStatus.CREATED)
    @Operation(operationId = "decide", summary = "Keep a choice with the figures of today")
    DecisionResponse decide(@PathVariable UUID id, @RequestBody DecisionRequest request) {
        return decisions.decide(id, request);
    }

    @PostMapping("/{id}/decisions/{decision}/withdrawal")
    @Operation(operationId = "withdrawDecision", summary = "Say that a choice no longer stands")
    DecisionResponse withdraw(@PathVariable UUID id, @PathVariable UUID decision) {
        return decisions.withdraw(id, decision);
    }
}
