package org.eskiz.server.locker.cutting;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * The best set of each size.
 *
 * @param sets one for each number of pieces, from 1 on, as long as one piece more loses less
 * @param proven whether nothing better can be made of lengths in these steps
 */
record LengthSetResponse(List<SetResponse> sets, boolean proven, long setsTried) {

    /**
     * A set of lengths.
     *
     * @param lengthsM the longest first
     * @param uses one a site, in their order
     * @param meanLossDb over all visits, joints between pieces included
     * @param massKg of all its pieces; null where that of the cable is not known
     */
    record SetResponse(
            List<Double> lengthsM,
            List<UseResponse> uses,
            double meanLossDb,
            double worstLossDb,
            @Nullable Double massKg) {}

    record UseResponse(List<Double> lengthsM, double lossDb, double leftOverM) {}
}
