package org.eskiz.server.assessment;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import org.eskiz.core.choice.Band;
import org.eskiz.core.choice.Comparison;
import org.eskiz.core.choice.Preference;
import org.eskiz.core.choice.Requirement;
import org.eskiz.core.choice.Row;
import org.eskiz.core.run.ImpossibleReadingException;
import org.eskiz.core.run.ReadingSaysNothingException;
import org.eskiz.core.run.RunTooLossyException;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.http.Faults;
import org.springframework.stereotype.Service;

/** Puts candidates into a run and answers the ledger; stores nothing. */
@Service
public class ComparisonService {

    private final CatalogueService catalogues;

    ComparisonService(CatalogueService catalogues) {
        this.catalogues = catalogues;
    }

    /** The ledger of a request. */
    public ComparisonResponse compare(ComparisonRequest request) {
        Catalogue catalogue = catalogues.current();
        Faults faults = Faults.in(request);
        new ComparisonCheck(catalogue, faults).complete(request);
        faults.refuse();

        CandidateReading candidates = CandidateReading.of(request, catalogue);
        Comparison comparison = comparison(request, new CoreReading(catalogue), candidates, faults);
        Preference preference = request.preference() == null ? Preference.LEAST_COST : request.preference();
        List<Row> rows = comparison.rows(candidates.all(), preference);
        boolean isReachWanted = Boolean.TRUE.equals(request.reach());
        var writing = new RowWriting(request, candidates, catalogue);
        return new ComparisonResponse(
                candidates.presentId(),
                rows.stream()
                        .map(r -> writing.row(r, isReachWanted ? RowWriting.reach(comparison, r) : List.of()))
                        .toList(),
                details(request, rows, writing, faults));
    }

    /** Curves of some rows of a ledger. */
    SweepResponse sweep(SweepRequest request) {
        Catalogue catalogue = catalogues.current();
        Faults faults = Faults.in(request);
        if (request.comparison() != null) {
            new ComparisonCheck(catalogue, faults).complete(request.comparison());
        }
        SweepReading.check(request, faults);
        faults.refuse();

        CandidateReading candidates = CandidateReading.of(request.comparison(), catalogue);
        RequestCheck.each("rowIds", request.rowIds(), (path, id) -> {
            if (candidates.entry(id) == null) {
                faults.add(path, "there is no row \"" + id + "\"");
            }
        });
        faults.refuse();
        Comparison comparison = comparison(request.comparison(), new CoreReading(catalogue), candidates, faults);
        return new SweepReading(request, candidates).sweep(comparison);
    }

    private static Comparison comparison(
            ComparisonRequest request, CoreReading reading, CandidateReading candidates, Faults faults) {
        AssessmentRequest assessment = request.assessment();
        List<Band> bands = CoreReading.bands(assessment);
        List<Requirement> asked = request.requirements() == null
                ? List.of()
                : request.requirements().stream().map(CoreReading::requirement).toList();
        Comparison.Place place =
                new Comparison.Place(reading.run(assessment), candidates.sections(), candidates.connectorPrices());
        try {
            return Comparison.in(place, bands, asked);
        } catch (ImpossibleReadingException | ReadingSaysNothingException | RunTooLossyException e) {
            faults.add("bands", e.getMessage());
            faults.refuse();
            throw e;
        }
    }

    private static List<ComparisonResponse.DetailResponse> details(
            ComparisonRequest request, List<Row> rows, RowWriting writing, Faults faults) {
        Map<String, Row> byId = new LinkedHashMap<>();
        rows.forEach(r -> byId.put(r.candidate().id(), r));
        List<ComparisonResponse.DetailResponse> details = new ArrayList<>();
        RequestCheck.each("details", request.details(), (path, cell) -> {
            Row row = byId.get(cell.rowId());
            if (row == null) {
                faults.add(path + ".rowId", "there is no row \"" + cell.rowId() + "\"");
            } else {
                writing.detail(row, cell).ifPresent(details::add);
            }
        });
        faults.refuse();
        return details;
    }
}
