package org.eskiz.server.plan;

import java.util.Optional;
import java.util.UUID;
import org.eskiz.server.comparison.ComparisonRequest;
import org.eskiz.server.comparison.RowInRun;
import org.eskiz.server.document.PlanDocument;

/**
 * A plan among the others of its site.
 *
 * @param inRun it with the cable that lies in its run; empty where it cannot be assessed as it stands
 */
public record PlanAtSite(UUID id, String name, PlanDocument document, Optional<WithCable> inRun) {

    /**
     * A plan with the cable that lies in its run.
     *
     * @param standing how that came to lie there
     * @param asked its ledger
     */
    public record WithCable(CableStanding standing, ComparisonRequest asked, RowInRun laid) {

        /** Whether the operator laid it there, so that nothing else is looked for. */
        public boolean isDecided() {
            return standing != CableStanding.SUGGESTED;
        }

        /** It drawn small; empty where nothing of it can be assessed. */
        public Optional<PlanSketch> sketch() {
            return PlanSketch.of(laid, standing);
        }
    }
}
