package org.eskiz.server.plan;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.eskiz.server.assessment.AssessmentResponse.BandResponse;
import org.eskiz.server.comparison.ComparisonResponse;
import org.eskiz.server.comparison.RowInRun;
import org.eskiz.server.document.AssessmentSpec;
import org.eskiz.server.document.BandSpec;
import org.eskiz.server.document.PlanDocument;
import org.eskiz.server.document.PlanDocumentReader;
import org.eskiz.server.document.RunElement;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.web.Client;
import org.springframework.stereotype.Component;

/** Draws plans small. A plan that cannot be assessed as it stands has no drawing, and is listed all the same. */
@Component
class PlanSketches {

    private final PlanDocumentReader documents;

    PlanSketches(PlanDocumentReader documents) {
        this.documents = documents;
    }

    /**
     * A plan as its sheet draws it.
     *
     * @param chosenRowId what was chosen and stands
     */
    Optional<PlanSketch> of(CablesInRuns.Now now, PlanEntity plan, Optional<String> chosenRowId) {
        PlanDocument document = documents.readStored(plan.document);
        Client.requireListening();
        try {
            RowInRun inRun = now.inRun(plan, document, chosenRowId.isPresent());
            return Optional.ofNullable(inRun.bands().get(inRun.row().decidingBand()))
                    .map(band -> sketch(inRun, band, CablesInRuns.standing(document, inRun, chosenRowId)));
        } catch (InvalidRequestException unfinished) {
            return Optional.empty();
        }
    }

    private static PlanSketch sketch(RowInRun inRun, BandResponse deciding, CableStanding standing) {
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

    private static List<PlanSketch.SketchedElement> elements(AssessmentSpec request, BandResponse worst) {
        List<PlanSketch.SketchedElement> elements = new ArrayList<>();
        for (RunElement element : request.run()) {
            double lossDb = worst.elements().get(elements.size()).lossDb();
            elements.add(
                    element instanceof RunElement.Line line
                            ? new PlanSketch.SketchedElement("LINE", line.lengthM(), lossDb)
                            : new PlanSketch.SketchedElement("JOINT", 0, lossDb));
        }
        return elements;
    }
}
