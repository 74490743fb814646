package org.eskiz.server.assessment;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.Finding;
import org.eskiz.core.run.Findings;
import org.eskiz.core.run.LineJunction;
import org.eskiz.core.run.Run;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.document.BandSpec;
import org.eskiz.server.document.DocumentMapper;
import org.eskiz.server.document.RadioSpec;
import org.eskiz.server.document.RatingsMapper;
import org.eskiz.server.document.RunElement;
import org.eskiz.server.document.Surroundings;

/** Writes what the core found about a run on a band. */
final class FindingMapper {

    private final Catalogue catalogue;
    private final RadioSpec radio;
    private final List<RunElement> elements;
    private final Run run;
    private final Surroundings surroundings;

    /**
     * @param catalogue where keys are looked up
     * @param elements as requested
     * @param run the same for the core
     * @param surroundings what is known of what stands around
     */
    FindingMapper(Catalogue catalogue, RadioSpec radio, List<RunElement> elements, Run run, Surroundings surroundings) {
        this.catalogue = catalogue;
        this.surroundings = surroundings;
        this.radio = radio;
        this.elements = elements;
        this.run = run;
    }

    List<FindingResponse> findings(BandSpec band, RunAssessment a) {
        List<OptionalDouble> pieceLengthsM =
                elements.stream().map(this::pieceLengthM).toList();
        var ratings = new RatingsMapper(catalogue);
        Stream<FindingResponse> ofRun = Findings.of(
                        elements.stream().map(e -> e.isBalancedIn(catalogue)).toList(),
                        pieceLengthsM,
                        elements.stream().map(ratings::of).toList(),
                        DocumentMapper.unit(radio),
                        a)
                .stream()
                .map(f -> response(f, band));
        return Stream.concat(ofRun, overload(band, a).stream()).toList();
    }

    private Optional<FindingResponse> overload(BandSpec band, RunAssessment a) {
        OptionalDouble overDb = surroundings.overloadDb(a);
        return overDb.isEmpty() || overDb.getAsDouble() <= 0
                ? Optional.empty()
                : Optional.of(new FindingResponse(
                        "PREAMPLIFIER_OVERLOADED",
                        FindingResponse.Severity.CAUTION,
                        null,
                        band.id(),
                        Map.of("overDb", overDb.getAsDouble())));
    }

    private OptionalDouble pieceLengthM(RunElement element) {
        return element instanceof RunElement.Line line && line.pieceId() != null
                ? catalogue.piece(line.pieceId()).stream()
                        .mapToDouble(p -> p.lengthM())
                        .findFirst()
                : OptionalDouble.empty();
    }

    private FindingResponse response(Finding finding, BandSpec band) {
        if (finding instanceof Finding.Extrapolated f) {
            return extrapolated(f, band);
        } else if (finding instanceof Finding.Junction f) {
            return junction(f.junction(), band);
        } else if (finding instanceof Finding.OtherLength f) {
            return otherLength(f, band);
        } else if (finding instanceof Finding.CopperCladSteel f) {
            return copperClad(f, band);
        } else if (finding instanceof Finding.TransformerEstimated f) {
            return estimated(f, band);
        } else if (finding instanceof Finding.RatingUnknown f) {
            return ratingUnknown(f, band);
        } else if (finding instanceof Finding.PreamplifierBypassed f) {
            return new FindingResponse(
                    "PREAMPLIFIER_BYPASSED",
                    FindingResponse.Severity.INFO,
                    elements.get(f.element()).id(),
                    band.id(),
                    Map.of("element", f.element(), "lossDb", f.lossDb()));
        } else if (finding instanceof Finding.NoLoad f) {
            return swr("NO_LOAD", band, f.swr(), f.fromSwr());
        } else if (finding instanceof Finding.RadioSeesSwr f) {
            return swr("RADIO_SEES_SWR", band, f.swr(), f.bearsSwr());
        } else if (finding instanceof Finding.BeyondMatchingUnit f) {
            return swr("BEYOND_MATCHING_UNIT", band, f.swr(), f.upToSwr());
        }
        return reflects((Finding.ReflectsAtRadio) finding, band);
    }

