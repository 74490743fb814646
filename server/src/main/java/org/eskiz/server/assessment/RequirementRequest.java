package org.eskiz.server.assessment;

import io.swagger.v3.oas.annotations.media.Schema;
import org.eskiz.server.http.Within;

/**
 * What is asked on every band: one kind, and the number that belongs to it.
 *
 * @param powerW for {@code LEAST_POWER}
 * @param lossDb for {@code MOST_LOSS}: total loss
 * @param percent for {@code LEAST_PERCENT}: of the radio's power
 */
public record RequirementRequest(
        @Schema(requiredMode = Schema.RequiredMode.REQUIRED) Kind kind,

        @Within(what = "least power in W", min = 1e-6, max = 1e5)
        Double powerW,

        @Within(what = "most loss in dB", min = 0, max = 300)
        Double lossDb,

        @Within(what = "least percent", min = 1e-6, max = 100)
        Double percent) {

    /** The terms in which something can be asked. */
    public enum Kind {
        LEAST_POWER,
        MOST_LOSS,
        LEAST_PERCENT
    }
}
