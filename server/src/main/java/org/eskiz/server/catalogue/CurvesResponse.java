package org.eskiz.server.catalogue;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** One curve a type, in the order of the request. */
public record CurvesResponse(List<CableCurveResponse> curves) {

    /** One point a frequency, in the order of the request. */
    public record CableCurveResponse(String key, List<CablePointResponse> points) {}

    /**
     * A type at one frequency.
     *
     * @param lossDb matched loss of the length
     * @param floorDbPer100m the least that copper allows at its size; null where that is not known
     * @param averagePowerW that it bears; null where not known
     * @param extrapolated whether the frequency lies outside of its data sheet
     */
    public record CablePointResponse(
            double attenuationDbPer100m,
            double lossDb,
            @Nullable Double floorDbPer100m,
            @Nullable Double averagePowerW,
            boolean extrapolated) {}

    /**
     * What a type loses at a frequency and 20 °C.
     *
     * @param extrapolated whether the frequency lies outside of its data sheet
     */
    public record CableLossResponse(String key, double attenuationDbPer100m, boolean extrapolated) {}
}
