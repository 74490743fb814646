package org.eskiz.server.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.eskiz.server.assessment.AssessmentResponse.BandResponse;
import org.eskiz.server.assessment.AssessmentService;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.document.AssessmentSpec;
import org.eskiz.server.document.BandSpec;
import org.eskiz.server.document.PlanDocumentReader;
import org.eskiz.server.document.RunElement;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.web.Client;
import org.springframework.stereotype.Component;

/** Draws plans small. A plan that cannot be assessed as it stands has no drawing, and is listed all the same. */
@Component
class PlanSketches {

    private final PlanDocumentReader documents;
    private final AssessmentService assessments;
    private final CatalogueService catalogues;

    PlanSketches(PlanDocumentReader documents, AssessmentService assessments, CatalogueService catalogues) {
        this.documents = documents;
        this.assessments = assessments;
        this.catalogues = catalogues;
    }

    Optional<PlanSketch> of(PlanEntity plan) {
        AssessmentSpec request = documents.readStored(plan.document).assessment();
        if (request == null) {
            return Optional.empty();
        }
        Client.requireListening();
        try {
            List<BandResponse> bands = assessments.assess(request).bands();
            BandResponse worst = bands.stream()
                    .max(Comparator.comparingDouble(BandResponse::totalLossDb))
                    .orElseThrow();
            return Optional.of(sketch(request, request.bands().get(bands.indexOf(worst)), worst));
        } catch (InvalidRequestException unfinished) {
            return Optional.empty();
        }
    }

    private PlanSketch sketch(AssessmentSpec request, BandSpec band, BandResponse worst) {
        Double radioW = band.powerW() != null || request.radio() == null
                ? band.powerW()
                : request.radio().powerW();
        Optional<RunElement.Line> chosen = request.run().stream()
                .filter(e -> e instanceof RunElement.Line line && Boolean.TRUE.equals(line.candidate()))
                .map(e -> (RunElement.Line) e)
                .findFirst();
        return new PlanSketch(
                band.name() == null ? band.frequencyMHz() + " MHz" : band.name(),
                worst.totalLossDb(),
                worst.totalLossDb() - worst.runLossDb(),
                radioW,
                worst.powerAtAntennaW(),
                chosen.map(this::cableName).orElse(null),
                chosen.map(RunElement.Line::lengthM).orElse(null),
                elements(request, worst));
    }

    private String cableName(RunElement.Line line) {
        Catalogue catalogue = catalogues.current();
        return line.typeIn(catalogue).map(t -> t.facts().name()).orElse(line.name());
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
