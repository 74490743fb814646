package org.eskiz.server.assessment;

import java.util.List;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.problem.Faults;

/** Whether what an unfinished request names is known. */
public final class References {

    private References() {}

    /**
     * Adds a fault for every unknown key.
     *
     * @param assessment null for none
     * @param candidates null for none
     * @param prefix stands before the paths of the faults
     */
    public static void check(
            AssessmentRequest assessment,
            List<CandidateRequest> candidates,
            Catalogue catalogue,
            Faults faults,
            String prefix) {
        var check = new RequestCheck(catalogue, faults);
        if (assessment != null) {
            check.references(prefix + "assessment.", assessment);
        }
        RequestCheck.each(
                prefix + "candidates", candidates, (path, c) -> check.knownCable(path + ".cableKey", c.cableKey()));
    }
}
