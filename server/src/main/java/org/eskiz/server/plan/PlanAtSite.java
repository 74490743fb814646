package org.eskiz.server.plan;

import java.util.Optional;
import java.util.UUID;
import org.eskiz.server.comparison.ComparisonRequest;
import org.eskiz.server.comparison.RowInRun;
import org.eskiz.server.comparison.RunSheetResponse;
import org.eskiz.server.document.PlanDocument;

/**
 * A plan among the others of its site.
 *
 * @param built empty where it cannot be assessed as it stands
 */
public record PlanAtSite(UUID id, long version, String name, PlanDocument document, Optional<Built> built) {

    /**
     * It with the cable that lies in its run.
     *
     * @param standing how that came to lie there
     * @param asked its ledger
     * @param sheet what is needed to build it
     */
    public record Built(CableStanding standing, ComparisonRequest asked, RowInRun inRun, RunSheetResponse sheet) {

        /** Whether the operator laid it there, so that nothing else is looked for. */
        public boolean isDecided() {
            return standing != CableStanding.SUGGESTED;
        }
    }
}
