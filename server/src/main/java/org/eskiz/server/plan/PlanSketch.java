package org.eskiz.server.plan;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Enough of a plan to draw it small: its run on the band where least arrives.
 *
 * @param bandName the band on which least arrives
 * @param radioPowerW null for a receiver
 * @param powerAtAntennaW null for a receiver
 * @param lossBeforeRunDb what never enters the run: matching unit at the radio, reflection, foldback
 * @param cableName the cable in the run's chosen section; null where there is none
 */
@Schema(name = "PlanSketchResponse")
record PlanSketch(
        String bandName,
        double totalLossDb,
        double lossBeforeRunDb,
        @Nullable Double radioPowerW,
        @Nullable Double powerAtAntennaW,
        @Nullable String cableName,
        @Nullable Double cableLengthM,
        List<SketchedElement> elements) {

    /**
     * One element of the drawing.
     *
     * @param lengthM 0 for what has no length
     */
    @Schema(name = "SketchedElementResponse")
    record SketchedElement(String kind, double lengthM, double lossDb) {}
}
