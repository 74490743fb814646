package org.eskiz.server.document;

import org.eskiz.core.run.Matching;
import org.eskiz.server.problem.Within;

/**
 * What feeds the run.
 *
 * @param powerW null for a receiver
 * @param impedanceOhm default 50
 * @param matching default {@code AT_RADIO}
 * @param matchingLossDb loss of the matching unit, default 0
 * @param matchesUpToSwr the largest SWR that the matching unit copes with: what is beyond fails, and is still computed; null
 *     for one of which nothing is said, that is taken to cope with 3
 * @param matchingIsBalanced whether a balanced line may be joined to the matching unit as it is, default false
 * @param matchingAveragePowerW that the matching unit bears; null where nobody has said
 * @param foldback whether the radio reduces power on a bad SWR, default false
 * @param duty average over peak power while transmitting, default 1
 */
public record RadioSpec(
        @Within(what = Ranges.POWER, min = 1e-3, max = 1e5) Double powerW,

        @Within(what = Ranges.IMPEDANCE, min = 1, max = 2000)
        Double impedanceOhm,

        Matching matching,
        @Within(what = Ranges.LOSS, min = 0, max = 60) Double matchingLossDb,
        @Within(what = Ranges.SWR, min = 1, max = 1000) Double matchesUpToSwr,
        Boolean matchingIsBalanced,

        @Within(what = Ranges.AVERAGE_POWER, min = 1e-3, max = 1e7)
        Double matchingAveragePowerW,

        Boolean foldback,
        @Within(what = "duty", min = 0, max = 1) Double duty) {}
