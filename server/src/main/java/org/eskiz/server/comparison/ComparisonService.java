package org.eskiz.server.comparison;

import static java.util.Objects.requireNonNullElse;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.eskiz.core.choice.Candidate;
import org.eskiz.core.choice.ChanceSteps;
import org.eskiz.core.choice.Changes;
import org.eskiz.core.choice.Comparison;
import org.eskiz.core.choice.Confidence;
import org.eskiz.core.choice.Mixes;
import org.eskiz.core.choice.Preference;
import org.eskiz.core.choice.Ranking;
import org.eskiz.core.choice.Row;
import org.eskiz.core.choice.Verdict;
import org.eskiz.core.run.ImpossibleReadingException;
import org.eskiz.core.run.ReadingSaysNothingException;
import org.eskiz.core.run.RunTooLossyException;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.catalogue.CatalogueService;
import org.eskiz.server.document.DocumentMapper;
import org.eskiz.server.document.DocumentValidator;
import org.eskiz.server.document.WorkEstimate;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.web.Client;
import org.springframework.stereotype.Service;

/** Puts candidates into a run and answers the ledger; stores nothing. */
@Service
public class ComparisonService {

    private static final int MIXES_WANTED = 5;

    /** So many times the work of a run is that of its samples, each of one angle only. */
    private static final long SAMPLED_RUNS = 8;

    /** Likewise of the fewer samples of a row. */
    private static final long SAMPLED_ROWS = 3;

    private final CatalogueService catalogues;

    ComparisonService(CatalogueService catalogues) {
        this.catalogues = catalogues;
    }

    /** The ledger of a request. */
    ComparisonResponse compare(Catalogue catalogue, ComparisonRequest request) {
        ValidationErrors errors = ValidationErrors.in(request);
        new ComparisonValidator(catalogue, errors).complete(request);
        errors.throwIfAny();

        Prepared p = prepare(request, catalogue, errors);
        List<List<Candidate>> fillings = p.candidates.fillings();
        requireWork(request, fillings.size(), errors);
        // each row only as long as somebody waits for it
        List<Row> ranked = p.ranking().rows(fillings, Client::requireListening);
        List<Row> rows = Boolean.TRUE.equals(request.confidence())
                ? p.comparison.sure(ranked, Client::requireListening)
                : ranked;
        ChanceSteps steps = RowMapper.chanceSteps(rows);
        List<Row> shown = p.candidates.shown(rows);
        return new ComparisonResponse(
                Row.id(p.candidates.present()),
                shown.stream().map(row -> p.mapper.row(row, steps)).toList(),
                p.mapper.relaxations(rows),
                p.mapper.valueSteps(rows),
                p.mapper.steps(steps),
                p.candidates.leftOut(rows.size() - shown.size()),
                details(request, rows, p.mapper, errors));
    }

    /** How sure what stands in a run is to do what is asked of it. */
    ConfidenceResponse confidence(ComparisonRequest request) {
        Catalogue catalogue = catalogues.current();
        ComparisonRequest asked = request.ofWhatStands();
        ValidationErrors errors = checked(asked, catalogue, "");
        WorkEstimate.require(
                "bands", "samples", Confidence.POINTS_OF_A_RUN, SAMPLED_RUNS * stepsOfRows(asked, 1), errors);
        Prepared p = prepare(asked, catalogue, errors);
        Confidence confidence = p.comparison.confidence(p.candidates.present());
        return ConfidenceResponse.of(confidence, asked);
    }

    private static WorkEstimate work(ComparisonRequest request) {
        return WorkEstimate.of(request.assessment());
    }

    private static long stepsOfRows(ComparisonRequest request, int rows) {
        boolean asksMargins = request.requirements() != null
                && request.requirements().stream().anyMatch(r -> r.kind().isMargin());
        long steps = rows * work(request).row(asksMargins, Boolean.TRUE.equals(request.reach()));
        boolean isSampled = Boolean.TRUE.equals(request.confidence()) || request.preference() == Preference.SUREST;
        return isSampled ? SAMPLED_ROWS * steps : steps;
    }

