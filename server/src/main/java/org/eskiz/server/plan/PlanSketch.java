package org.eskiz.server.plan;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.List;
import org.eskiz.core.choice.Verdict;
import org.jspecify.annotations.Nullable;

/**
 * Enough of a plan to draw it small: the run that its sheet draws, on the band that decides.
 *
 * @param bandName the band that decides
 * @param bandVerdict of the cable there
 * @param radioPowerW null for a receiver
 * @param powerAtAntennaW null for a receiver
 * @param lossBeforeRunDb what never enters the run: matching unit at the radio, reflection, foldback
 * @param cableName the cable in the run
 * @param standing how it came to lie there
 * @param verdict of it, over all bands
 */
@Schema(name = "PlanSketchResponse")
record PlanSketch(
        String bandName,
        Verdict bandVerdict,
        double totalLossDb,
        double lossBeforeRunDb,
        @Nullable Double radioPowerW,
        @Nullable Double powerAtAntennaW,
        String cableName,
        CableStanding standing,
        Verdict verdict,
        double cableLengthM,
        List<SketchedElement> elements) {

    /**
     * One element of the drawing.
     *
     * @param lengthM 0 for what has no length
     */
    @Schema(name = "SketchedElementResponse")
    record SketchedElement(String kind, double lengthM, double lossDb) {}
}
