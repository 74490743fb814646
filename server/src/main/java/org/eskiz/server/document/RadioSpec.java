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
 * @param matchesUpToSwr the largest SWR that the matching unit copes with, default 3; what is beyond is pointed out and
 *     still computed
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
        Boolean foldback,
        @Within(what = "duty", min = 0, max = 1) Double duty) {}
