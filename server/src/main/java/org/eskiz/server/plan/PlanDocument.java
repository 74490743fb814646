package org.eskiz.server.plan;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.stream.Stream;
import org.eskiz.core.choice.Preference;
import org.eskiz.server.assessment.AssessmentRequest;
import org.eskiz.server.assessment.CandidateRequest;
import org.eskiz.server.assessment.ComparisonRequest;
import org.eskiz.server.assessment.PurchaseRequest;
import org.eskiz.server.assessment.RequirementRequest;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.problem.PlainText;

/**
 * What a plan says, as files carry it too. Values may be null while the plan is unfinished.
 *
 * @param schemaVersion always {@link #SCHEMA_VERSION} once read; older documents are brought up to it
 * @param assessment the run, what feeds it and the bands
 * @param use what it is for; it only says where the sheet started from
 * @param requirements what is asked
 * @param purchase how the cable is bought
 * @param candidates cables to be tried besides the catalogue
 * @param preference order of the ledger
 * @param done steps of the run sheet that are ticked
 */
record PlanDocument(
        @NotNull(message = "must be given") Integer schemaVersion,
        Use use,
        @Valid AssessmentRequest assessment,

        @Size(max = ComparisonRequest.MOST_REQUIREMENTS, message = "must be at most {max} requirements")
        List<@Valid @NotNull(message = "must be a requirement, not null") RequirementRequest> requirements,

        @Size(max = 200, message = "must be at most {max} candidates")
        List<@Valid @NotNull(message = "must be a candidate, not null") CandidateRequest> candidates,

        @Valid PurchaseRequest purchase,
        Preference preference,

        @Size(max = 100, message = "must be at most {max} steps")
        List<@NotNull(message = "must be a step, not null") @PlainText(max = 60) String> done) {

    /** What a run is for. */
    public enum Use {
        HOME_RUN,
        FIELD_KIT,
        VEHICLE,
        RECEIVE_ONLY,
        DATA_LINK
    }

    /** The form of document that this version of the application writes. */
    static final int SCHEMA_VERSION = 1;

    /**
     * The cables of this plan's ledger: the whole catalogue, and those that the document writes out. A document that
     * names cables of the catalogue among its candidates wants only the named ones.
     */
    private List<CandidateRequest> triedCables(Catalogue catalogue) {
        List<CandidateRequest> named = candidates == null ? List.of() : candidates;
        if (named.stream().anyMatch(c -> c.cableKey() != null)) {
            return named;
        }
        Stream<CandidateRequest> all = catalogue.offered().stream().map(CandidateRequest::ofCatalogue);
        return Stream.concat(all, named.stream()).toList();
    }

    /** The ledger that this plan asks for. */
    ComparisonRequest comparison(Catalogue catalogue) {
        AssessmentRequest a =
                assessment == null ? new AssessmentRequest(null, null, null, null, null, null, null) : assessment;
        return new ComparisonRequest(
                a.radio(),
                a.ambientC(),
                a.flatJointLossDb(),
                a.receiver(),
                a.exposure(),
                a.run(),
                a.bands(),
                triedCables(catalogue),
                requirements,
                purchase,
                null,
                preference,
                null,
                false,
                List.of());
    }
}
