package org.eskiz.server.comparison;

import static com.fasterxml.jackson.annotation.JsonInclude.Include.NON_NULL;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.media.Schema;
import java.math.BigDecimal;
import java.util.List;
import java.util.UUID;
import org.eskiz.core.choice.Bought;
import org.eskiz.core.choice.Reach;
import org.eskiz.core.choice.Suitability;
import org.eskiz.core.choice.Verdict;
import org.eskiz.server.assessment.AssessmentResponse;
import org.eskiz.server.assessment.ProfileResponse;
import org.eskiz.server.catalogue.Provenance;
import org.eskiz.server.document.RequirementSpec;
import org.jspecify.annotations.Nullable;

/**
 * The ledger.
 *
 * @param presentRowId the row of what is in the run now
 * @param rows in order of preference
 * @param relaxations what to ask less of, where nothing gets through
 * @param ladder of value, where it was asked for
 * @param chanceSteps from the cheapest to the surest, where it was asked how sure rows are; of rows whose price is known
 * @param leftOut of very many candidates, those that have no row; null where all have one
 * @param details the cells asked for, with their elements
 */
public record ComparisonResponse(
        String presentRowId,
        List<RowResponse> rows,
        List<RelaxationResponse> relaxations,
        @Nullable ValueStepsResponse ladder,
        List<ChanceStepResponse> chanceSteps,
        @Nullable RowsLeftOutResponse leftOut,
        List<DetailResponse> details) {

    /**
     * How many of very many candidates have no row. What stands in the run, favourites, and cables that were named always have
     * one.
     *
     * @param otherImpedance of an impedance more than a quarter off that of the line that stands there
     * @param sheetEndsBelow whose figures on the highest band would be a guess from beyond their sheet
     * @param behind that come after all of these in the order that was asked for
     */
    public record RowsLeftOutResponse(int otherImpedance, int sheetEndsBelow, int behind) {}

    /**
     * One cable in the place of the candidate lines.
     *
     * @param reasons the worst first; empty for a pass
     * @param leastSpareDb how much more loss would do on the tightest band; null where nothing is asked
     * @param reach one a band; empty where it was not asked for, or nothing is asked that loss could miss
     * @param reachOfRun how far it goes before cost or mass miss what is asked of them; null where it was not asked for,
     *     nothing is asked of them, or they are not known
     * @param cost null where a price is missing or currencies differ
     * @param chance share of the samples of what nobody knows exactly in which everything is met that is asked of what arrives, 0
     *     for a row that fails for anything else; null where it was not asked for
     * @param passing the same of twenty
     * @param marginalByChance whether it is marginal for what arrives, and not for what it costs or bears
     * @param middle total loss on each band in the middle 90 % of those samples; empty likewise
     * @param surer the next cable that would pass more often for more; null likewise, and where there is none
     * @param tolerance how far its losses may be off: of its cables that which may be the farthest
     */
    public record RowResponse(
            String id,
            String name,
            List<AssignmentResponse> assignment,
            Suitability suitability,
            Verdict verdict,
            List<ReasonResponse> reasons,
            @Nullable Double leastSpareDb,
            @Nullable CostResponse cost,
            List<UnpricedResponse> notInCost,
            @Nullable MassResponse mass,
            List<CellResponse> cells,
            int decidingBand,
            List<ReachResponse> reach,
            @Nullable ReachResponse reachOfRun,
            @Nullable Double chance,
            @Nullable Integer passing,
            boolean marginalByChance,
            List<LossRangeResponse> middle,
            @Nullable SurerResponse surer,
            ToleranceResponse tolerance) {}

    /**
     * A cable that would pass more often.
     *
     * @param passing of twenty
     * @param more of twenty
     * @param cost how much more it costs, in the currency of both
     */
    public record SurerResponse(String rowId, String name, int passing, int more, double cost) {}

    /**
     * How far the losses of a cable may be off what is said of them.
     *
     * @param percent with 95 %
     * @param provenance where its losses come from
     * @param ofItself whether it is said of the cable itself, or measured; else it is what its provenance lets one expect
     */
    public record ToleranceResponse(double percent, Provenance provenance, boolean ofItself) {}

    /**
     * A step up in certainty.
     *
     * @param passing how many of twenty runs like it would pass
     * @param more than on the step before; all of them on the first
     * @param cost of its row
     * @param costOfStep what it costs more than the step before; null for the first
     * @param costPerMore of that, for each more of twenty; null likewise
     */
    public record ChanceStepResponse(
            String rowId,
            String name,
            int passing,
            int more,
            double cost,
            @Nullable Double costOfStep,
            @Nullable Double costPerMore) {}

    /**
     * What to ask less of so that a cable gets through.
     *
     * @param rowId the cable
     */
    public record RelaxationResponse(String rowId, String name, List<EasedResponse> eased) {}

    /**
     * One requirement eased.
     *
     * @param requirement its position in the request
     * @param to the number that would do; null for a plain yes, to be given up
     */
    public record EasedResponse(
            int requirement,
            RequirementSpec.Kind kind,
            @Nullable Double asked,
            @Nullable Double to) {}

    /**
     * Where more money stops paying, on one band.
     *
     * @param currency of all its costs; null where no cost is known
     * @param points every row of known cost
     * @param steps the lower hull of cost against loss, the cheapest first
     * @param knee position of the last step that costs no more per dB than it is worth to the operator
     */
    public record ValueStepsResponse(
            int band,
            @Nullable String currency,
            List<ValuePointResponse> points,
            List<ValueStepResponse> steps,
            int knee) {}

    /** A row as it stands between cost and loss. */
    public record ValuePointResponse(
            String rowId,
            String name,
            double cost,
            double totalLossDb,
            @Nullable Double costPerDeliveredW,

            @Schema(description = "watts of the radio's power that are lost, over the length of the candidate lines")
            @Nullable
            Double lostWPerM,

            @Schema(description = "cost over the watts that are lost and over that length") @Nullable
            Double costPerLostWAndM) {}

    /** One step up; the first has no cost of its own. */
    public record ValueStepResponse(
            String rowId,
            @Nullable Double costPerDb,
            @Nullable Double costPerW) {}

    /**
     * How far a cable would go on a band and still meet what is asked.
     *
     * @param lengthM of the candidate lines together; 0 where not even none would do, the farthest looked at where all would
     *     or nothing is asked
     * @param extrapolated whether it rests on a figure from beyond a data sheet
     */
    public record ReachResponse(Reach.Kind kind, double lengthM, boolean extrapolated) {}

    /** What stands in one of the candidate lines. */
    public record AssignmentResponse(
            @Schema(description = "null when the request gave none") @Nullable
            String elementId,

            int element,
            SourceResponse source,
            double lengthM) {}

    /** Where a cable comes from: a key of the catalogue, a piece of the locker, or the client's own id. */
    public record SourceResponse(
            @Nullable String cableKey,
            @Nullable UUID pieceId,
            @Nullable String candidateId) {}

    public record CostResponse(
            BigDecimal amount,
            String currency,

            @Schema(description = "whether any price in it is a sample")
            boolean sample,

            @Schema(
                    description =
                            "names of what in it has a sample price, where the rest has a price of the operator's own")
            List<String> samples) {}

    /**
     * A part that is bought and not in the cost.
     *
     * @param name null for what the operator has given no name; its kind is that of the element
     * @param element position in the run; null for a cable
     * @param elsewhere what it costs in another currency; null where nobody knows its price
     */
    public record UnpricedResponse(
            Bought.Kind kind,
            @Nullable String name,
            @Nullable Integer element,
            @Nullable CostResponse elsewhere) {}

    public record MassResponse(double totalKg) {}

    /**
     * One band in short.
     *
     * @param totalLossDb null when the run loses more than can be assessed
     * @param powerAtAntennaW null for a receiver or when nothing can be assessed
     * @param worstAngleLossDb total loss at the worst angle of the load; equal to the total where the angle is known
     */
    public record CellResponse(
            @Schema(description = "left out where the request gave none") @JsonInclude(NON_NULL) @Nullable
            String bandId,

            @Nullable Double totalLossDb,
            @Nullable Double powerAtAntennaW,
            @Nullable Double worstAngleLossDb,
            @Nullable Double swrAtRadio,
            Verdict verdict) {}

    /**
     * Why a row is not a plain pass.
     *
     * @param code {@code MISSED}, {@code LITTLE_TO_SPARE} and so on
     * @param band position of the band in the request; null for the run as a whole
     * @param requirement position of the requirement in the request; null where none is concerned
     * @param element position in the run of the part that it is about; null for none, and for the matching unit
     */
    public record ReasonResponse(
            String code,
            Verdict verdict,
            @Nullable Integer band,
            @Nullable Integer requirement,

            @Schema(description = "left out where the request gave none") @JsonInclude(NON_NULL) @Nullable
            String bandId,

            @Nullable Integer element,

            @Schema(description = "left out where the request gave none") @JsonInclude(NON_NULL) @Nullable
            String elementId,

            ReasonValuesResponse values) {}

    /**
     * The numbers of a reason, in the unit of the requirement's kind; money in a currency.
     *
     * @param kind left out where no requirement is concerned
     * @param asked null for a plain yes; where no requirement is concerned, the limit that is no matter of asking: the SWR with
     *     which a matching unit copes, or 1 for what a part bears
     * @param reached null for a plain no, and for what is not known; else what stands against it; matched loss in dB where too
     *     much is lost, frequency in MHz where a figure is extrapolated, how many times over a part bears what it gets, the
     *     impedance in Ω of a balanced line
     */
    public record ReasonValuesResponse(
            @Schema(description = "left out where no requirement is concerned") @JsonInclude(NON_NULL)
            RequirementSpec.@Nullable Kind kind,

            @Nullable Double asked,
            @Nullable Double reached,

            @Schema(description = "left out for what is no money") @JsonInclude(NON_NULL) @Nullable
            String currency) {}

    /**
     * A cell with its elements.
     *
     * @param atTolerance total loss at both ends of what the cables may be off; null where nothing is to be assessed
     * @param otherWeather what it would be on a wet day, or on a dry one; null where that is all the same
     * @param profile what happens along the run, where it was asked for and anything is sent
     */
    public record DetailResponse(
            String rowId,
            int band,
            AssessmentResponse.BandResponse assessment,
            @Nullable LossRangeResponse atTolerance,
            @Nullable WeatherResponse otherWeather,
            @Nullable ProfileResponse profile) {}

    /**
     * A day of the other kind.
     *
     * @param wet whether it is the wet one
     */
    public record WeatherResponse(
            boolean wet, double totalLossDb, @Nullable Double powerAtAntennaW) {}

    /** Between what a total loss lies: at both ends of what lines may be off, or in the middle 90 % of the samples. */
    public record LossRangeResponse(double leastDb, double mostDb) {}
}
