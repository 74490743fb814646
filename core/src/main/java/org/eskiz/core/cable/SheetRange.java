package org.eskiz.core.cable;

import java.util.List;

/**
 * The frequencies a data sheet speaks about.
 *
 * @param lowestMHz frequency of its lowest row
 * @param highestMHz frequency of its highest row
 */
public record SheetRange(double lowestMHz, double highestMHz) {

    /** Below a third of the lowest row, or above one and a half times the highest, the fitted law is a guess. */
    private static final double BELOW = 1.0 / 3;

    private static final double ABOVE = 1.5;

    /** The range of one or more points. */
    public static SheetRange of(List<AttenuationPoint> points) {
        var f = points.stream().mapToDouble(AttenuationPoint::frequencyMHz).summaryStatistics();
        return new SheetRange(f.getMin(), f.getMax());
    }

    /** Whether the fitted law holds at a frequency without being an extrapolation. */
    public boolean covers(double frequencyMHz) {
        return frequencyMHz >= lowestMHz * BELOW && !endsBelow(frequencyMHz);
    }

    /** Whether a frequency is too far above its highest row. */
    public boolean endsBelow(double frequencyMHz) {
        return frequencyMHz > highestMHz * ABOVE;
    }
}
