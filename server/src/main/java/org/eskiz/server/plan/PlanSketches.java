package org.eskiz.server.plan;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.eskiz.server.assessment.AssessmentRequest;
import org.eskiz.server.assessment.AssessmentResponse.BandResponse;
import org.eskiz.server.assessment.AssessmentService;
import org.eskiz.server.assessment.BandRequest;
import org.eskiz.server.assessment.ElementRequest;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.problem.InvalidRequestException;
import org.eskiz.server.web.Client;
import org.springframework.stereotype.Component;

/** Draws plans small. A plan that cannot be assessed as it stands has no drawing, and is listed all the same. */
@Component
class PlanSketches {

    private final PlanDocuments documents;
    private final AssessmentService assessments;
    private final CatalogueService catalogues;

    PlanSketches(PlanDocuments documents, AssessmentService assessments, CatalogueService catalogues) {
        this.documents = documents;
        this.assessments = assessments;
        this.catalogues = catalogues;
    }

    Optional<PlanSketch> of(PlanEntity plan) {
        AssessmentRequest request = documents.readStored(plan.document).assessment();
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

    private PlanSketch sketch(AssessmentRequest request, BandRequest band, BandResponse worst) {
        Double radioW = band.powerW() != null || request.radio() == null
                ? band.powerW()
                : request.radio().powerW();
        Optional<ElementRequest.Line> chosen = request.run().stream()
                .filter(e -> e instanceof ElementRequest.Line line && Boolean.TRUE.equals(line.candidate()))
                .map(e -> (ElementRequest.Line) e)
                .findFirst();
        return new PlanSketch(
                band.name() == null ? band.frequencyMHz() + " MHz" : band.name(),
                worst.totalLossDb(),
                worst.totalLossDb() - worst.runLossDb(),
                radioW,
                worst.powerAtAntennaW(),
                chosen.map(this::cableName).orElse(null),
                chosen.map(ElementRequest.Line::lengthM).orElse(null),
                elements(request, worst));
    }

    private String cableName(ElementRequest.Line line) {
        Catalogue catalogue = catalogues.current();
        return line.typeIn(catalogue).map(t -> t.facts().name()).orElse(line.name());
    }

    private static List<PlanSketch.SketchedElement> elements(AssessmentRequest request, BandResponse worst) {
        List<PlanSketch.SketchedElement> elements = new ArrayList<>();
        for (ElementRequest element : request.run()) {
            double lossDb = worst.elements().get(elements.size()).lossDb();
            elements.add(
                    element instanceof ElementRequest.Line line
                            ? new PlanSketch.SketchedElement("LINE", line.lengthM(), lossDb)
                            : new PlanSketch.SketchedElement("JOINT", 0, lossDb));
        }
        return elements;
    }
}
