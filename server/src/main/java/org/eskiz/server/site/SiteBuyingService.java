package org.eskiz.server.site;

import java.util.List;
import java.util.Map;
import org.eskiz.core.site.SiteBuying;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.comparison.ComparisonService;
import org.eskiz.server.comparison.RunOption;
import org.eskiz.server.locker.PieceOfLocker;
import org.eskiz.server.plan.PlanAtSite;
import org.eskiz.server.plan.PlansAtSite;
import org.springframework.stereotype.Service;

/** Finds what to buy for all runs of a site at once; stores nothing. */
@Service
class SiteBuyingService {

    private final PlansAtSite plans;
    private final PiecesForSite pieces;
    private final ComparisonService comparisons;
    private final CatalogueService catalogues;

    SiteBuyingService(
            PlansAtSite plans, PiecesForSite pieces, ComparisonService comparisons, CatalogueService catalogues) {
        this.plans = plans;
        this.pieces = pieces;
        this.comparisons = comparisons;
        this.catalogues = catalogues;
    }

    SiteBuyingResponse buy(String site, SiteDocument document) {
        SiteDocument.check(document);
        List<PlanAtSite> at = plans.required(site);
        Catalogue catalogue = catalogues.current();
        String currency = catalogue.currency().orElseThrow().getCurrencyCode();
        var runs = new NeededRuns(currency, document);
        List<PieceOfLocker> free = pieces.free(catalogue, at);
        at.forEach(plan -> plan.inRun()
                .ifPresentOrElse(
                        inRun -> add(runs, catalogue, plan, inRun, free),
                        () -> runs.leaveOut(plan, "it cannot be assessed as it stands")));
        return answer(currency, runs);
    }

    private void add(
            NeededRuns runs,
            Catalogue catalogue,
            PlanAtSite plan,
            PlanAtSite.WithCable inRun,
            List<PieceOfLocker> free) {
        String only = inRun.isDecided() ? inRun.laid().row().id() : null;
        List<RunOption> cables = comparisons.options(catalogue, inRun.asked(), only);
        List<RunOption> ofLocker = only != null || cables.isEmpty()
                ? List.of()
                : pieces.options(catalogue, plan, free, cables.get(0).verdict());
        runs.add(plan, ofLocker, cables);
    }

    private static SiteBuyingResponse answer(String currency, NeededRuns runs) {
        if (runs.runs().isEmpty()) {
            return new SiteBuyingResponse(currency, null, null, null, runs.leftOut(), List.of());
        }
        List<SiteBuying.Needed> needed = runs.needed();
        Map<String, SiteBuying.Sold> sold = runs.sold();
        var mapper = new SiteAnswerMapper(runs);
        return new SiteBuyingResponse(
                currency,
                SiteBuying.together(needed, sold, SiteBuying.MOST_STEPS)
                        .map(mapper::response)
                        .orElse(null),
                SiteBuying.apart(needed, sold).map(mapper::response).orElse(null),
                SiteBuying.oneForAll(needed, sold, SiteBuying.MOST_STEPS)
                        .map(mapper::response)
                        .orElse(null),
                runs.leftOut(),
                List.copyOf(runs.unpriced()));
    }
}
