package org.eskiz.server.assessment;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.eskiz.core.choice.Pairing;
import org.eskiz.core.run.Matching;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.server.catalogue.Catalogue;

/** What an operator should know about a run that can be computed and still may not work. */
final class RunFindings {

    /** Above this a radio without a matching unit reduces its power, if it can. */
    private static final double RADIO_BEARS_SWR = 2;

    /** An SWR that no antenna has: nothing is connected, or something is broken. */
    private static final double NO_LOAD_FROM_SWR = 50;

    /** Pieces are measured to the centimetre. */
    private static final double SAME_LENGTH_M = 0.005;

    private final Catalogue catalogue;

    private final List<ElementRequest> elements;

    /**
     * @param catalogue where keys are looked up
     * @param elements as requested
     */
    RunFindings(Catalogue catalogue, List<ElementRequest> elements) {
        this.catalogue = catalogue;
        this.elements = elements;
    }

    List<FindingResponse> of(RadioRequest radio, BandRequest band, RunAssessment a) {
        List<FindingResponse> findings = new ArrayList<>();
        Pairing.problems(
                        elements.stream().map(this::part).toList(),
                        a.radio().impedanceOhm(),
                        a.radio().matching())
                .forEach(p -> findings.add(pairing(p, band)));
        elements.forEach(e -> otherLength(e, band).ifPresent(findings::add));
        if (a.swrAtAntenna() >= NO_LOAD_FROM_SWR) {
            findings.add(swr("NO_LOAD", band, a.swrAtAntenna(), NO_LOAD_FROM_SWR, "this is as good as no load"));
        }
        double seen = a.radio().matching() == Matching.AT_ANTENNA ? a.swrAtAntenna() : a.swrAtRadio();
        double upTo = CoreReading.matchesUpToSwr(radio);
        if (a.radio().matching() == Matching.NONE && seen > RADIO_BEARS_SWR && sends(a)) {
            findings.add(swr("RADIO_SEES_SWR", band, seen, RADIO_BEARS_SWR, "many radios reduce their power"));
        } else if (a.radio().matching() != Matching.NONE && seen > upTo) {
            findings.add(swr("BEYOND_MATCHING_UNIT", band, seen, upTo, "beyond what the matching unit copes with"));
        }
        return findings;
    }

    /** A piece that was given a new end since it was put into the run. */
    private Optional<FindingResponse> otherLength(ElementRequest element, BandRequest band) {
        return element instanceof ElementRequest.Line line && line.pieceId() != null
                ? catalogue
                        .piece(line.pieceId())
                        .filter(p -> Math.abs(p.lengthM() - line.lengthM()) > SAME_LENGTH_M)
                        .map(p -> new FindingResponse(
                                "PIECE_OF_OTHER_LENGTH",
                                FindingResponse.Severity.CAUTION,
                                line.id(),
                                band.id(),
                                Map.of("piece", p.label(), "lengthM", p.lengthM(), "inRunM", line.lengthM()),
                                "%s is %s m long, and stands here with %s m"
                                        .formatted(p.label(), p.lengthM(), line.lengthM())))
                : Optional.empty();
    }

    private static boolean sends(RunAssessment a) {
        return a.radio().powerW().isPresent();
    }

    private static FindingResponse swr(String code, BandRequest band, double swr, double limit, String text) {
        Double finite = BandWriting.finite(swr);
        Map<String, Object> values = finite == null ? Map.of("limit", limit) : Map.of("limit", limit, "swr", finite);
        return new FindingResponse(code, FindingResponse.Severity.CAUTION, null, band.id(), values, text);
    }

    private FindingResponse pairing(Pairing pairing, BandRequest band) {
        boolean isMerelyOther = pairing.problem() == Pairing.Problem.OTHER_IMPEDANCE;
        return new FindingResponse(
                pairing.problem().name(),
                isMerelyOther ? FindingResponse.Severity.INFO : FindingResponse.Severity.CAUTION,
                elements.get(pairing.element()).id(),
                band.id(),
                Map.of(
                        "element", pairing.element(),
                        "impedanceOhm", pairing.ohm(),
                        "stationOhm", pairing.stationOhm()),
                switch (pairing.problem()) {
                    case BALANCED_MEETS_COAX -> "balanced line and coaxial cable meet without a transformer";
                    case NEEDS_BALANCED_UNIT -> "a balanced line at the radio needs a balanced matching unit";
                    case BALANCED_INTO_RADIO ->
                        "a balanced line at an unbalanced radio needs a transformer or a balanced matching unit";
                    case OTHER_IMPEDANCE -> "the line is of another impedance than the station and transforms the load";
                });
    }

    private Pairing.Part part(ElementRequest element) {
        if (element instanceof ElementRequest.Transformer t) {
            return new Pairing.Part.Transformer(t.impedanceRatio());
        }
        if (element instanceof ElementRequest.Line asked) {
            return line(asked);
        }
        return new Pairing.Part.Other();
    }

    private Pairing.Part line(ElementRequest.Line line) {
        if (line.cable() != null) {
            return new Pairing.Part.Line(false, line.cable().impedanceOhm());
        }
        var facts = line.typeIn(catalogue).orElseThrow().facts();
        return new Pairing.Part.Line(facts.balanced(), facts.impedanceOhm());
    }
}
