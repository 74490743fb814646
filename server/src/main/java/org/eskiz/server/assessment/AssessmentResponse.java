package org.eskiz.server.assessment;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.eskiz.core.exposure.LimitSet;
import org.jspecify.annotations.Nullable;

/** One entry a band, in the order of the request. */
public record AssessmentResponse(List<BandResponse> bands) {

    /**
     * What the run does on one band. Losses add up: matched + mismatch = run; run + matching + reflection + foldback =
     * total.
     */
    public record BandResponse(
            @Nullable String id,
            @Nullable String name,
            double frequencyMHz,
            double matchedLossDb,
            double mismatchLossDb,
            double runLossDb,
            double matchingLossDb,
            double reflectionLossDb,
            double foldbackDb,
            double totalLossDb,

            @Schema(description = "null for a receiver") @Nullable
            Double powerAtAntennaW,

            @Schema(description = "fraction of the range in free space that the total loss leaves")
            double freeSpaceRange,

            @Schema(description = "of the run, where the angle of the load is unknown") @Nullable
            RangeResponse efficiencyRange,

            @Schema(description = "null for an SWR without limit") @Nullable
            Double swrAtRadio,

            @Schema(description = "null for an SWR without limit") @Nullable
            Double swrAtAntenna,

            @Schema(description = "where the angle of the load is known") @Nullable
            ImpedanceResponse inputImpedance,

            @Schema(
                    description =
                            "loss of signal-to-noise ratio against a lossless run; null where nothing is known of the noise outside")
            @Nullable
            Double receivePenaltyDb,

            @Schema(description = "null for a receiver") @Nullable
            NearResponse near,

            List<ElementResponse> elements,
            List<FindingResponse> notes) {}

    /**
     * Near the antenna: a caution with its assumptions, never a verdict.
     *
     * @param eirpW at the radio's peak; null where nobody has said the gain of the antenna
     * @param distanceM where the average power density falls to the limit; null likewise, and where the set states none here
     * @param farFieldFromM nearer than this the estimate does not hold
     */
    public record NearResponse(
            @Nullable Double eirpW, @Nullable Double distanceM, double farFieldFromM, LimitSet limits) {}

    public record RangeResponse(double min, double max) {}

    public record ImpedanceResponse(double resistanceOhm, double reactanceOhm) {}

    public record ElementResponse(
            @Nullable String id,
            double lossDb,
            double matchedLossDb,

            @Schema(description = "null for a receiver") @Nullable
            Double powerInW,

            @Schema(description = "null for a receiver") @Nullable
            Double powerOutW,

            @Schema(description = "true where it stands in another branch than this band goes through") @Nullable
            Boolean aside) {}
}
