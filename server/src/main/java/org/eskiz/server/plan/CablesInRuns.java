package org.eskiz.server.plan;

import static java.util.Objects.requireNonNullElse;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.comparison.ComparisonRequest;
import org.eskiz.server.comparison.ComparisonService;
import org.eskiz.server.comparison.RowInRun;
import org.eskiz.server.document.PlanDocument;
import org.eskiz.server.document.PlanDocumentReader;
import org.eskiz.server.document.ToleranceSpec;
import org.eskiz.server.operator.OperatorService;
import org.eskiz.server.operator.SettingsService;
import org.springframework.stereotype.Component;

/**
 * The one cable in a plan's run: what was picked, or what comes first in its ledger. Sheet, list, comparison and paper
 * show this one.
 */
@Component
class CablesInRuns {

    private final PlanDocumentReader documents;
    private final DecisionRepository decisions;
    private final ComparisonService comparisons;
    private final CatalogueService catalogues;
    private final SettingsService settings;
    private final OperatorService operators;

    CablesInRuns(
            PlanDocumentReader documents,
            DecisionRepository decisions,
            ComparisonService comparisons,
            CatalogueService catalogues,
            SettingsService settings,
            OperatorService operators) {
        this.documents = documents;
        this.decisions = decisions;
        this.comparisons = comparisons;
        this.catalogues = catalogues;
        this.settings = settings;
        this.operators = operators;
    }

    /**
     * A plan as its sheet draws it.
     *
     * @param rowId another row to be laid into it; null for the cable that lies there
     */
    CableInRunResponse of(PlanEntity plan, String rowId) {
        PlanDocument document = documents.readStored(plan.document);
        Optional<String> chosen = chosen(plan.id);
        RowInRun inRun =
                rowId == null ? inRun(document, chosen.isPresent()) : comparisons.inRun(asked(document), rowId);
        return new CableInRunResponse(
                plan.id,
                plan.version,
                plan.site,
                plan.name,
                rowId == null ? standing(document, inRun, chosen) : null,
                inRun.row(),
                inRun.assessment(),
                inRun.bands(),
                requireNonNullElse(document.requirements(), List.of()));
    }

    /**
     * What lies in the run of a plan.
     *
     * @param isChosen whether a choice stands
     */
    RowInRun inRun(PlanDocument document, boolean isChosen) {
        return comparisons.inRun(asked(document), isPicked(document, isChosen));
    }

    /** How it came to lie there. */
    static CableStanding standing(PlanDocument document, RowInRun inRun, Optional<String> chosenRowId) {
        if (chosenRowId.filter(inRun.row().id()::equals).isPresent()) {
            return CableStanding.CHOSEN;
        }
        return isPicked(document, chosenRowId.isPresent()) ? CableStanding.PICKED : CableStanding.SUGGESTED;
    }

    /** Where the ledger has nothing to choose, everything lies there by hand. */
    private static boolean isPicked(PlanDocument document, boolean isChosen) {
        return document.isPicked(isChosen)
                || document.assessment() != null
                        && !ComparisonRequest.isAnyUpForChoice(
                                document.assessment().run());
    }

    private ComparisonRequest asked(PlanDocument document) {
        return ComparisonRequest.of(
                document, catalogues.current(), ToleranceSpec.of(settings.get().tolerances()));
    }

    private Optional<String> chosen(UUID planId) {
        return decisions.standing(operators.current()).stream()
                .filter(d -> d.planId.equals(planId))
                .map(d -> d.rowId)
                .reduce((earlier, later) -> later);
    }
}
