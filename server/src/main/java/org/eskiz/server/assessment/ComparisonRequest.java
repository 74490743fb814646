package org.eskiz.server.assessment;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.eskiz.core.choice.Preference;
import org.eskiz.server.http.PlainText;
import org.eskiz.server.http.Within;

/**
 * An assessment whose run marks one or more lines as {@code candidate}, and what to make of it.
 *
 * @param flatJointLossDb as in an {@link AssessmentRequest}
 * @param receiver likewise
 * @param exposure likewise
 * @param candidates null or empty for the whole catalogue; the present cable is always a row
 * @param requirements what is asked on every band; null or empty for nothing
 * @param preference order of the rows, default {@code LEAST_COST}
 * @param reach whether it is wanted how far each row would go; takes its time
 * @param details cells whose elements are wanted too
 */
public record ComparisonRequest(
        @Valid RadioRequest radio,

        @Within(what = "ambient temperature in °C", min = -60, max = 120)
        Double ambientC,

        @Within(what = Ranges.LOSS, min = 0, max = 60) Double flatJointLossDb,

        @Valid ReceiverRequest receiver,
        @Valid ExposureRequest exposure,

        @Size(max = AssessmentRequest.MOST_ELEMENTS, message = "must be at most {max} elements")
        List<@Valid @NotNull(message = "must be an element, not null") ElementRequest> run,

        @Size(max = AssessmentRequest.MOST_BANDS, message = "must be at most {max} bands")
        List<@Valid @NotNull(message = "must be a band, not null") BandRequest> bands,

        @Size(max = 200, message = "must be at most {max} candidates")
        List<@Valid @NotNull(message = "must be a candidate, not null") CandidateRequest> candidates,

        @Size(max = 8, message = "must be at most {max} requirements")
        List<@Valid @NotNull(message = "must be a requirement, not null") RequirementRequest> requirements,

        Preference preference,
        Boolean reach,

        @Size(max = 8, message = "must be at most {max} cells")
        List<@Valid @NotNull(message = "must be a cell, not null") CellRequest> details) {

    /**
     * A cell of the ledger.
     *
     * @param band position of the band in the request, from 0
     * @param profile whether what happens along the run is wanted too; a receiver has none
     */
    public record CellRequest(
            @PlainText(max = 64) String rowId,
            @Within(what = "band", min = 0, max = 63) Integer band,
            Boolean profile) {}

    AssessmentRequest assessment() {
        return new AssessmentRequest(radio, ambientC, flatJointLossDb, receiver, exposure, run, bands);
    }
}
