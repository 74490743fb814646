package org.eskiz.server.assessment;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What happens along a run. Voltages and currents are r.m.s. at the radio's power as stated, its peak; margins take in the
 * duty of the mode and the temperature of the day. Below 1 a margin fails, below 1.5 it is marginal.
 *
 * @param lines one for every LINE, in order
 * @param joints one for every JOINT, in order
 */
public record ProfileResponse(List<LineResponse> lines, List<JointResponse> joints) {

    /**
     * Along one line.
     *
     * @param element its index in the run
     * @param maxVoltageRms at the worst angle of the load
     * @param maxVoltageFromRadioM along the run; null where the angle of the load is not known
     * @param maxCurrentFromRadioM likewise
     * @param maxHeatFromRadioM likewise
     * @param equivalentMatchedPowerW matched power that would heat the line as much as its hottest spot
     * @param delayNs time that a wave takes along it
     * @param ratedPowerW average power that it bears at this frequency and temperature; null where not known
     * @param ratedPeakVoltageV null where not known
     * @param powerMargin rating over average power; null where not known
     * @param heatAtRatingWPerM heat per metre, at the radio's peak power, at which the margin would be 1
     * @param voltageAtRatingRms voltage at which its margin would be 1
     * @param voltageMargin peak rating over peak voltage; null where not known
     */
    public record LineResponse(
            int element,
            @Nullable String id,
            List<PlaceResponse> points,
            double maxVoltageRms,
            @Nullable Double maxVoltageFromRadioM,
            double maxCurrentRms,
            @Nullable Double maxCurrentFromRadioM,
            double maxHeatWPerM,
            @Nullable Double maxHeatFromRadioM,
            double equivalentMatchedPowerW,
            double electricalLengthWavelengths,
            double delayNs,
            @Nullable Double ratedPowerW,
            @Nullable Double ratedPeakVoltageV,
            @Nullable Double heatAtRatingWPerM,
            @Nullable Double voltageAtRatingRms,
            @Nullable Double powerMargin,
            @Nullable Double voltageMargin) {}

    /**
     * One place on a line; each figure is a number, or its bounds where the angle of the load is not known.
     *
     * @param swr in the line's nominal impedance; null without limit
     */
    public record PlaceResponse(
            double fromRadioM,

            @Schema(oneOf = {Double.class, BoundsResponse.class})
            FigureResponse powerW,

            @Schema(oneOf = {Double.class, BoundsResponse.class})
            FigureResponse voltageRms,

            @Schema(oneOf = {Double.class, BoundsResponse.class})
            FigureResponse currentRms,

            @Schema(oneOf = {Double.class, BoundsResponse.class})
            FigureResponse swr,

            @Schema(oneOf = {Double.class, BoundsResponse.class})
            FigureResponse heatWPerM) {}

    /**
     * At a joint, the larger of its two sides, at the worst angle of the load.
     *
     * @param element its index in the run
     * @param ratedPeakVoltageV null where not known
     * @param ratedPowerW average power that it bears on this band; null where not known
     * @param powerMargin null where no average rating is known
     * @param voltageMargin null where not known
     */
    public record JointResponse(
            int element,
            @Nullable String id,
            double voltageRms,
            @Nullable Double ratedPeakVoltageV,
            @Nullable Double ratedPowerW,
            @Nullable Double powerMargin,
            @Nullable Double voltageMargin) {}
}
