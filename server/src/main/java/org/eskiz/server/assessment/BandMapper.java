package org.eskiz.server.assessment;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.eskiz.core.exposure.Exposure;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.Run;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.core.unit.Decibels;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.document.AssessmentSpec;
import org.eskiz.server.document.BandSpec;
import org.eskiz.server.document.DocumentMapper;
import org.eskiz.server.document.RadioSpec;
import org.eskiz.server.document.RunElement;
import org.eskiz.server.document.Surroundings;

/** Writes what the core found on a band, with what an operator should know about it. */
public final class BandMapper {

    private final FindingMapper findings;
    private final RadioSpec radio;
    private final List<RunElement> elements;
    private final Surroundings surroundings;

    /**
     * @param catalogue where keys are looked up
     * @param request what was assessed
     * @param run the same for the core
     */
    public BandMapper(Catalogue catalogue, AssessmentSpec request, Run run) {
        this.radio = request.radio();
        this.elements = request.run();
        this.surroundings = new Surroundings(request.receiver(), request.exposure());
        this.findings = new FindingMapper(catalogue, radio, elements, run, surroundings);
    }

    public AssessmentResponse.BandResponse band(BandSpec band, RunAssessment a) {
        return new AssessmentResponse.BandResponse(
                band.id(),
                band.name(),
                a.conditions().frequencyMHz(),
                a.matchedLossDb(),
                a.mismatchLossDb(),
                a.runLossDb(),
                a.matchingLossDb(),
                a.reflectionLossDb(),
                a.foldbackDb(),
                a.totalLossDb(),
                boxed(a.powerAtAntennaW()),
                Decibels.rangeLeft(a.totalLossDb()),
                a.efficiencyRange()
                        .map(r -> new AssessmentResponse.RangeResponse(r.min(), r.max()))
                        .orElse(null),
                finite(a.swrAtRadio()),
                finite(a.swrAtAntenna()),
                a.inputImpedance()
                        .map(z -> new AssessmentResponse.ImpedanceResponse(z.resistanceOhm(), z.reactanceOhm()))
                        .orElse(null),
                surroundings.receivePenaltyDb(a),
                near(band, a),
                elements(a),
                findings.findings(band, a));
    }

    private List<AssessmentResponse.ElementResponse> elements(RunAssessment a) {
        List<AssessmentResponse.ElementResponse> answers = new ArrayList<>();
        for (RunAssessment.ElementLoss e : a.elements()) {
            answers.add(new AssessmentResponse.ElementResponse(
                    elements.get(answers.size()).id(),
                    e.lossDb(),
                    e.matchedLossDb(),
                    boxed(e.powerInW()),
                    boxed(e.powerOutW()),
                    a.run().elements().get(answers.size()) instanceof Element.Aside ? true : null));
        }
        return answers;
    }

    /** Null for a receiver. */
    private AssessmentResponse.NearResponse near(BandSpec band, RunAssessment a) {
        if (a.powerAtAntennaW().isEmpty()) {
            return null;
        }
        double frequencyMHz = a.conditions().frequencyMHz();
        Optional<Exposure> known = surroundings.exposure(band, DocumentMapper.duty(radio, band), a);
        return new AssessmentResponse.NearResponse(
                known.map(Exposure::eirpW).orElse(null),
                known.map(e -> boxed(e.distanceM(frequencyMHz, surroundings.limits())))
                        .orElse(null),
                Exposure.farFieldFromM(frequencyMHz),
                surroundings.limits());
    }

    public static Double boxed(OptionalDouble value) {
        return value.isEmpty() ? null : Double.valueOf(value.getAsDouble());
    }

    /** JSON has no infinity: what has no limit is null. */
    public static Double finite(double value) {
        return Double.isFinite(value) ? value : null;
    }
}
