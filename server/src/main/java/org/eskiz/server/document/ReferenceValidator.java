package org.eskiz.server.document;

import java.util.List;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.problem.ValidationErrors;

/** Whether what an unfinished request names is known. */
public final class ReferenceValidator {

    private ReferenceValidator() {}

    /**
     * Adds a fault for every unknown key.
     *
     * @param assessment null for none
     * @param candidates null for none
     * @param prefix stands before the paths of the errors
     */
    public static void check(
            AssessmentSpec assessment,
            List<CandidateSpec> candidates,
            Catalogue catalogue,
            ValidationErrors errors,
            String prefix) {
        var check = new DocumentValidator(catalogue, errors);
        if (assessment != null) {
            check.references(prefix + "assessment.", assessment);
        }
        DocumentValidator.each(
                prefix + "candidates", candidates, (path, c) -> check.knownCable(path + ".cableKey", c.cableKey()));
    }
}
