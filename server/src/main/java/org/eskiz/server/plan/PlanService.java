package org.eskiz.server.plan;

import jakarta.persistence.EntityManager;
import java.time.Clock;
import java.time.Instant;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.document.PlanDocument;
import org.eskiz.server.document.PlanDocumentReader;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.problem.ConflictException;
import org.eskiz.server.problem.NotFoundException;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.store.IdempotentStore;
import org.eskiz.server.store.KeysetOrder;
import org.eskiz.server.store.ListPage;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.json.JsonMapper;

/** Keeps plans. */
@Service
class PlanService {

    private static final int MOST_DRAWN_FOR_A_SEARCH = 25;

    private final PlanRepository plans;
    private final DecisionRepository decisions;
    private final PlanDocumentReader documents;
    private final PlanSketches sketches;
    private final CablesInRuns inRuns;
    private final CatalogueService catalogues;
    private final WorkshopService workshops;
    private final EntityManager database;
    private final IdempotentStore store;
    private final PlanQuota quota;
    private final JsonMapper json;
    private final Clock clock;

    PlanService(
            PlanRepository plans,
            DecisionRepository decisions,
            PlanDocumentReader documents,
            PlanSketches sketches,
            CablesInRuns inRuns,
            CatalogueService catalogues,
            WorkshopService workshops,
            EntityManager database,
            IdempotentStore store,
            PlanQuota quota,
            JsonMapper json,
            Clock clock) {
        this.plans = plans;
        this.decisions = decisions;
        this.documents = documents;
        this.sketches = sketches;
        this.inRuns = inRuns;
        this.catalogues = catalogues;
        this.workshops = workshops;
        this.database = database;
        this.store = store;
        this.quota = quota;
        this.json = json;
        this.clock = clock;
    }

    /** A part of the list of plans. */
    ListPage<PlanSummary> list(PlanListQuery query, PlanListQuery.Order order, KeysetOrder.Part part) {
        if (!query.search().isForAnything()) {
            // a plan is found by the cable that it is drawn with
            drawn(plans.undrawn(workshops.current(), Limit.of(MOST_DRAWN_FOR_A_SEARCH)));
        }
        return order.keyset().page(plans, query.of(workshops.current()), part).map(this::summaries);
    }

    /** How many plans fit. */
    long count(PlanListQuery query) {
        return plans.count(query.of(workshops.current()));
    }

    /** Plans that were put away and can be restored, the last one first. */
    List<PlanSummary> bin() {
        return summaries(
                plans.findByWorkshopIdAndDeletedAtIsNotNullAndDemoFalseOrderByDeletedAtDesc(workshops.current()));
    }

    private List<PlanSummary> summaries(List<PlanEntity> found) {
        List<PlanSketches.Drawn> drawn = drawn(found);
        return drawn.stream().map(PlanService::summary).toList();
    }

    private List<PlanSketches.Drawn> drawn(List<PlanEntity> some) {
        List<UUID> ids = some.stream().map(p -> p.id).toList();
        Map<UUID, DecisionEntity> chosen = new HashMap<>();
        decisions.standingIn(ids).forEach(d -> chosen.put(d.planId, d));
        CablesInRuns.Now now = inRuns.now();
        now.catalogue().lookUp(plans.piecesIn(ids));
        Set<UUID> withPieces = Set.copyOf(plans.withPiecesAmong(ids));
        return sketches.drawn(
                now,
                some.stream()
                        .map(p -> new PlanSketches.ToDraw(
                                p, Optional.ofNullable(chosen.get(p.id)), withPieces.contains(p.id)))
                        .toList());
    }

    private static PlanSummary summary(PlanSketches.Drawn drawn) {
        PlanEntity p = drawn.of().plan();
        return new PlanSummary(
                p.id,
                p.version,
                p.site,
                p.name,
                p.demo,
                p.updatedAt,
                drawn.of().chosen().map(d -> d.cableName).orElse(null),
                drawn.sketch().orElse(null));
    }

    /** Removes the plans of the demo for good: they are not in the bin and do not come back. */
    @Transactional
    void removeDemo() {
        Instant now = Instant.now(clock);
        plans.findByWorkshopIdAndDeletedAtIsNullAndDemoTrue(workshops.current()).forEach(p -> p.deletedAt = now);
    }

    @Transactional(readOnly = true)
    PlanResponse get(UUID id) {
        return response(existing(id));
    }