    private static void requireWork(ComparisonRequest request, int rows, ValidationErrors errors) {
        long details = requireNonNullElse(request.details(), List.<ComparisonRequest.CellRequest>of()).stream()
                .mapToLong(d -> work(request).detail(d.band(), Boolean.TRUE.equals(d.profile())))
                .sum();
        WorkEstimate.require("candidates", "rows", rows, stepsOfRows(request, rows) + details, errors);
    }

    /** Its rows twice, how far two of them go, and up to which frequency one does. */
    private static void requireWorkOfChanges(ComparisonRequest request, int rows, ValidationErrors errors) {
        WorkEstimate work = work(request);
        long steps = 2 * stepsOfRows(request, rows) + 2 * work.reachOnEveryBand() + work.highestFrequency();
        WorkEstimate.require("candidates", "rows", rows, steps, errors);
    }

    private static int mixesTried(ComparisonRequest request) {
        return (int) Math.max(1, WorkEstimate.MOST_STEPS / Math.max(1, stepsOfRows(request, 1)));
    }

    /**
     * The row of what stands in the run now, and no other.
     *
     * @param asked as for {@link #compare}
     */
    public ComparisonResponse.RowResponse presentRow(Catalogue catalogue, ComparisonRequest asked) {
        ValidationErrors errors = checked(asked, catalogue, "");
        Prepared p = prepare(asked, catalogue, errors);
        return p.mapper.row(p.comparison.row(p.candidates.present()));
    }

    /**
     * What lies in the sections of a run: what was picked, or else the row that comes first.
     *
     * @param asked as for {@link #compare}
     */
    public RowInRun inRun(Catalogue catalogue, ComparisonRequest asked, boolean isPicked) {
        Prepared p = prepare(asked, catalogue, checked(asked, catalogue, ""));
        return built(p, isPicked ? p.comparison.row(p.candidates.present()) : first(p));
    }

    private static Row first(Prepared p) {
        return p.ranking().first(p.candidates.fillings(), Client::requireListening);
    }

    /**
     * A row that comes before one in the order of a ledger; empty where that one comes first.
     *
     * @param rowId of a cable that the ledger tries
     * @param likeliest the row that is tried before all others, null for none: of many plans the same one tends to come first
     */
    public Optional<String> before(Catalogue catalogue, ComparisonRequest asked, String rowId, String likeliest) {
        ValidationErrors errors = checked(asked, catalogue, "");
        Prepared p = prepare(asked, catalogue, errors);
        if (p.candidates.all().stream().noneMatch(c -> c.id().equals(rowId))) {
            errors.add("rowId", "there is no row \"" + rowId + "\"");
            errors.throwIfAny();
        }
        List<List<Candidate>> others = Stream.concat(
                        Stream.ofNullable(likeliest).flatMap(id -> p.candidates.filling(id).stream()),
                        p.candidates.fillings().stream())
                .toList();
        return p.candidates
                .filling(rowId)
                .flatMap(filling -> p.ranking().before(filling, others))
                .map(Row::id);
    }

    /** A row laid into the sections, whatever lies there. */
    public RowInRun inRun(Catalogue catalogue, ComparisonRequest asked, String rowId) {
        ValidationErrors errors = checked(asked, catalogue, "");
        Prepared p = prepare(asked, catalogue, errors);
        known("rowId", rowId, p, errors);
        errors.throwIfAny();
        return built(p, p.comparison.row(p.candidates.filling(rowId).orElseThrow()));
    }

    private static RowInRun built(Prepared p, Row row) {
        return new RowInRun(p.mapper.row(row), p.mapper.filledWith(row.filling()), p.mapper.bands(row));
    }

    /**
     * Refuses a comparison that cannot be made.
     *
     * @param path stands before the paths of the errors
     */
    public void check(ComparisonRequest asked, String path) {
        checked(asked, catalogues.current(), path);
    }

