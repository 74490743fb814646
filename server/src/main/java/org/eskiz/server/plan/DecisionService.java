package org.eskiz.server.plan;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.eskiz.server.assessment.ComparisonResponse;
import org.eskiz.server.assessment.ComparisonService;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.http.ChangedMeanwhileException;
import org.eskiz.server.http.Faults;
import org.eskiz.server.http.InvalidRequestException;
import org.eskiz.server.http.NotHereException;
import org.eskiz.server.operator.OperatorService;
import org.springframework.boot.info.BuildProperties;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Keeps what was chosen. The figures are computed here from the stored plan, not taken from the client. */
@Service
class DecisionService {

    private final PlanService plans;
    private final PlanDocuments documents;
    private final DecisionRepository decisions;
    private final ComparisonService comparisons;
    private final CatalogueService catalogues;
    private final OperatorService operators;
    private final EntityManager database;
    private final JsonMapper json;
    private final Clock clock;
    private final String coreVersion;

    DecisionService(
            PlanService plans,
            PlanDocuments documents,
            DecisionRepository decisions,
            ComparisonService comparisons,
            CatalogueService catalogues,
            OperatorService operators,
            EntityManager database,
            JsonMapper json,
            Clock clock,
            Optional<BuildProperties> build) {
        this.plans = plans;
        this.documents = documents;
        this.decisions = decisions;
        this.comparisons = comparisons;
        this.catalogues = catalogues;
        this.operators = operators;
        this.database = database;
        this.json = json;
        this.clock = clock;
        this.coreVersion = build.map(BuildProperties::getVersion).orElse("unbuilt");
    }

    /** Every choice made in a plan, newest first, withdrawn ones among them. */
    @Transactional(readOnly = true)
    List<DecisionResponse> list(UUID planId) {
        plans.existing(planId);
        List<DecisionEntity> made = decisions.findByPlanIdOrderByDecidedAtDescIdAsc(planId);
        Map<UUID, Instant> withdrawn = decisions
                .withdrawals(made.stream().map(d -> d.id).toList())
                .stream()
                .collect(Collectors.toMap(w -> w.decisionId, w -> w.withdrawnAt));
        return made.stream().map(d -> response(d, withdrawn.get(d.id))).toList();
    }

    /**
     * Keeps a choice; sent again, it answers what is kept.
     *
     * @throws ChangedMeanwhileException when the plan was changed since it was looked at
     */
    @Transactional
    DecisionResponse decide(UUID planId, DecisionRequest request) {
        Faults.in(request).refuse();
        PlanEntity plan = plans.existing(planId);
        Optional<DecisionEntity> kept = decisions.findByIdAndPlanId(request.id(), planId);
        if (kept.isPresent()) {
            return response(kept.get(), null);
        }
        if (!plan.version.equals(request.planVersion())) {
            throw new ChangedMeanwhileException(
                    "the plan was changed meanwhile: you looked at version %d, it is at version %d now"
                            .formatted(request.planVersion(), plan.version),
                    plans.get(planId));
        }
        DecisionEntity decision = decision(plan, request);
        database.persist(decision);
        return response(decision, null);
    }

    @Transactional
    DecisionResponse withdraw(UUID planId, UUID id) {
        plans.existing(planId);
        DecisionEntity decision =
                decisions.findByIdAndPlanId(id, planId).orElseThrow(() -> new NotHereException("decision", id));
        DecisionWithdrawalEntity withdrawal = database.find(DecisionWithdrawalEntity.class, id);
        if (withdrawal == null) {
            withdrawal = new DecisionWithdrawalEntity(id, Instant.now(clock));
            database.persist(withdrawal);
        }
        return response(decision, withdrawal.withdrawnAt);
    }

    private DecisionEntity decision(PlanEntity plan, DecisionRequest request) {
        PlanDocument document = documents.readStored(plan.document);
        ComparisonResponse.RowResponse row = row(document, request.rowId());
        DecisionEntity decision = new DecisionEntity();
        decision.id = request.id();
        decision.operatorId = operators.current();
        decision.planId = plan.id;
        decision.planVersion = plan.version;
        decision.decidedAt = Instant.now(clock);
        decision.rowId = row.id();
        decision.cableName = row.name();
        decision.reason = request.reason();
        decision.figures = json.writeValueAsString(row);
        decision.coreVersion = coreVersion;
        decision.cableRevisions = revisions(document, row);
        return decision;
    }

    private ComparisonResponse.RowResponse row(PlanDocument document, String rowId) {
        return comparisons.compare(document.comparison(catalogues.current())).rows().stream()
                .filter(r -> r.id().equals(rowId))
                .findFirst()
                .orElseThrow(() -> new InvalidRequestException("rowId", "there is no row \"" + rowId + "\""));
    }

    /** Revisions of every cable of the catalogue that the figures rest on: the chosen one and those of the run. */
    private Set<UUID> revisions(PlanDocument document, ComparisonResponse.RowResponse row) {
        var catalogue = catalogues.current();
        Set<String> keys = new HashSet<>(PlanDocuments.cableKeys(document));
        keys.add(row.id());
        return keys.stream()
                .flatMap(key -> catalogue.cableType(key).stream())
                .map(CableType::revisionId)
                .collect(Collectors.toSet());
    }

    private DecisionResponse response(DecisionEntity d, Instant withdrawnAt) {
        return new DecisionResponse(
                d.id,
                d.planVersion,
                d.decidedAt,
                d.rowId,
                d.cableName,
                d.reason,
                json.readTree(d.figures),
                d.coreVersion,
                withdrawnAt);
    }
}
