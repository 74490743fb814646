package org.eskiz.server.plan;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.eskiz.core.choice.Verdict;
import org.eskiz.server.assessment.AssessmentResponse.BandResponse;
import org.eskiz.server.comparison.ComparisonResponse;
import org.eskiz.server.comparison.RowInRun;
import org.eskiz.server.document.AssessmentSpec;
import org.eskiz.server.document.BandSpec;
import org.eskiz.server.document.RunElement;
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
public record PlanSketch(
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
    public record SketchedElement(String kind, double lengthM, double lossDb) {}

    /** Of a run with its cable in it; empty where nothing of it can be assessed on the band that decides. */
    static Optional<PlanSketch> of(RowInRun inRun, CableStanding standing) {
        return Optional.ofNullable(inRun.bands().get(inRun.row().decidingBand()))
                .map(deciding -> of(inRun, deciding, standing));
    }

    private static PlanSketch of(RowInRun inRun, BandResponse deciding, CableStanding standing) {
        AssessmentSpec drawn = inRun.assessment();
        BandSpec band = drawn.bands().get(inRun.row().decidingBand());
        Double radioW = band.powerW() != null || drawn.radio() == null
                ? band.powerW()
                : drawn.radio().powerW();
        return new PlanSketch(
                band.name() == null ? band.frequencyMHz() + " MHz" : band.name(),
                inRun.row().cells().get(inRun.row().decidingBand()).verdict(),
                deciding.totalLossDb(),
                deciding.totalLossDb() - deciding.runLossDb(),
                radioW,
                deciding.powerAtAntennaW(),
                inRun.row().name(),
                standing,
                inRun.row().verdict(),
                inRun.row().assignment().stream()
                        .mapToDouble(ComparisonResponse.AssignmentResponse::lengthM)
                        .sum(),
                elements(drawn, deciding));
    }

    private static List<SketchedElement> elements(AssessmentSpec request, BandResponse worst) {
        List<SketchedElement> elements = new ArrayList<>();
        for (int i = 0; i < request.run().size(); i++) {
            var figures = worst.elements().get(i);
            if (figures.aside() == null) {
                elements.add(
                        request.run().get(i) instanceof RunElement.Line line
                                ? new SketchedElement("LINE", line.lengthM(), figures.lossDb())
                                : new SketchedElement("JOINT", 0, figures.lossDb()));
            }
        }
        return elements;
    }
}
