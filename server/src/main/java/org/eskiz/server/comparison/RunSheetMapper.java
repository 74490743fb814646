package org.eskiz.server.comparison;

import static java.util.Objects.requireNonNullElse;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.eskiz.core.choice.Comparison;
import org.eskiz.core.choice.ReplaceableRun;
import org.eskiz.core.choice.Row;
import org.eskiz.core.kit.Allowances;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.core.unit.Decibels;
import org.eskiz.server.assessment.AssessmentResponse;
import org.eskiz.server.assessment.BandMapper;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.document.AssessmentSpec;
import org.eskiz.server.document.BandSpec;
import org.eskiz.server.document.RunElement;

/** Writes what is needed to build a row: what to buy, what to cut, and what to expect of it. */
final class RunSheetMapper {

    private final ComparisonRequest request;
    private final CandidateMapper candidates;
    private final Comparison comparison;
    private final Catalogue catalogue;
    private final RowMapper rows;

    RunSheetMapper(
            ComparisonRequest request,
            CandidateMapper candidates,
            Comparison comparison,
            Catalogue catalogue,
            RowMapper rows) {
        this.request = request;
        this.candidates = candidates;
        this.comparison = comparison;
        this.catalogue = catalogue;
        this.rows = rows;
    }

    /** What is needed to build a row. */
    RunSheetResponse runSheet(Row row, RunSheetRequest sheet) {
        AssessmentSpec filled = rows.filledWith(row.filling());
        List<AssessmentResponse.BandResponse> bands = new ArrayList<>();
        List<RunSheetResponse.ExpectedResponse> expected = new ArrayList<>();
        for (int i = 0; i < row.cells().size(); i++) {
            BandSpec band = request.bands().get(i);
            row.cells().get(i).assessment().ifPresent(a -> {
                bands.add(new BandMapper(catalogue, filled, a.run()).band(band, a));
                expected.add(expected(a));
            });
        }
        return new RunSheetResponse(
                candidates.name(row.filling()), rows.row(row), bands, toBuy(row), cuts(row, sheet), expected);
    }

    private static RunSheetResponse.ExpectedResponse expected(RunAssessment a) {
        OptionalDouble radioW = a.radio().powerW();
        return new RunSheetResponse.ExpectedResponse(
                radioW.isEmpty() ? null : radioW.getAsDouble() * Decibels.fractionLeft(a.matchedLossDb()),
                a.matchedLossDb(),
                BandMapper.finite(a.swrAtRadio()));
    }

    private List<RunSheetResponse.ToBuyResponse> toBuy(Row row) {
        Map<String, RunSheetResponse.ToBuyResponse> byName = new LinkedHashMap<>();
        for (ReplaceableRun.Bought b : comparison.place().toBuy(row.filling(), comparison.purchase())) {
            boolean isSample = b.cable().isEmpty()
                    || candidates.entry(b.cable().get().id()).samplePrice();
            var item = new RunSheetResponse.ToBuyResponse(
                    b.cable().map(c -> candidates.entry(c.id()).name()).orElseGet(() -> endName(b.end())),
                    b.cable().isPresent(),
                    b.needed(),
                    b.bought(),
                    b.amount().map(m -> RowMapper.cost(m, isSample)).orElse(null));
            byName.merge(item.name(), item, RunSheetMapper::together);
        }
        return List.copyOf(byName.values());
    }

    private String endName(OptionalInt end) {
        var joint = (RunElement.Joint) request.run().get(end.getAsInt());
        return catalogue.connector(joint.connectorKey()).orElseThrow().name();
    }

    private static RunSheetResponse.ToBuyResponse together(
            RunSheetResponse.ToBuyResponse a, RunSheetResponse.ToBuyResponse b) {
        return new RunSheetResponse.ToBuyResponse(
                a.name(),
                a.isCable(),
                a.needed() + b.needed(),
                a.bought() + b.bought(),
                a.cost() == null || b.cost() == null
                        ? null
                        : new ComparisonResponse.CostResponse(
                                a.cost().amount().add(b.cost().amount()),
                                a.cost().currency(),
                                a.cost().sample()));
    }

    private List<RunSheetResponse.SectionCutResponse> cuts(Row row, RunSheetRequest sheet) {
        var allowances = new Allowances(
                requireNonNullElse(sheet.eachEndM(), 0.0),
                requireNonNullElse(sheet.dripLoopM(), 0.0),
                requireNonNullElse(sheet.serviceLoopM(), 0.0));
        return IntStream.range(0, row.filling().size())
                .mapToObj(i -> {
                    int at = candidates.sections().get(i);
                    double runM = ((RunElement.Line) request.run().get(at)).lengthM();
                    CandidateMapper.Entry entry =
                            candidates.entry(row.filling().get(i).id());
                    boolean isOwned = entry.pieceId() != null;
                    return new RunSheetResponse.SectionCutResponse(
                            at, entry.name(), runM, isOwned ? runM : allowances.toCutM(runM), isOwned);
                })
                .toList();
    }
}
