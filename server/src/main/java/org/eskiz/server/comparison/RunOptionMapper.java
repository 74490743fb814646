package org.eskiz.server.comparison;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Collectors;
import org.eskiz.core.choice.Bought;
import org.eskiz.core.choice.Candidate;
import org.eskiz.core.choice.Comparison;
import org.eskiz.core.choice.Row;
import org.eskiz.core.choice.ShoppingList;
import org.eskiz.server.document.AssessmentSpec;
import org.eskiz.server.document.RunElement;

/** Writes rows of a ledger as ways to build its run. */
final class RunOptionMapper {

    private final CandidateMapper candidates;
    private final Comparison comparison;
    private final RunSheetMapper sheets;
    private final RowMapper rows;

    RunOptionMapper(CandidateMapper candidates, Comparison comparison, RunSheetMapper sheets, RowMapper rows) {
        this.candidates = candidates;
        this.comparison = comparison;
        this.sheets = sheets;
        this.rows = rows;
    }

    RunOption option(Row row) {
        ShoppingList list = comparison.place().toBuy(row.filling(), comparison.purchase());
        Map<String, Candidate> sold = list.items().stream()
                .flatMap(b -> b.cable().stream())
                .collect(Collectors.toMap(candidates::nameOf, c -> c, (a, b) -> a));
        return new RunOption(
                Row.id(row.filling()),
                candidates.name(row.filling()),
                row.verdict(),
                cuts(row, sold),
                list.items().stream()
                        .filter(b -> b.kind() != Bought.Kind.CABLE)
                        .map(Bought::amount)
                        .toList(),
                piece(row));
    }

    private List<RunOption.CutOfCable> cuts(Row row, Map<String, Candidate> sold) {
        AssessmentSpec filled = rows.filledWith(row.filling());
        List<RunOption.CutOfCable> cuts = new ArrayList<>();
        for (RunSheetResponse.SectionCutResponse cut : sheets.cuts(filled)) {
            Candidate cable = sold.get(cut.name());
            if (!cut.isOwned() && cable != null) {
                var line = (RunElement.Line) filled.run().get(cut.element());
                for (int n = 0; n < comparison.purchase().times(); n++) {
                    cuts.add(new RunOption.CutOfCable(
                            line.cableKey(),
                            cut.name(),
                            cut.cutM(),
                            cable.pricePerM(),
                            cable.soldInM().isPresent() ? cable.soldInM().getAsDouble() : null));
                }
            }
        }
        return cuts;
    }

    private Optional<UUID> piece(Row row) {
        return row.filling().stream()
                .map(c -> candidates.entry(c.id()).pieceId())
                .filter(id -> id != null)
                .findFirst();
    }
}
