package org.eskiz.server.document;

import org.eskiz.core.exposure.LimitSet;
import org.eskiz.server.problem.Within;

/**
 * What the caution near the antenna rests on.
 *
 * @param limits the set that the operator goes by, default {@code ICNIRP_2020}
 * @param transmitting share of the averaging time spent transmitting, default 0.5
 * @param groundFactor power density raised by the ground, default 2.56
 */
public record ExposureSpec(
        LimitSet limits,

        @Within(what = "share of the time transmitting", min = 0, max = 1)
        Double transmitting,

        @Within(what = "ground factor", min = 1, max = 4) Double groundFactor) {}
