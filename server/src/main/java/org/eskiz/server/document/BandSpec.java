package org.eskiz.server.document;

import jakarta.validation.Valid;
import org.eskiz.core.run.Matching;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;

/**
 * One band; what it says of the radio stands in place of the radio's own.
 *
 * @param branch of a forking run, through which it goes; null for a run that does not fork
 */
public record BandSpec(
        @PlainText(max = 64) String id,
        @PlainText(max = 120) String name,

        @Within(what = Ranges.FREQUENCY, min = 0.1, max = 30_000)
        Double frequencyMHz,

        @Valid LoadSpec load,
        @Within(what = Ranges.POWER, min = 1e-3, max = 1e5) Double powerW,
        @Within(what = "duty", min = 0, max = 1) Double duty,
        Matching matching,
        @Within(what = Ranges.LOSS, min = 0, max = 60) Double matchingLossDb,
        Boolean foldback,

        @Within(what = "antenna gain in dBi", min = -60, max = 80)
        Double antennaGainDbi,

        @PlainText(max = 64) String branch) {}
