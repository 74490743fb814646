package org.eskiz.server.plan;

import static java.util.Objects.requireNonNullElse;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicReference;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.comparison.ComparisonRequest;
import org.eskiz.server.comparison.ComparisonService;
import org.eskiz.server.comparison.RowInRun;
import org.eskiz.server.document.PlanDocument;
import org.eskiz.server.document.PlanDocumentReader;
import org.eskiz.server.document.RunElement;
import org.eskiz.server.document.ToleranceSpec;
import org.eskiz.server.operator.SettingsService;
import org.eskiz.server.operator.WorkshopService;
import org.springframework.stereotype.Component;

/**
 * The one cable in a plan's run: what was picked, or what comes first in its ledger. Sheet, list, comparison and paper
 * show this one.
 */
@Component
class CablesInRuns {

    /** As many runs as are kept worked out: a ledger is much work for a list of many plans. */
    private static final int MOST_KEPT = 2000;

    private final PlanDocumentReader documents;
    private final DecisionRepository decisions;
    private final ComparisonService comparisons;
    private final CatalogueService catalogues;
    private final SettingsService settings;
    private final WorkshopService workshops;

    private final Cache<Key, RowInRun> kept =
            Caffeine.newBuilder().maximumSize(MOST_KEPT).build();

    CablesInRuns(
            PlanDocumentReader documents,
            DecisionRepository decisions,
            ComparisonService comparisons,
            CatalogueService catalogues,
            SettingsService settings,
            WorkshopService workshops) {
        this.documents = documents;
        this.decisions = decisions;
        this.comparisons = comparisons;
        this.catalogues = catalogues;
        this.settings = settings;
        this.workshops = workshops;
    }

    /** All that a run in the ledger rests on: what was worked out for the same is the same. */
    private record Key(UUID plan, long version, boolean isPicked, Catalogue.State catalogue, ToleranceSpec tolerance) {}

    /** The catalogue and the tolerances of this moment, for one plan or a list of them. */
    Now now() {
        return new Now(catalogues.current(), ToleranceSpec.of(settings.get().tolerances()));
    }

    /** Lays cables into runs by one state of the catalogue. */
    final class Now {

        private final Catalogue catalogue;
        private final Catalogue.State state;
        private final ToleranceSpec tolerance;

        private Now(Catalogue catalogue, ToleranceSpec tolerance) {
            this.catalogue = catalogue;
            this.state = catalogue.state();
            this.tolerance = tolerance;
        }

        Catalogue catalogue() {
            return catalogue;
        }

        /** What tells this moment from others; the same for two servers. */
        String basis() {
            return state.text() + tolerance;
        }

        /**
         * What lies in the run of a plan.
         *
         * @param isChosen whether a choice stands
         */
        RowInRun inRun(PlanEntity plan, PlanDocument document, boolean isChosen) {
            boolean isPicked = isPicked(document, isChosen);
            boolean restsOnMore = !PlanDocumentReader.pieces(document).isEmpty();
            return restsOnMore
                    ? inRun(document, isPicked)
                    : kept.get(
                            new Key(plan.id, plan.version, isPicked, state, tolerance),
                            key -> inRun(document, isPicked));
        }

        /**
         * What lies in the run of a plan, where a type is among it: in a line that stays, or as what was picked or comes first.
         *
         * @param key of a type that is offered
         * @param likeliest what is tried first, and said anew where something else comes first
         */
        Optional<RowInRun> inRunOf(
                String key,
                PlanEntity plan,
                PlanDocument document,
                boolean isChosen,
                AtomicReference<String> likeliest) {
            boolean isPicked = isPicked(document, isChosen);
            boolean isThere = document.assessment().run().stream()
                    .filter(e -> isPicked || !ComparisonRequest.isUpForChoice(e))
                    .anyMatch(e -> e instanceof RunElement.Line line && key.equals(line.cableKey()));
            if (isThere) {
                return Optional.of(inRun(plan, document, isChosen));
            }
            if (isPicked) {
                return Optional.empty();
            }
            Optional<String> before = comparisons.before(catalogue, asked(document), key, likeliest.get());
            before.ifPresent(likeliest::set);
            return before.isEmpty() ? Optional.of(another(document, key)) : Optional.empty();
        }

        private RowInRun inRun(PlanDocument document, boolean isPicked) {
            return comparisons.inRun(catalogue, asked(document), isPicked);
        }

        private RowInRun another(PlanDocument document, String rowId) {
            return comparisons.inRun(catalogue, asked(document), rowId);
        }

        ComparisonRequest asked(PlanDocument document) {
            return ComparisonRequest.of(document, tolerance);
        }
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
                rowId == null ? now().inRun(plan, document, chosen.isPresent()) : now().another(document, rowId);
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

    private Optional<String> chosen(UUID planId) {
        return decisions.standing(workshops.current()).stream()
                .filter(d -> d.planId.equals(planId))
                .map(d -> d.rowId)
                .reduce((earlier, later) -> later);
    }
}
