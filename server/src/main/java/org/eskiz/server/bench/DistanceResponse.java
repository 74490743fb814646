package org.eskiz.server.bench;

import java.util.List;
import org.eskiz.core.bench.DistanceToFault;
import org.jspecify.annotations.Nullable;

/**
 * What reflects where.
 *
 * @param places reflection over distance, thinned out
 * @param resolutionM two reflections nearer together than this look like one
 * @param farthestM beyond this distances begin again from zero
 * @param resampled whether the steps of the sweep were not even
 */
record DistanceResponse(
        List<ReflectionPlaceResponse> places,
        List<ReflectionPeakResponse> peaks,
        double velocityFactor,
        double resolutionM,
        double farthestM,
        boolean resampled) {

    record ReflectionPlaceResponse(double distanceM, double reflection) {}

    /**
     * What stands out.
     *
     * @param echoOfM distance of the stronger one that it is a multiple of; null for none
     */
    record ReflectionPeakResponse(
            double distanceM,
            double reflection,
            double returnLossDb,
            DistanceToFault.Kind kind,
            @Nullable Double echoOfM) {}
}
