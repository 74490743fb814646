package org.eskiz.server.site;

import static java.util.Objects.requireNonNullElse;

import java.util.List;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.comparison.ComparisonService;
import org.eskiz.server.plan.PlanAtSite;
import org.eskiz.server.plan.PlansAtSite;
import org.springframework.stereotype.Service;

/** Works out all runs of a site together; stores nothing. */
@Service
class SiteSheetService {

    private final PlansAtSite plans;
    private final ComparisonService comparisons;
    private final CatalogueService catalogues;

    SiteSheetService(PlansAtSite plans, ComparisonService comparisons, CatalogueService catalogues) {
        this.plans = plans;
        this.comparisons = comparisons;
        this.catalogues = catalogues;
    }

    /** The sheet of a site, with what is said of it. */
    SiteSheetResponse sheet(String site, SiteDocument document) {
        SiteDocument.check(document);
        List<PlanAtSite> at = plans.required(site);
        Catalogue catalogue = catalogues.current();
        var runs = new SiteRunMapper(comparisons, catalogue, document);
        var totals = new SiteTotals(requireNonNullElse(document.work(), new SiteDocument.WorkSpec(null, null, null)));
        List<SiteSheetResponse.SiteRunResponse> mapped =
                at.stream().map(runs::run).toList();
        var phased = new PhasedMapper(catalogue, at);
        return new SiteSheetResponse(
                mapped,
                requireNonNullElse(document.ducts(), List.<SiteDocument.DuctSpec>of()).stream()
                        .map(d -> DuctMapper.duct(d, mapped))
                        .toList(),
                totals.of(mapped),
                requireNonNullElse(document.phased(), List.<SiteDocument.PhasedSpec>of()).stream()
                        .map(phased::phased)
                        .toList());
    }
}
