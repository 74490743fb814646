package org.eskiz.server.plan;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.server.comparison.RowInRun;
import org.eskiz.server.document.PlanDocument;
import org.eskiz.server.document.PlanDocumentReader;
import org.eskiz.server.operator.WorkshopService;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.problem.NotFoundException;
import org.eskiz.server.web.Client;
import org.springframework.data.domain.Limit;
import org.springframework.stereotype.Service;

/** The plans of a site, each with the cable that lies in its run, for what is worked out of all of them together. */
@Service
public class PlansAtSite {

    /** As many runs as anybody lays at one place; more are not worked out together. */
    public static final int MOST = 40;

    private final PlanRepository plans;
    private final DecisionRepository decisions;
    private final PlanDocumentReader documents;
    private final CablesInRuns inRuns;
    private final WorkshopService workshops;

    PlansAtSite(
            PlanRepository plans,
            DecisionRepository decisions,
            PlanDocumentReader documents,
            CablesInRuns inRuns,
            WorkshopService workshops) {
        this.plans = plans;
        this.decisions = decisions;
        this.documents = documents;
        this.inRuns = inRuns;
        this.workshops = workshops;
    }

    /** Names of the sites that plans carry, in order, with how many do. */
    public Map<String, Long> names() {
        Map<String, Long> names = new LinkedHashMap<>();
        plans.sites(workshops.current()).forEach(s -> names.put((String) s[0], (Long) s[1]));
        return names;
    }

    /**
     * The plans of one, by their names.
     *
     * @throws NotFoundException where no plan carries its name
     */
    public List<PlanAtSite> required(String site) {
        List<PlanEntity> found = plans.findByWorkshopIdAndSiteAndDeletedAtIsNullOrderByNameAscIdAsc(
                workshops.current(), site, Limit.of(MOST));
        if (found.isEmpty()) {
            throw new NotFoundException("plan of the site", site);
        }
        List<UUID> ids = found.stream().map(p -> p.id).toList();
        Map<UUID, String> chosen = new HashMap<>();
        decisions.standingIn(ids).forEach(d -> chosen.put(d.planId, d.rowId));
        CablesInRuns.Now now = inRuns.now();
        now.catalogue().lookUp(plans.piecesIn(ids));
        return found.stream()
                .map(p -> plan(now, p, Optional.ofNullable(chosen.get(p.id))))
                .toList();
    }

    private PlanAtSite plan(CablesInRuns.Now now, PlanEntity plan, Optional<String> chosenRowId) {
        Client.requireListening();
        PlanDocument document = documents.readStored(plan.document);
        return new PlanAtSite(plan.id, plan.name, document, inRun(now, plan, document, chosenRowId));
    }

    private static Optional<PlanAtSite.WithCable> inRun(
            CablesInRuns.Now now, PlanEntity plan, PlanDocument document, Optional<String> chosenRowId) {
        try {
            RowInRun laid = now.inRun(plan, document, chosenRowId.isPresent());
            return Optional.of(new PlanAtSite.WithCable(
                    CablesInRuns.standing(document, laid, chosenRowId), now.asked(document), laid));
        } catch (InvalidRequestException unfinished) {
            return Optional.empty();
        }
    }
}
