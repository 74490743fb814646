package org.eskiz.server.assessment;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.eskiz.core.choice.LineJunction;
import org.eskiz.core.run.Matching;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.document.BandSpec;
import org.eskiz.server.document.DocumentMapper;
import org.eskiz.server.document.RadioSpec;
import org.eskiz.server.document.RunElement;

/** What an operator should know about a run that can be computed and still may not work. */
final class RunFindings {

    /** Above this a radio without a matching unit reduces its power, if it can. */
    private static final double RADIO_BEARS_SWR = 2;

    /** An SWR that no antenna has: nothing is connected, or something is broken. */
    private static final double NO_LOAD_FROM_SWR = 50;

    /** Pieces are measured to the centimetre. */
    private static final double SAME_LENGTH_M = 0.005;

    private final Catalogue catalogue;

    private final List<RunElement> elements;

    /**
     * @param catalogue where keys are looked up
     * @param elements as requested
     */
    RunFindings(Catalogue catalogue, List<RunElement> elements) {
        this.catalogue = catalogue;
        this.elements = elements;
    }

    List<FindingResponse> of(RadioSpec radio, BandSpec band, RunAssessment a) {
        List<FindingResponse> findings = new ArrayList<>();
        LineJunction.problems(
                        elements.stream().map(this::part).toList(),
                        a.radio().impedanceOhm(),
                        a.radio().matching())
                .forEach(p -> findings.add(pairing(p, band)));
        elements.forEach(e -> otherLength(e, band).ifPresent(findings::add));
        if (a.swrAtAntenna() >= NO_LOAD_FROM_SWR) {
            findings.add(swr("NO_LOAD", band, a.swrAtAntenna(), NO_LOAD_FROM_SWR, "this is as good as no load"));
        }
        double seen = a.radio().matching() == Matching.AT_ANTENNA ? a.swrAtAntenna() : a.swrAtRadio();
        double upTo = DocumentMapper.matchesUpToSwr(radio);
        if (a.radio().matching() == Matching.NONE && seen > RADIO_BEARS_SWR && sends(a)) {
            findings.add(swr("RADIO_SEES_SWR", band, seen, RADIO_BEARS_SWR, "many radios reduce their power"));
        } else if (a.radio().matching() != Matching.NONE && seen > upTo) {
            findings.add(swr("BEYOND_MATCHING_UNIT", band, seen, upTo, "beyond what the matching unit copes with"));
        }
        return findings;
    }

    /** A piece that was given a new end since it was put into the run. */
    private Optional<FindingResponse> otherLength(RunElement element, BandSpec band) {
        return element instanceof RunElement.Line line && line.pieceId() != null
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

    private static FindingResponse swr(String code, BandSpec band, double swr, double limit, String text) {
        Double finite = BandMapper.finite(swr);
        Map<String, Object> values = finite == null ? Map.of("limit", limit) : Map.of("limit", limit, "swr", finite);
        return new FindingResponse(code, FindingResponse.Severity.CAUTION, null, band.id(), values, text);
    }

    private FindingResponse pairing(LineJunction pairing, BandSpec band) {
        boolean isMerelyOther = pairing.problem() == LineJunction.Problem.OTHER_IMPEDANCE;
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

    private LineJunction.Part part(RunElement element) {
        if (element instanceof RunElement.Transformer t) {
            return new LineJunction.Part.Transformer(t.impedanceRatio());
        }
        if (element instanceof RunElement.Line asked) {
            return line(asked);
        }
        return new LineJunction.Part.Other();
    }

    private LineJunction.Part line(RunElement.Line line) {
        if (line.cable() != null) {
            return new LineJunction.Part.Line(false, line.cable().impedanceOhm());
        }
        var facts = line.typeIn(catalogue).orElseThrow().facts();
        return new LineJunction.Part.Line(facts.balanced(), facts.impedanceOhm());
    }
}
