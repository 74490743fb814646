package org.eskiz.server.assessment;

import io.swagger.v3.oas.annotations.media.Schema;
import java.math.BigDecimal;
import java.util.List;
import org.eskiz.core.choice.Reach;
import org.eskiz.core.choice.Suitability;
import org.eskiz.core.choice.Verdict;
import org.eskiz.server.http.OrNull;

/**
 * The ledger.
 *
 * @param presentRowId the row of the cable that is in the run now; null where the candidates hold different cables
 * @param rows in order of preference
 * @param details the cells asked for, with their elements
 */
public record ComparisonResponse(@OrNull String presentRowId, List<RowResponse> rows, List<DetailResponse> details) {

    /**
     * One cable in the place of the candidate lines.
     *
     * @param reasons the worst first; empty for a pass
     * @param leastSpareDb how much more loss would do on the tightest band; null where nothing is asked
     * @param reach one a band; empty where it was not asked for, or nothing is asked of the run
     * @param cost null where a price is missing or currencies differ
     */
    public record RowResponse(
            String id,
            String name,
            List<AssignmentResponse> assignment,
            Suitability suitability,
            Verdict verdict,
            List<ReasonResponse> reasons,
            @OrNull Double leastSpareDb,
            @OrNull CostResponse cost,
            @OrNull MassResponse mass,
            List<CellResponse> cells,
            List<ReachResponse> reach) {}

    /**
     * How far a cable would go on a band and still meet what is asked.
     *
     * @param lengthM of the candidate lines together; 0 where not even none would do, the farthest looked at where all would
     */
    public record ReachResponse(Reach.Kind kind, double lengthM) {}

    /** What stands in one of the candidate lines. */
    public record AssignmentResponse(
            @Schema(description = "null when the request gave none") @OrNull
            String elementId,

            int element,
            SourceResponse source,
            double lengthM) {}

    /** Where a cable comes from: a key of the catalogue, or the client's own id. */
    public record SourceResponse(
            @OrNull String cableKey, @OrNull String candidateId) {}

    public record CostResponse(
            BigDecimal amount,
            String currency,

            @Schema(description = "whether any price in it is a sample")
            boolean sample) {}

    public record MassResponse(double totalKg) {}

    /**
     * One band in short.
     *
     * @param totalLossDb null when the run loses more than can be assessed
     * @param powerAtAntennaW null for a receiver or when nothing can be assessed
     * @param worstAngleLossDb total loss at the worst angle of the load; equal to the total where the angle is known
     */
    public record CellResponse(
            @OrNull String bandId,
            @OrNull Double totalLossDb,
            @OrNull Double powerAtAntennaW,
            @OrNull Double worstAngleLossDb,
            @OrNull Double swrAtRadio,
            Verdict verdict) {}

    /**
     * Why a row is not a plain pass.
     *
     * @param code {@code MISSED}, {@code LITTLE_TO_SPARE} and so on
     * @param band position of the band in the request
     */
    public record ReasonResponse(
            String code, Verdict verdict, int band, @OrNull String bandId, ReasonValuesResponse values, String text) {}

    /**
     * The numbers of a reason, in the unit of the requirement's kind.
     *
     * @param kind null where no requirement is concerned
     * @param asked null likewise
     * @param reached what stands against it; matched loss in dB where too much is lost, frequency in MHz where a figure
     *     is extrapolated
     */
    public record ReasonValuesResponse(
            @OrNull RequirementRequest.Kind kind, @OrNull Double asked, double reached) {}

    /**
     * A cell with its elements.
     *
     * @param profile what happens along the run, where it was asked for and anything is sent
     */
    public record DetailResponse(
            String rowId,
            int band,
            AssessmentResponse.BandResponse assessment,
            @OrNull ProfileResponse profile) {}
}
