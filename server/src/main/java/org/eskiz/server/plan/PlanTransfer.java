package org.eskiz.server.plan;

import jakarta.persistence.EntityManager;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.eskiz.server.document.PlanDocument;
import org.eskiz.server.document.PlanDocumentReader;
import org.eskiz.server.operator.WorkshopService;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Plans on their way into and out of files, within the caller's transaction. */
@Service
public class PlanTransfer {

    private final PlanService plans;
    private final PlanRepository repository;
    private final PlanDocumentReader documents;
    private final DecisionRepository decisions;
    private final WorkshopService workshops;
    private final EntityManager database;
    private final JsonMapper json;

    PlanTransfer(
            PlanService plans,
            PlanRepository repository,
            PlanDocumentReader documents,
            DecisionRepository decisions,
            WorkshopService workshops,
            EntityManager database,
            JsonMapper json) {
        this.plans = plans;
        this.repository = repository;
        this.documents = documents;
        this.decisions = decisions;
        this.workshops = workshops;
        this.database = database;
        this.json = json;
    }

    /** What a plan refers to. */
    public record References(Set<String> cableKeys, Set<UUID> pieces) {}

    /** Ids of every plan that is there. */
    @Transactional(readOnly = true)
    public List<UUID> ids() {
        return repository.ids(workshops.current());
    }

    /** Some plans, in the order of their sites and names. */
    @Transactional(readOnly = true)
    public List<PlanInFile> some(Collection<UUID> ids) {
        return inFile(repository.findByIdInAndWorkshopIdOrderBySiteAscNameAscIdAsc(ids, workshops.current()));
    }

    /** The plans of a site, by their names. */
    @Transactional(readOnly = true)
    public List<PlanInFile> ofSite(String site) {
        return inFile(repository.findByWorkshopIdAndSiteAndDeletedAtIsNullOrderByNameAscIdAsc(
                workshops.current(), site, Limit.unlimited()));
    }

    /** One plan; 404 where there is none. */
    @Transactional(readOnly = true)
    public PlanInFile one(UUID id) {
        return inFile(plans.existing(id));
    }

    /** A plan of this id; one in the bin counts, since its id is taken. */
    @Transactional(readOnly = true)
    public Optional<PlanInFile> stored(UUID id) {
        return repository.findByIdAndWorkshopId(id, workshops.current()).map(this::inFile);
    }

    /** What a plan of a file refers to. */
    public References references(PlanInFile plan) {
        PlanDocument document = documents.readStored(json.writeValueAsString(plan.document()));
        return new References(PlanDocumentReader.cableKeys(document), PlanDocumentReader.pieces(document));
    }

    private PlanInFile inFile(PlanEntity plan) {
        return inFile(List.of(plan)).get(0);
    }

    private List<PlanInFile> inFile(List<PlanEntity> some) {
        List<DecisionEntity> made = decisions.findByPlanIdInOrderByDecidedAtDescIdAsc(
                some.stream().map(p -> p.id).toList());
        Map<UUID, Instant> withdrawn = decisions
                .withdrawals(made.stream().map(d -> d.id).toList())
                .stream()
                .collect(Collectors.toMap(w -> w.decisionId, w -> w.withdrawnAt));
        Map<UUID, List<DecisionEntity>> byPlan = made.stream().collect(Collectors.groupingBy(d -> d.planId));
        return some.stream()
                .map(p -> inFile(p, byPlan.getOrDefault(p.id, List.of()), withdrawn))
                .toList();
    }

    private PlanInFile inFile(PlanEntity plan, List<DecisionEntity> made, Map<UUID, Instant> withdrawn) {
        return new PlanInFile(
                plan.id,
                plan.site,
                plan.name,
                json.readTree(plan.document),
                made.stream()
                        .map(d -> new PlanInFile.DecisionInFile(
                                d.id,
                                d.decidedAt,
                                d.rowId,
                                d.cableName,
                                d.reason,
                                json.readTree(d.figures),
                                d.coreVersion,
                                withdrawn.get(d.id)))
                        .toList());
    }

    /** Stores a plan that is new. */
    @Transactional
    public void add(PlanInFile plan) {
        plans.create(new PlanRequest(plan.id(), null, plan.site(), plan.name(), plan.document()));
        addDecisions(plan);
    }

    /** Saves a plan of a file over the one that is there; what that said stays among its revisions. */
    @Transactional
    public void replace(PlanInFile plan) {
        Long version = plans.restore(plan.id()).version();
        plans.save(plan.id(), new PlanRequest(null, version, plan.site(), plan.name(), plan.document()));
        addDecisions(plan);
    }

    private void addDecisions(PlanInFile plan) {
        long version = plans.existing(plan.id()).version;
        database.flush();
        for (PlanInFile.DecisionInFile d :
                Objects.requireNonNullElse(plan.decisions(), List.<PlanInFile.DecisionInFile>of())) {
            if (database.find(DecisionEntity.class, d.id()) == null) {
                database.persist(decision(plan.id(), version, d));
                database.flush();
                if (d.withdrawnAt() != null) {
                    database.persist(new DecisionWithdrawalEntity(d.id(), d.withdrawnAt()));
                }
            }
        }
        database.flush();
    }

    private DecisionEntity decision(UUID plan, long version, PlanInFile.DecisionInFile d) {
        DecisionEntity made = new DecisionEntity();
        made.id = d.id();
        made.workshopId = workshops.current();
        made.planId = plan;
        made.planVersion = version;
        made.decidedAt = d.decidedAt();
        made.rowId = d.rowId();
        made.cableName = d.cableName();
        made.reason = d.reason();
        made.figures = json.writeValueAsString(d.figures());
        made.coreVersion = d.coreVersion();
        return made;
    }

    /** Whether two plans say the same; their decisions only add up. */
    public static boolean saysTheSame(PlanInFile a, PlanInFile b) {
        return a.site().equals(b.site()) && a.name().equals(b.name()) && same(a.document(), b.document());
    }

    /** Numbers are compared by value: 31 and 31.0 are one length. */
    private static boolean same(JsonNode a, JsonNode b) {
        return a.equals(
                (x, y) -> x.isNumber() && y.isNumber() && x.doubleValue() == y.doubleValue() ? 0 : x.equals(y) ? 0 : 1,
                b);
    }
}
