package org.eskiz.server.document;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.eskiz.core.choice.Preference;
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
 * @param picked whether the cable in the run was picked by hand; else the run follows the ledger, and the row that comes
 *     first lies in it. Null in documents of earlier versions: see {@link #isPicked}
 * @param done steps of the run sheet that are ticked
 */
public record PlanDocument(
        @NotNull(message = "must be given") Integer schemaVersion,
        Use use,
        @Valid AssessmentSpec assessment,

        @Size(max = RequirementSpec.MOST, message = "must be at most {max} requirements")
        List<@Valid @NotNull(message = "must be a requirement, not null") RequirementSpec> requirements,

        @Size(max = 200, message = "must be at most {max} candidates")
        List<@Valid @NotNull(message = "must be a candidate, not null") CandidateSpec> candidates,

        @Valid PurchaseSpec purchase,
        Preference preference,
        Boolean picked,

        @Size(max = 100, message = "must be at most {max} steps")
        List<@NotNull(message = "must be a step, not null") @PlainText(max = 60) String> done) {

    /**
     * Whether what lies in the run was picked by hand.
     *
     * @param isChosen whether a choice stands: in documents that do not say, it laid the cable into the run
     */
    public boolean isPicked(boolean isChosen) {
        return picked == null ? isChosen : picked;
    }

    /** The same with another run. */
    public PlanDocument withRun(List<RunElement> run) {
        return new PlanDocument(
                schemaVersion,
                use,
                assessment.withRun(run),
                requirements,
                candidates,
                purchase,
                preference,
                picked,
                done);
    }

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
}