    private static ValidationErrors checked(ComparisonRequest asked, Catalogue catalogue, String path) {
        ValidationErrors errors = ValidationErrors.in(asked).below(path);
        new ComparisonValidator(catalogue, errors).complete(asked);
        errors.throwIfAny();
        return errors;
    }

    /** What is needed to build a row. */
    RunSheetResponse runSheet(RunSheetRequest request) {
        Catalogue catalogue = catalogues.current();
        ValidationErrors errors = ValidationErrors.in(request);
        if (request.comparison() != null) {
            new ComparisonValidator(catalogue, errors.below("comparison")).complete(request.comparison());
        }
        errors.throwIfAny();
        ComparisonRequest asked = request.asked();
        Prepared p = prepare(asked, catalogue, errors.below("comparison"));
        known("rowId", request.rowId(), p, errors);
        errors.throwIfAny();
        var mapper = new RunSheetMapper(asked, p.candidates, p.comparison, catalogue, p.mapper);
        return mapper.runSheet(
                p.comparison.row(p.candidates.filling(request.rowId()).orElseThrow()));
    }

    /**
     * What is needed to build a row.
     *
     * @param asked as for {@link #compare}
     */
    public RunSheetResponse runSheet(Catalogue catalogue, ComparisonRequest asked, String rowId) {
        ValidationErrors errors = checked(asked, catalogue, "");
        Prepared p = prepare(asked, catalogue, errors);
        known("rowId", rowId, p, errors);
        errors.throwIfAny();
        return sheets(p, asked, catalogue)
                .runSheet(p.comparison.row(p.candidates.filling(rowId).orElseThrow()));
    }

    private static RunSheetMapper sheets(Prepared p, ComparisonRequest asked, Catalogue catalogue) {
        return new RunSheetMapper(asked, p.candidates, p.comparison, catalogue, p.mapper);
    }

    /**
     * The ways to build a run: the rows that do best of what is asked of them, in the order of the ledger; none where all of them
     * fail.
     *
     * @param onlyRowId the only one there is, where it was decided, whatever it does; null for all
     */
    public List<RunOption> options(Catalogue catalogue, ComparisonRequest asked, String onlyRowId) {
        ValidationErrors errors = checked(asked, catalogue, "");
        Prepared p = prepare(asked, catalogue, errors);
        List<Row> rows = onlyRowId == null
                ? p.ranking().rows(p.candidates.fillings(), Client::requireListening)
                : p.candidates.filling(onlyRowId).map(p.comparison::row).stream()
                        .toList();
        Verdict best =
                rows.stream().map(Row::verdict).min(Comparator.naturalOrder()).orElse(Verdict.FAIL);
        var mapper = new RunOptionMapper(p.candidates, p.comparison, sheets(p, asked, catalogue), p.mapper);
        return rows.stream()
                .filter(r -> onlyRowId != null || r.verdict() == best && best != Verdict.FAIL)
                .map(mapper::option)
                .toList();
    }

    /** Curves of some rows of a ledger. */
    public SweepResponse sweep(SweepRequest request) {
        Catalogue catalogue = catalogues.current();
        ValidationErrors errors = ValidationErrors.in(request);
        if (request.comparison() != null) {
            new ComparisonValidator(catalogue, errors.below("comparison")).complete(request.comparison());
        }
        SweepMapper.check(request, errors);
        errors.throwIfAny();

        Prepared p = prepare(request.comparison(), catalogue, errors.below("comparison"));
        DocumentValidator.each("rowIds", request.rowIds(), (path, id) -> known(path, id, p, errors));
        errors.throwIfAny();
        WorkEstimate.require(
                "rowIds",
                "points",
                SweepMapper.points(request),
                request.rowIds().size()
                        * SweepMapper.points(request)
                        * work(request.comparison()).onceAtMost(),
                errors);
        return new SweepMapper(request, p.candidates).sweep(p.comparison);
    }

