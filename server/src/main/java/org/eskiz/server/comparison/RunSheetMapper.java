package org.eskiz.server.comparison;

import java.util.ArrayList;
import java.util.List;
import java.util.Objects;
import java.util.OptionalDouble;
import org.eskiz.core.choice.Allowances;
import org.eskiz.core.choice.Comparison;
import org.eskiz.core.choice.Row;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.core.unit.Decibels;
import org.eskiz.server.assessment.BandMapper;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.document.AssessmentSpec;
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
    RunSheetResponse runSheet(Row row) {
        AssessmentSpec filled = rows.filledWith(row.filling());
        return new RunSheetResponse(
                candidates.name(row.filling()),
                rows.row(row),
                rows.bands(row).stream().filter(Objects::nonNull).toList(),
                new ShoppingListMapper(request, candidates, comparison, catalogue).toBuy(row),
                cuts(filled),
                row.cells().stream()
                        .flatMap(c -> c.assessment().stream())
                        .map(RunSheetMapper::expected)
                        .toList());
    }

    private static RunSheetResponse.ExpectedResponse expected(RunAssessment a) {
        OptionalDouble radioW = a.radio().powerW();
        return new RunSheetResponse.ExpectedResponse(
                radioW.isEmpty() ? null : radioW.getAsDouble() * Decibels.fractionLeft(a.matchedLossDb()),
                a.matchedLossDb(),
                BandMapper.finite(a.swrAtRadio()));
    }

    /** One for every line; a piece of the locker and what is owned are not cut. */
    List<RunSheetResponse.SectionCutResponse> cuts(AssessmentSpec filled) {
        Allowances allowances = comparison.purchase().allowances();
        List<RunSheetResponse.SectionCutResponse> cuts = new ArrayList<>();
        for (int i = 0; i < filled.run().size(); i++) {
            if (filled.run().get(i) instanceof RunElement.Line line && line.lengthM() > 0) {
                boolean isThere = line.isOwned() || line.price() != null;
                cuts.add(new RunSheetResponse.SectionCutResponse(
                        i,
                        line.typeIn(catalogue).map(t -> t.facts().name()).orElse(line.name()),
                        line.lengthM(),
                        isThere ? line.lengthM() : allowances.toCutM(line.lengthM()),
                        isThere));
            }
        }
        return cuts;
    }
}
