package org.eskiz.server.plan;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.comparison.ComparisonRequest;
import org.eskiz.server.comparison.ComparisonResponse;
import org.eskiz.server.comparison.ComparisonService;
import org.eskiz.server.document.PlanDocument;
import org.eskiz.server.document.PlanDocumentReader;
import org.eskiz.server.document.ToleranceSpec;
import org.eskiz.server.operator.SettingsService;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.problem.ConflictException;
import org.eskiz.server.problem.NotFoundException;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.store.IdempotentStore;
import org.springframework.boot.info.BuildProperties;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Keeps what was chosen. The figures are computed here from the stored plan, not taken from the client. */
@Service
class DecisionService {

    private final PlanService plans;
    private final PlanDocumentReader documents;
    private final DecisionRepository decisions;
    private final ComparisonService comparisons;
    private final CatalogueService catalogues;
    private final SettingsService settings;
    private final WorkshopService workshops;
    private final EntityManager database;
    private final IdempotentStore store;
    private final JsonMapper json;
    private final Clock clock;
    private final String coreVersion;

    DecisionService(
            PlanService plans,
            PlanDocumentReader documents,
            DecisionRepository decisions,
            ComparisonService comparisons,
            CatalogueService catalogues,
            SettingsService settings,
            WorkshopService workshops,
            EntityManager database,
            IdempotentStore store,
            JsonMapper json,
            Clock clock,
            Optional<BuildProperties> build) {
        this.plans = plans;
        this.documents = documents;
        this.decisions = decisions;
        this.comparisons = comparisons;
        this.catalogues = catalogues;
        this.settings = settings;
        this.workshops = workshops;
        this.database = database;
        this.store = store;
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
     * @throws ConflictException when the plan was changed since it was looked at
     */
    DecisionResponse decide(UUID planId, DecisionRequest request) {
        ValidationErrors.in(request).throwIfAny();
        return keptAlready(planId, request).orElseGet(() -> {
            // worked out without a connection, and kept only when the plan is still the one that was looked at
            PlanResponse plan = plans.get(planId);
            requireVersion(request, plan);
            DecisionEntity decision = decision(plan, request);
            return store.createOrRepeat(() -> keptAlready(planId, request), () -> keep(planId, request, decision));
        });
    }

    private Optional<DecisionResponse> keptAlready(UUID planId, DecisionRequest request) {
        plans.existing(planId);
        return decisions.findByIdAndPlanId(request.id(), planId).map(d -> response(d, null));
    }

    private DecisionResponse keep(UUID planId, DecisionRequest request, DecisionEntity decision) {
        requireVersion(request, plans.get(planId));
        database.persist(decision);
        database.flush();
        database.refresh(decision);
        return response(decision, null);
    }

    private static void requireVersion(DecisionRequest request, PlanResponse plan) {
        if (plan.version() != request.planVersion()) {
            throw new ConflictException(
                    String.format(
                            Locale.ROOT,
                            "the plan was changed meanwhile: you looked at version %d, it is at version %d now",
                            request.planVersion(),
                            plan.version()),
                    plan);
        }
    }

    @Transactional
    DecisionResponse withdraw(UUID planId, UUID id) {
        plans.existing(planId);
        DecisionEntity decision =
                decisions.findByIdAndPlanId(id, planId).orElseThrow(() -> new NotFoundException("decision", id));
        DecisionWithdrawalEntity withdrawal = database.find(DecisionWithdrawalEntity.class, id);
        if (withdrawal == null) {
            withdrawal = new DecisionWithdrawalEntity(id, Instant.now(clock));
            database.persist(withdrawal);
        }
        return response(decision, withdrawal.withdrawnAt);
    }

    private DecisionEntity decision(PlanResponse plan, DecisionRequest request) {
        PlanDocument document = documents.readStored(json.writeValueAsString(plan.document()));
        ComparisonResponse.RowResponse row = row(document, request.rowId());
        DecisionEntity decision = new DecisionEntity();
        decision.id = request.id();
        decision.workshopId = workshops.current();
        decision.planId = plan.id();
        decision.planVersion = plan.version();
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
        var asked =
                ComparisonRequest.of(document, ToleranceSpec.of(settings.get().tolerances()));
        return comparisons.inRun(catalogues.current(), asked, rowId).row();
    }

    /** Revisions of every cable of the catalogue that the figures rest on: the chosen one and those of the run. */
    private Set<UUID> revisions(PlanDocument document, ComparisonResponse.RowResponse row) {
        var catalogue = catalogues.current();
        Set<String> keys = new HashSet<>(PlanDocumentReader.cableKeys(document));
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
                d.madeBy,
                withdrawnAt);
    }
}