    /** What would change the answer. */
    public ChangesResponse changes(ChangesRequest request) {
        Catalogue catalogue = catalogues.current();
        ValidationErrors errors = ValidationErrors.in(request);
        if (request.comparison() != null) {
            new ComparisonValidator(catalogue, errors.below("comparison")).complete(request.comparison());
            new ComparisonValidator(catalogue, errors).band("band", request.band(), request.comparison());
        }
        errors.throwIfAny();

        Prepared p = prepare(request.comparison(), catalogue, errors.below("comparison"));
        known("rowId", request.rowId(), p, errors);
        errors.throwIfAny();
        requireWorkOfChanges(request.comparison(), p.candidates.fillings().size(), errors.below("comparison"));
        Row row = p.comparison.row(p.candidates.filling(request.rowId()).orElseThrow());
        return p.mapper.changes(Changes.of(p.comparison, p.candidates.all(), p.preference, row, request.band()));
    }

    /** The best mixes of cables. */
    public MixesResponse mixes(MixesRequest request) {
        Catalogue catalogue = catalogues.current();
        ValidationErrors errors = ValidationErrors.in(request);
        if (request.comparison() != null) {
            new ComparisonValidator(catalogue, errors.below("comparison")).complete(request.comparison());
        }
        errors.throwIfAny();

        Prepared p = prepare(request.comparison(), catalogue, errors.below("comparison"));
        if (p.candidates.sections().size() < 2) {
            errors.add("comparison.run", "must mark at least two LINE elements as candidate: a mix takes two cables");
            errors.throwIfAny();
        }
        Mixes mixes = Mixes.search(
                p.comparison,
                p.candidates.all(),
                p.preference,
                new Mixes.Bounds(MIXES_WANTED, mixesTried(request.comparison())),
                Client::requireListening);
        return new MixesResponse(mixes.rows().stream().map(p.mapper::row).toList(), mixes.proven(), mixes.tried());
    }

    private static void known(String path, String rowId, Prepared p, ValidationErrors errors) {
        if (p.candidates.filling(rowId).isEmpty()) {
            errors.add(path, "there is no row \"" + rowId + "\"");
        }
    }

    private static Prepared prepare(ComparisonRequest request, Catalogue catalogue, ValidationErrors errors) {
        CandidateMapper candidates = CandidateMapper.of(request, catalogue);
        var place = new ReplaceableRunMapper(request, candidates, catalogue);
        var asked = new RequirementMapper(request);
        try {
            Comparison comparison = Comparison.in(
                    place.place(),
                    place.purchase(),
                    new DocumentMapper(catalogue).bands(request.assessment()),
                    asked.requirements());
            var mapper = new RowMapper(request, candidates, asked, comparison, catalogue);
            return new Prepared(
                    candidates, comparison, requireNonNullElse(request.preference(), Preference.LEAST_COST), mapper);
        } catch (ImpossibleReadingException | ReadingSaysNothingException | RunTooLossyException e) {
            errors.add("bands", e.getMessage());
            errors.throwIfAny();
            throw e;
        }
    }

    /** A request brought into the core's terms. */
    private record Prepared(
            CandidateMapper candidates, Comparison comparison, Preference preference, RowMapper mapper) {

        Ranking ranking() {
            return new Ranking(comparison, preference);
        }
    }

    private static List<ComparisonResponse.DetailResponse> details(
            ComparisonRequest request, List<Row> rows, RowMapper mapper, ValidationErrors errors) {
        Map<String, Row> byId = new LinkedHashMap<>();
        rows.forEach(r -> byId.put(r.id(), r));
        List<ComparisonResponse.DetailResponse> details = new ArrayList<>();
        DocumentValidator.each("details", request.details(), (path, cell) -> {
            Optional<Row> row = Optional.ofNullable(byId.get(cell.rowId()));
            if (row.isEmpty()) {
                errors.add(path + ".rowId", "there is no row \"" + cell.rowId() + "\"");
            }
            row.flatMap(r -> mapper.detail(r, cell)).ifPresent(details::add);
        });
        errors.throwIfAny();
        return details;
    }
}