    /**
     * Stores a new plan under the client's id. Sent again, the same create answers what is stored.
     *
     * @throws ConflictException when the id belongs to a plan that says something else
     */
    PlanResponse create(PlanRequest request) {
        PlanDocument document = check(request);
        return store.createOrRepeat(() -> stored(request), () -> {
            quota.requireRoomForOne();
            return create(request, document, false);
        });
    }

    /** Stores a plan of the demo, within the caller's transaction. */
    void createDemo(PlanRequest request) {
        PlanDocument document = check(request);
        stored(request).orElseGet(() -> create(request, document, true));
    }

    /**
     * Saves over the version that the client started from.
     *
     * @throws ConflictException when that is not the newest version any more
     */
    PlanResponse save(UUID id, PlanRequest request) {
        PlanDocument document = check(request);
        return store.change(() -> saveOver(id, request, document), () -> changed(request.version(), get(id)));
    }

    @Transactional
    void delete(UUID id) {
        PlanEntity plan = existingOrDeleted(id);
        if (plan.deletedAt == null) {
            plan.deletedAt = Instant.now(clock);
        }
    }

    @Transactional
    PlanResponse restore(UUID id) {
        PlanEntity plan = existingOrDeleted(id);
        if (plan.deletedAt != null) {
            plan.deletedAt = null;
            flushAsRevision(plan);
        }
        return response(plan);
    }

    PlanEntity existing(UUID id) {
        return Optional.of(existingOrDeleted(id))
                .filter(p -> p.deletedAt == null)
                .orElseThrow(() -> new NotFoundException("plan", id));
    }

    private PlanEntity existingOrDeleted(UUID id) {
        return plans.findByIdAndWorkshopId(id, workshops.current())
                .orElseThrow(() -> new NotFoundException("plan", id));
    }

    private PlanDocument check(PlanRequest request) {
        ValidationErrors errors = ValidationErrors.in(request);
        PlanDocument document = request.document() == null ? null : documents.check(request.document(), errors);
        errors.throwIfAny();
        return document;
    }

    private Optional<PlanResponse> stored(PlanRequest request) {
        Optional<PlanResponse> stored =
                plans.findByIdAndWorkshopId(request.id(), workshops.current()).map(this::response);
        stored.filter(plan -> !saysTheSame(plan, request)).ifPresent(other -> {
            throw new ConflictException("a plan with the id " + request.id() + " is there already", other);
        });
        return stored;
    }

    private PlanResponse create(PlanRequest request, PlanDocument document, boolean demo) {
        PlanEntity plan = PlanEntity.create(request.id(), workshops.current(), demo, Instant.now(clock));
        write(plan, request, document);
        plans.save(plan);
        flushAsRevision(plan);
        return response(plan);
    }

    private static boolean saysTheSame(PlanResponse stored, PlanRequest request) {
        return stored.site().equals(request.site())
                && stored.name().equals(request.name())
                && stored.document().equals(PlanDocumentReader.upToDate(request.document()));
    }

    private PlanResponse saveOver(UUID id, PlanRequest request, PlanDocument document) {
        PlanEntity plan = existing(id);
        if (!plan.version.equals(request.version())) {
            throw changed(request.version(), response(plan));
        }
        plan.updatedAt = Instant.now(clock);
        write(plan, request, document);
        flushAsRevision(plan);
        sketches.forget(id);
        return response(plan);
    }

    private void write(PlanEntity plan, PlanRequest request, PlanDocument document) {
        plan.site = request.site();
        plan.name = request.name();
        plan.document = json.writeValueAsString(PlanDocumentReader.upToDate(request.document()));
        plan.uses = new HashSet<>(catalogues.typeIds(PlanDocumentReader.cableKeys(document)));
        plan.pieces = new HashSet<>(PlanDocumentReader.pieces(document));
    }

    /** The flush counts the version up; the revision is kept under the new one. */
    private void flushAsRevision(PlanEntity plan) {
        plans.flush();
        database.persist(PlanRevisionEntity.of(plan, plan.version));
    }

    private static ConflictException changed(Long expected, PlanResponse current) {
        return new ConflictException(
                String.format(
                        Locale.ROOT,
                        "the plan was changed meanwhile: you started from version %d, it is at version %d now",
                        expected,
                        current.version()),
                current);
    }

    private PlanResponse response(PlanEntity plan) {
        return new PlanResponse(
                plan.id,
                plan.version,
                plan.site,
                plan.name,
                plan.demo,
                plan.createdAt,
                plan.updatedAt,
                PlanDocumentReader.upToDate(json.readTree(plan.document)));
    }
}
