package org.eskiz.server.comparison;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Curves of some rows.
 *
 * @param at frequencies in MHz, or lengths in m
 * @param bands for each, position of the band whose radio and antenna were taken
 * @param rows in the order asked for
 */
public record SweepResponse(List<Double> at, List<Integer> bands, List<CurveResponse> rows) {

    /** One row; a point is null where more is lost than can be assessed. */
    public record CurveResponse(String id, String name, List<CurvePointResponse> points) {}

    /**
     * One point.
     *
     * @param powerAtAntennaW null for a receiver
     * @param swrAtRadio null without limit
     * @param swrAtAntenna null without limit
     */
    public record CurvePointResponse(
            double matchedLossDb,
            double totalLossDb,
            @Nullable Double powerAtAntennaW,
            @Nullable Double swrAtRadio,
            @Nullable Double swrAtAntenna) {}
}
