package org.eskiz.server.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicReference;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.eskiz.server.assessment.AssessmentResponse.BandResponse;
import org.eskiz.server.assessment.AssessmentService;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.comparison.RowInRun;
import org.eskiz.server.document.AssessmentSpec;
import org.eskiz.server.document.PlanDocument;
import org.eskiz.server.document.PlanDocumentReader;
import org.eskiz.server.document.RunElement;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.web.Client;
import org.springframework.stereotype.Service;

/** Which plans a changed cable type moves, and by how much: told before the change is stored. */
@Service
class PlanEffectService {

    /** Less than this in dB is no other figure. */
    private static final double NOTEWORTHY_DB = 0.005;

    /** Plans are shared among the cores so many at a time; between, it is asked whether somebody still waits. */
    private static final int AT_A_TIME = 256;

    private final PlanRepository plans;
    private final PlanDocumentReader documents;
    private final AssessmentService assessments;
    private final CatalogueService catalogues;
    private final CablesInRuns inRuns;
    private final DecisionRepository decisions;
    private final WorkshopService workshops;

    PlanEffectService(
            PlanRepository plans,
            PlanDocumentReader documents,
            AssessmentService assessments,
            CatalogueService catalogues,
            CablesInRuns inRuns,
            DecisionRepository decisions,
            WorkshopService workshops) {
        this.plans = plans;
        this.documents = documents;
        this.assessments = assessments;
        this.catalogues = catalogues;
        this.inRuns = inRuns;
        this.decisions = decisions;
        this.workshops = workshops;
    }

    /** One for each plan in whose run the type lies, picked or suggested, and that the change moves; the most moved first. */
    List<PlanEffectResponse> of(PlanEffectRequest request) {
        ValidationErrors errors = ValidationErrors.in(request);
        if (request.key() != null
                && catalogues.current().cableType(request.key()).isEmpty()) {
            errors.add("key", "there is no cable type \"" + request.key() + "\"");
        }
        errors.throwIfAny();
        CablesInRuns.Now now = inRuns.now();
        Set<UUID> chosen = decisions.standing(workshops.current()).stream()
                .map(d -> d.planId)
                .collect(Collectors.toSet());
        List<PlanEntity> all = plans.findByWorkshopIdAndDeletedAtIsNullOrderBySiteAscNameAscIdAsc(workshops.current());
        now.catalogue().lookUp(plans.piecesIn(all.stream().map(p -> p.id).toList()));
        AtomicReference<String> likeliest = new AtomicReference<>();
        List<PlanEffectResponse> effects = new ArrayList<>();
        for (int from = 0; from < all.size(); from += AT_A_TIME) {
            Client.requireListening();
            all.subList(from, Math.min(all.size(), from + AT_A_TIME)).parallelStream()
                    .map(plan -> effect(now, plan, chosen.contains(plan.id), request, likeliest))
                    .toList()
                    .forEach(effect -> effect.ifPresent(effects::add));
        }
        effects.sort(Comparator.comparingDouble(e -> -Math.abs(e.afterDb() - e.beforeDb())));
        return effects;
    }

    private Optional<PlanEffectResponse> effect(
            CablesInRuns.Now cables,
            PlanEntity plan,
            boolean isChosen,
            PlanEffectRequest change,
            AtomicReference<String> likeliest) {
        try {
            PlanDocument document = documents.readStored(plan.document);
            if (document.assessment() == null || document.assessment().run() == null) {
                return Optional.empty();
            }
            Optional<AssessmentSpec> withIt = cables.inRunOf(change.key(), plan, document, isChosen, likeliest)
                    .map(RowInRun::assessment);
            return withIt.flatMap(before -> effect(cables, plan, before, change));
        } catch (InvalidRequestException unfinished) {
            return Optional.empty();
        }
    }

    private Optional<PlanEffectResponse> effect(
            CablesInRuns.Now cables, PlanEntity plan, AssessmentSpec before, PlanEffectRequest change) {
        List<BandResponse> now = assessments.assess(before, cables.catalogue()).bands();
        List<BandResponse> then = assessments
                .assess(before.withRun(changed(before.run(), change)), cables.catalogue())
                .bands();
        int most = IntStream.range(0, now.size())
                .boxed()
                .max(Comparator.comparingDouble(i -> movedDb(now.get(i), then.get(i))))
                .orElseThrow();
        return movedDb(now.get(most), then.get(most)) < NOTEWORTHY_DB
                ? Optional.empty()
                : Optional.of(new PlanEffectResponse(
                        plan.id,
                        plan.site,
                        plan.name,
                        Optional.ofNullable(now.get(most).name())
                                .orElse(now.get(most).frequencyMHz() + " MHz"),
                        now.get(most).totalLossDb(),
                        then.get(most).totalLossDb()));
    }

    private static double movedDb(BandResponse now, BandResponse then) {
        return Math.abs(now.totalLossDb() - then.totalLossDb());
    }

    private static List<RunElement> changed(List<RunElement> run, PlanEffectRequest change) {
        List<RunElement> changed = new ArrayList<>();
        for (RunElement element : run) {
            changed.add(
                    element instanceof RunElement.Line line && change.key().equals(line.cableKey())
                            ? line.with(line.name(), null, null, change.cable())
                            : element);
        }
        return changed;
    }
}
