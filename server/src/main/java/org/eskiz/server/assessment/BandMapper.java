package org.eskiz.server.assessment;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import org.eskiz.core.exposure.Exposure;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.Matching;
import org.eskiz.core.run.Run;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.document.AssessmentSpec;
import org.eskiz.server.document.BandSpec;
import org.eskiz.server.document.DocumentMapper;
import org.eskiz.server.document.RadioSpec;
import org.eskiz.server.document.RunElement;
import org.eskiz.server.document.Surroundings;

/** Writes what the core found on a band, with what an operator should know about it. */
public final class BandMapper {

    /** Less reflection than this at the radio is not worth a sentence. */
    private static final double NOTEWORTHY_REFLECTION_DB = 0.05;

    private final Catalogue catalogue;
    private final RadioSpec radio;
    private final List<RunElement> elements;
    private final Surroundings surroundings;
    private final Run run;

    /**
     * @param catalogue where keys are looked up
     * @param request what was assessed
     * @param run the same for the core
     */
    public BandMapper(Catalogue catalogue, AssessmentSpec request, Run run) {
        this.catalogue = catalogue;
        this.radio = request.radio();
        this.elements = request.run();
        this.surroundings = new Surroundings(request.receiver(), request.exposure());
        this.run = run;
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
                findings(band, a));
    }

    private List<AssessmentResponse.ElementResponse> elements(RunAssessment a) {
        List<AssessmentResponse.ElementResponse> answers = new ArrayList<>();
        for (RunAssessment.ElementLoss e : a.elements()) {
            answers.add(new AssessmentResponse.ElementResponse(
                    elements.get(answers.size()).id(),
                    e.lossDb(),
                    e.matchedLossDb(),
                    boxed(e.powerInW()),
                    boxed(e.powerOutW())));
        }
        return answers;
    }

    private List<FindingResponse> findings(BandSpec band, RunAssessment a) {
        List<FindingResponse> findings = new ArrayList<>();
        for (int i = 0; i < elements.size(); i++) {
            if (run.elements().get(i).isExtrapolatedAt(a.conditions().frequencyMHz())) {
                findings.add(extrapolated(elements.get(i), run.elements().get(i), band));
            }
        }
        findings.addAll(new RunFindings(catalogue, elements).of(radio, band, a));
        boolean unitAtAntenna = a.radio().matching() == Matching.AT_ANTENNA;
        if (unitAtAntenna && a.reflectionLossDb() > NOTEWORTHY_REFLECTION_DB) {
            findings.add(new FindingResponse(
                    "REFLECTS_AT_RADIO",
                    FindingResponse.Severity.CAUTION,
                    null,
                    band.id(),
                    Map.of("reflectionLossDb", a.reflectionLossDb(), "swrAtRadio", a.swrAtRadio()),
                    "the line is flat, but not of the radio's impedance: it still reflects at the radio"));
        }
        return findings;
    }

    private FindingResponse extrapolated(RunElement asked, Element element, BandSpec band) {
        boolean isLine = element instanceof Element.Line;
        String what = isLine ? sheetName((RunElement.Line) asked) : ((RunElement.Joint) asked).connectorKey();
        return new FindingResponse(
                isLine ? "EXTRAPOLATED_CABLE" : "EXTRAPOLATED_JOINT",
                FindingResponse.Severity.INFO,
                asked.id(),
                band.id(),
                Map.of("of", what, "frequencyMHz", band.frequencyMHz()),
                isLine
                        ? "extrapolated beyond the sheet of " + what
                        : "above the highest frequency of connector " + what + ": its loss is extrapolated");
    }

    private String sheetName(RunElement.Line line) {
        if (line.cableKey() != null) {
            return line.cableKey();
        }
        if (line.pieceId() != null) {
            return line.typeIn(catalogue).orElseThrow().facts().name();
        }
        return line.name() == null ? "a cable of one's own" : line.name();
    }

    /** Null for a receiver. */
    private AssessmentResponse.NearResponse near(BandSpec band, RunAssessment a) {
        double frequencyMHz = a.conditions().frequencyMHz();
        return surroundings
                .exposure(band, DocumentMapper.duty(radio, band), a)
                .map(e -> new AssessmentResponse.NearResponse(
                        e.eirpW(),
                        boxed(e.distanceM(frequencyMHz, surroundings.limits())),
                        Exposure.farFieldFromM(frequencyMHz),
                        surroundings.limits()))
                .orElse(null);
    }

    public static Double boxed(OptionalDouble value) {
        return value.isEmpty() ? null : Double.valueOf(value.getAsDouble());
    }

    /** JSON has no infinity: what has no limit is null. */
    public static Double finite(double value) {
        return Double.isFinite(value) ? value : null;
    }
}