    private FindingResponse extrapolated(Finding.Extrapolated f, BandSpec band) {
        RunElement asked = elements.get(f.element());
        if (asked instanceof RunElement.Device || asked instanceof RunElement.Fork) {
            return new FindingResponse(
                    "EXTRAPOLATED_DEVICE",
                    FindingResponse.Severity.INFO,
                    asked.id(),
                    band.id(),
                    Map.of("element", f.element(), "frequencyMHz", band.frequencyMHz()));
        }
        boolean isLine = run.elements().get(f.element()) instanceof Element.Line;
        String what = isLine ? sheetName((RunElement.Line) asked) : ((RunElement.Joint) asked).connectorKey();
        return new FindingResponse(
                isLine ? "EXTRAPOLATED_CABLE" : "EXTRAPOLATED_JOINT",
                FindingResponse.Severity.INFO,
                asked.id(),
                band.id(),
                Map.of("of", what, "frequencyMHz", band.frequencyMHz()));
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

    private FindingResponse junction(LineJunction junction, BandSpec band) {
        boolean isMerelyOther = junction.problem() == LineJunction.Problem.OTHER_IMPEDANCE;
        return new FindingResponse(
                junction.problem().name(),
                isMerelyOther ? FindingResponse.Severity.INFO : FindingResponse.Severity.CAUTION,
                elements.get(junction.element()).id(),
                band.id(),
                Map.of(
                        "element", junction.element(),
                        "impedanceOhm", junction.ohm(),
                        "stationOhm", junction.stationOhm()));
    }

    private FindingResponse otherLength(Finding.OtherLength f, BandSpec band) {
        RunElement.Line line = (RunElement.Line) elements.get(f.element());
        String label = catalogue.piece(line.pieceId()).orElseThrow().label();
        return new FindingResponse(
                "PIECE_OF_OTHER_LENGTH",
                FindingResponse.Severity.CAUTION,
                line.id(),
                band.id(),
                Map.of("piece", label, "lengthM", f.lengthM(), "inRunM", f.inRunM()));
    }

    private FindingResponse copperClad(Finding.CopperCladSteel f, BandSpec band) {
        RunElement.Line line = (RunElement.Line) elements.get(f.element());
        return new FindingResponse(
                "COPPER_CLAD_STEEL",
                FindingResponse.Severity.CAUTION,
                line.id(),
                band.id(),
                Map.of("element", f.element(), "of", sheetName(line)));
    }

    private FindingResponse estimated(Finding.TransformerEstimated f, BandSpec band) {
        return new FindingResponse(
                "TRANSFORMER_ESTIMATED",
                FindingResponse.Severity.CAUTION,
                elements.get(f.element()).id(),
                band.id(),
                Map.of("element", f.element(), "lossDb", f.lossDb()));
    }

    private FindingResponse ratingUnknown(Finding.RatingUnknown f, BandSpec band) {
        boolean isUnit = f.element().isEmpty();
        return new FindingResponse(
                "RATING_UNKNOWN",
                FindingResponse.Severity.INFO,
                isUnit ? null : elements.get(f.element().getAsInt()).id(),
                band.id(),
                isUnit ? Map.of() : Map.of("element", f.element().getAsInt()));
    }

    /** An SWR without bound has no number in JSON, and is left out. */
    private static FindingResponse swr(String code, BandSpec band, double swr, double limit) {
        Map<String, Object> values = new HashMap<>(Map.of("limit", limit));
        if (Double.isFinite(swr)) {
            values.put("swr", swr);
        }
        return new FindingResponse(code, FindingResponse.Severity.CAUTION, null, band.id(), values);
    }

    private static FindingResponse reflects(Finding.ReflectsAtRadio f, BandSpec band) {
        return new FindingResponse(
                "REFLECTS_AT_RADIO",
                FindingResponse.Severity.CAUTION,
                null,
                band.id(),
                Map.of("reflectionLossDb", f.reflectionLossDb(), "swrAtRadio", f.swrAtRadio()));
    }
}
