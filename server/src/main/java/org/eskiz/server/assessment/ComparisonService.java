package org.eskiz.server.assessment;

import static java.util.Objects.requireNonNullElse;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.eskiz.core.choice.Candidate;
import org.eskiz.core.choice.Changes;
import org.eskiz.core.choice.Comparison;
import org.eskiz.core.choice.Mixes;
import org.eskiz.core.choice.Preference;
import org.eskiz.core.choice.Row;
import org.eskiz.core.run.ImpossibleReadingException;
import org.eskiz.core.run.ReadingSaysNothingException;
import org.eskiz.core.run.RunTooLossyException;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.problem.Faults;
import org.eskiz.server.web.Client;
import org.springframework.stereotype.Service;

/** Puts candidates into a run and answers the ledger; stores nothing. */
@Service
public class ComparisonService {

    private static final int MIXES_WANTED = 5;

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

        Prepared p = prepare(request, catalogue, faults);
        List<List<Candidate>> fillings = p.candidates.fillings();
        WorkEstimate.require(request, fillings.size(), faults);
        // each row only as long as somebody waits for it
        List<Row> rows = p.comparison.ranked(fillings, p.preference, Client::requireListening);
        return new ComparisonResponse(
                Row.id(p.candidates.present()),
                rows.stream().map(row -> written(p, row)).toList(),
                p.writing.relaxations(rows),
                p.writing.ladder(rows),
                details(request, rows, p.writing, faults));
    }

    private static ComparisonResponse.RowResponse written(Prepared p, Row row) {
        Client.requireListening();
        return p.writing.row(row);
    }

    /**
     * The row of what stands in the run now, and no other.
     *
     * @param asked as for {@link #compare}
     */
    public ComparisonResponse.RowResponse presentRow(ComparisonRequest asked) {
        Catalogue catalogue = catalogues.current();
        Faults faults = checked(asked, catalogue, "");
        Prepared p = prepare(asked, catalogue, faults);
        return p.writing.row(p.comparison.row(p.candidates.present()));
    }

    /**
     * Refuses a comparison that cannot be made.
     *
     * @param path stands before the paths of the faults
     */
    public void check(ComparisonRequest asked, String path) {
        checked(asked, catalogues.current(), path);
    }

    private static Faults checked(ComparisonRequest asked, Catalogue catalogue, String path) {
        Faults faults = Faults.in(asked).below(path);
        new ComparisonCheck(catalogue, faults).complete(asked);
        faults.refuse();
        return faults;
    }

    /** What is needed to build a row. */
    RunSheetResponse runSheet(RunSheetRequest request) {
        Catalogue catalogue = catalogues.current();
        Faults faults = Faults.in(request);
        if (request.comparison() != null) {
            new ComparisonCheck(catalogue, faults.below("comparison")).complete(request.comparison());
        }
        faults.refuse();
        Prepared p = prepare(request.comparison(), catalogue, faults.below("comparison"));
        known("rowId", request.rowId(), p, faults);
        faults.refuse();
        return p.writing.runSheet(
                p.comparison.row(p.candidates.filling(request.rowId()).orElseThrow()), request);
    }

    /** Curves of some rows of a ledger. */
    SweepResponse sweep(SweepRequest request) {
        Catalogue catalogue = catalogues.current();
        Faults faults = Faults.in(request);
        if (request.comparison() != null) {
            new ComparisonCheck(catalogue, faults.below("comparison")).complete(request.comparison());
        }
        SweepReading.check(request, faults);
        faults.refuse();

        Prepared p = prepare(request.comparison(), catalogue, faults.below("comparison"));
        RequestCheck.each("rowIds", request.rowIds(), (path, id) -> known(path, id, p, faults));
        faults.refuse();
        WorkEstimate.requireCurves(request.comparison(), request.rowIds().size(), SweepReading.points(request), faults);
        return new SweepReading(request, p.candidates).sweep(p.comparison);
    }

    /** What would change the answer. */
    ChangesResponse changes(ChangesRequest request) {
        Catalogue catalogue = catalogues.current();
        Faults faults = Faults.in(request);
        if (request.comparison() != null) {
            new ComparisonCheck(catalogue, faults.below("comparison")).complete(request.comparison());
            new ComparisonCheck(catalogue, faults).band("band", request.band(), request.comparison());
        }
        faults.refuse();

        Prepared p = prepare(request.comparison(), catalogue, faults.below("comparison"));
        known("rowId", request.rowId(), p, faults);
        faults.refuse();
        WorkEstimate.requireChanges(
                request.comparison(), p.candidates.fillings().size(), faults.below("comparison"));
        Row row = p.comparison.row(p.candidates.filling(request.rowId()).orElseThrow());
        return p.writing.changes(Changes.of(p.comparison, p.candidates.all(), p.preference, row, request.band()));
    }

    /** The best mixes of cables. */
    MixesResponse mixes(MixesRequest request) {
        Catalogue catalogue = catalogues.current();
        Faults faults = Faults.in(request);
        if (request.comparison() != null) {
            new ComparisonCheck(catalogue, faults.below("comparison")).complete(request.comparison());
        }
        faults.refuse();

        Prepared p = prepare(request.comparison(), catalogue, faults.below("comparison"));
        if (p.candidates.sections().size() < 2) {
            faults.add("comparison.run", "must mark at least two LINE elements as candidate: a mix takes two cables");
            faults.refuse();
        }
        Mixes mixes = Mixes.search(
                p.comparison,
                p.candidates.all(),
                p.preference,
                new Mixes.Bounds(MIXES_WANTED, WorkEstimate.mixes(request.comparison())),
                Client::requireListening);
        return new MixesResponse(mixes.rows().stream().map(p.writing::row).toList(), mixes.proven(), mixes.tried());
    }

    private static void known(String path, String rowId, Prepared p, Faults faults) {
        if (p.candidates.filling(rowId).isEmpty()) {
            faults.add(path, "there is no row \"" + rowId + "\"");
        }
    }

    private static Prepared prepare(ComparisonRequest request, Catalogue catalogue, Faults faults) {
        CandidateReading candidates = CandidateReading.of(request, catalogue);
        var place = new PlaceReading(request, catalogue);
        var asked = new AskedReading(request);
        try {
            Comparison comparison = Comparison.in(
                    place.place(candidates.sections()),
                    place.purchase(),
                    CoreReading.bands(request.assessment()),
                    asked.requirements());
            var writing = new RowWriting(request, candidates, asked, comparison, catalogue);
            return new Prepared(
                    candidates, comparison, requireNonNullElse(request.preference(), Preference.LEAST_COST), writing);
        } catch (ImpossibleReadingException | ReadingSaysNothingException | RunTooLossyException e) {
            faults.add("bands", e.getMessage());
            faults.refuse();
            throw e;
        }
    }

    /** A request brought into the core's terms. */
    private record Prepared(
            CandidateReading candidates, Comparison comparison, Preference preference, RowWriting writing) {}

    private static List<ComparisonResponse.DetailResponse> details(
            ComparisonRequest request, List<Row> rows, RowWriting writing, Faults faults) {
        Map<String, Row> byId = new LinkedHashMap<>();
        rows.forEach(r -> byId.put(r.id(), r));
        List<ComparisonResponse.DetailResponse> details = new ArrayList<>();
        RequestCheck.each("details", request.details(), (path, cell) -> {
            Optional<Row> row = Optional.ofNullable(byId.get(cell.rowId()));
            if (row.isEmpty()) {
                faults.add(path + ".rowId", "there is no row \"" + cell.rowId() + "\"");
            }
            row.flatMap(r -> writing.detail(r, cell)).ifPresent(details::add);
        });
        faults.refuse();
        return details;
    }
}
