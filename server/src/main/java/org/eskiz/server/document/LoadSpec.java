package org.eskiz.server.document;

import org.eskiz.server.problem.Within;

/**
 * What is known of the antenna: an impedance, an SWR at the antenna, or an SWR read at the radio.
 *
 * @param referenceOhm impedance in which the SWR was measured, default the radio's
 */
public record LoadSpec(
        @Within(what = "resistance in ohm", min = 1e-6, max = 1e6)
        Double resistanceOhm,

        @Within(what = "reactance in ohm", min = -1e6, max = 1e6)
        Double reactanceOhm,

        @Within(what = Ranges.SWR, min = 1, max = 1000) Double swr,
        @Within(what = Ranges.SWR, min = 1, max = 1000) Double swrAtRadio,

        @Within(what = "reference in ohm", min = 1, max = 2000)
        Double referenceOhm) {}
