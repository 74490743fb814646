package org.eskiz.server.comparison;

import static java.util.Objects.requireNonNullElse;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.eskiz.core.choice.Candidate;
import org.eskiz.core.choice.Cell;
import org.eskiz.core.choice.Chance;
import org.eskiz.core.choice.ChanceSteps;
import org.eskiz.core.choice.Changes;
import org.eskiz.core.choice.Comparison;
import org.eskiz.core.choice.Reach;
import org.eskiz.core.choice.Reason;
import org.eskiz.core.choice.Relaxation;
import org.eskiz.core.choice.Requirement;
import org.eskiz.core.choice.Row;
import org.eskiz.core.choice.ShoppingList;
import org.eskiz.core.choice.ValueSteps;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.server.assessment.AssessmentResponse;
import org.eskiz.server.assessment.BandMapper;
import org.eskiz.server.assessment.ProfileMapper;
import org.eskiz.server.assessment.ProfileResponse;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.comparison.ComparisonResponse.ChanceStepResponse;
import org.eskiz.server.comparison.ComparisonResponse.LossRangeResponse;
import org.eskiz.server.comparison.ComparisonResponse.ReachResponse;
import org.eskiz.server.comparison.ComparisonResponse.RowResponse;
import org.eskiz.server.comparison.ComparisonResponse.SurerResponse;
import org.eskiz.server.document.AssessmentSpec;
import org.eskiz.server.document.BandSpec;
import org.eskiz.server.document.DocumentMapper;
import org.eskiz.server.document.RatingsMapper;
import org.eskiz.server.document.RequirementSpec;
import org.eskiz.server.document.RunElement;
import org.jspecify.annotations.Nullable;

/** Writes the rows of a ledger, and what follows from them. */
final class RowMapper {

    private static final double DEFAULT_WORTH_PER_DB = 20;

    private static final ChanceSteps NOT_ASKED = new ChanceSteps(List.of());

    private final ComparisonRequest request;
    private final CandidateMapper candidates;
    private final RequirementMapper asked;
    private final Comparison comparison;
    private final Catalogue catalogue;
    private final ShoppingListMapper shopping;

    RowMapper(
            ComparisonRequest request,
            CandidateMapper candidates,
            RequirementMapper asked,
            Comparison comparison,
            Catalogue catalogue) {
        this.request = request;
        this.candidates = candidates;
        this.asked = asked;
        this.comparison = comparison;
        this.catalogue = catalogue;
        this.shopping = new ShoppingListMapper(request, candidates, comparison, catalogue);
    }

    RowResponse row(Row row) {
        return row(row, NOT_ASKED);
    }

    /** The same with the next surer one. */
    RowResponse row(Row row, ChanceSteps steps) {
        ShoppingList list = shopping.list(row);
        boolean isReachWanted = Boolean.TRUE.equals(request.reach());
        return new RowResponse(
                row.id(),
                candidates.name(row.filling()),
                assignment(row.filling()),
                row.suitability(),
                row.verdict(),
                row.reasons().stream().map(r -> reason(r, row)).toList(),
                BandMapper.finite(row.leastSpareDb()),
                shopping.cost(row, list),
                shopping.notInCost(list),
                row.massKg().isEmpty()
                        ? null
                        : new ComparisonResponse.MassResponse(row.massKg().getAsDouble()),
                cells(row),
                row.decidingBand(),
                isReachWanted ? reach(row) : List.of(),
                isReachWanted
                        ? comparison.reachOfRun(row).map(r -> reach(r, false)).orElse(null)
                        : null,
                row.chance().map(Chance::share).orElse(null),
                row.chance().map(Chance::passing).orElse(null),
                row.isMarginalByChance(),
                row.chance().map(RowMapper::middle).orElse(List.of()),
                steps.above(row).map(this::surer).orElse(null),
                candidates.tolerance(row.filling()));
    }

    private static List<LossRangeResponse> middle(Chance chance) {
        return chance.lossDb().stream()
                .map(q -> new LossRangeResponse(q.p05(), q.p95()))
                .toList();
    }

    /** What more certainty costs, where it was asked how sure rows are. */
    static ChanceSteps chanceSteps(List<Row> rows) {
        return rows.stream().allMatch(r -> r.chance().isPresent()) ? ChanceSteps.of(rows) : NOT_ASKED;
    }

    List<ChanceStepResponse> steps(ChanceSteps steps) {
        List<ChanceStepResponse> written = new ArrayList<>();
        int before = 0;
        for (ChanceSteps.Step step : steps.steps()) {
            written.add(new ChanceStepResponse(
                    step.row().id(),
                    candidates.name(step.row().filling()),
                    step.passing(),
                    step.passing() - before,
                    step.row().cost().orElseThrow().amount().doubleValue(),
                    BandMapper.boxed(step.costOfStep()),
                    BandMapper.boxed(step.costPerMore())));
            before = step.passing();
        }
        return written;
    }

    private SurerResponse surer(ChanceSteps.Surer surer) {
        Row row = surer.row();
        return new SurerResponse(
                row.id(),
                candidates.name(row.filling()),
                row.chance().orElseThrow().passing(),
                surer.more(),
                surer.cost());
    }

    /** How far it would go, on each band: a search each, shared among the cores there are. */
    private List<ReachResponse> reach(Row row) {
        List<Optional<Reach>> onBands = IntStream.range(0, row.cells().size())
                .parallel()
                .mapToObj(band -> comparison.reach(row, band))
                .toList();
        return onBands.stream().allMatch(Optional::isEmpty)
                ? List.of()
                : IntStream.range(0, onBands.size())
                        .mapToObj(band -> reach(
                                onBands.get(band).orElse(new Reach(Reach.Kind.BEYOND, Reach.FARTHEST_M)),
                                row.cells().get(band).isExtrapolated()))
                        .toList();
    }

    private static ReachResponse reach(Reach reach, boolean isExtrapolated) {
        return new ReachResponse(reach.kind(), reach.lengthM(), isExtrapolated);
    }

    Optional<ComparisonResponse.DetailResponse> detail(Row row, ComparisonRequest.CellRequest cell) {
        BandSpec band = request.bands().get(cell.band());
        AssessmentSpec filled = filledWith(row.filling());
        return row.cells().get(cell.band()).assessment().map(a -> {
            boolean isProfiled =
                    Boolean.TRUE.equals(cell.profile()) && a.radio().powerW().isPresent();
            return new ComparisonResponse.DetailResponse(
                    row.id(),
                    cell.band(),
                    new BandMapper(catalogue, filled, a.run()).band(band, a),
                    atTolerance(row, cell.band()),
                    otherWeather(filled, cell.band()),
                    isProfiled ? profile(filled, band, a) : null);
        });
    }

    /** A row band by band; null where it loses more than can be assessed. */
    List<AssessmentResponse.@Nullable BandResponse> bands(Row row) {
        AssessmentSpec filled = filledWith(row.filling());
        List<AssessmentResponse.BandResponse> bands = new ArrayList<>();
        for (Cell cell : row.cells()) {
            BandSpec band = request.bands().get(bands.size());
            bands.add(cell.assessment()
                    .map(a -> new BandMapper(catalogue, filled, a.run()).band(band, a))
                    .orElse(null));
        }
        return bands;
    }

    /** The request as if the cables of a row stood in its sections. */
    AssessmentSpec filledWith(List<Candidate> filling) {
        List<RunElement> run = new ArrayList<>(request.run());
        for (int i = 0; i < filling.size(); i++) {
            int at = candidates.sections().get(i);
            run.set(at, candidates.entry(filling.get(i).id()).inPlaceOf((RunElement.Line) run.get(at)));
        }
        return request.assessment().withRun(run);
    }

    /** What it would be on a wet day, or on a dry one; null where that is all the same. */
    private ComparisonResponse.WeatherResponse otherWeather(AssessmentSpec filled, int band) {
        boolean isTheSame = filled.run().stream().noneMatch(this::losesMoreWhenWet);
        return isTheSame
                ? null
                : comparison
                        .assessment(new DocumentMapper(catalogue).run(filled.inOtherWeather()), band)
                        .map(a -> new ComparisonResponse.WeatherResponse(
                                !filled.isWet(), a.totalLossDb(), BandMapper.boxed(a.powerAtAntennaW())))
                        .orElse(null);
    }

    private boolean losesMoreWhenWet(RunElement element) {
        return element instanceof RunElement.Line line
                && line.typeIn(catalogue)
                        .map(t -> t.facts().construction().wetTimes() != null)
                        .orElse(false);
    }

    private ComparisonResponse.LossRangeResponse atTolerance(Row row, int band) {
        OptionalDouble least = comparison.lossAtTolerance(row, band, -1);
        OptionalDouble most = comparison.lossAtTolerance(row, band, 1);
        return least.isEmpty() || most.isEmpty()
                ? null
                : new ComparisonResponse.LossRangeResponse(least.getAsDouble(), most.getAsDouble());
    }

    private ProfileResponse profile(AssessmentSpec filled, BandSpec band, RunAssessment assessment) {
        var ratings = new RatingsMapper(catalogue);
        return new ProfileMapper(filled.run(), ratings, DocumentMapper.duty(request.radio(), band)).profile(assessment);
    }

    private List<ComparisonResponse.AssignmentResponse> assignment(List<Candidate> filling) {
        return IntStream.range(0, filling.size())
                .mapToObj(i -> {
                    int at = candidates.sections().get(i);
                    var line = (RunElement.Line) request.run().get(at);
                    return new ComparisonResponse.AssignmentResponse(
                            line.id(), at, source(filling.get(i)), line.lengthM());
                })
                .toList();
    }

    private ComparisonResponse.SourceResponse source(Candidate candidate) {
        CandidateMapper.Entry entry = candidates.entry(candidate.id());
        boolean isWritten = entry.written() != null;
        return new ComparisonResponse.SourceResponse(
                entry.cableKey(), entry.pieceId(), isWritten ? candidate.id() : null);
    }

    private List<ComparisonResponse.CellResponse> cells(Row row) {
        List<ComparisonResponse.CellResponse> cells = new ArrayList<>();
        for (Cell cell : row.cells()) {
            String bandId = request.bands().get(cells.size()).id();
            cells.add(cell.assessment()
                    .map(a -> cell(bandId, cell, a))
                    .orElseGet(() -> new ComparisonResponse.CellResponse(
                            bandId, null, null, null, null, cell.judgement().verdict())));
        }
        return cells;
    }

    private static ComparisonResponse.CellResponse cell(String bandId, Cell cell, RunAssessment a) {
        return new ComparisonResponse.CellResponse(
                bandId,
                a.totalLossDb(),
                BandMapper.boxed(a.powerAtAntennaW()),
                a.totalLossAtWorstAngleDb(),
                BandMapper.finite(a.swrAtRadio()),
                cell.judgement().verdict());
    }

    private ComparisonResponse.ReasonResponse reason(Reason reason, Row row) {
        BandSpec band = reason.band().isEmpty()
                ? null
                : request.bands().get(reason.band().getAsInt());
        Optional<RequirementSpec.Kind> kind = reason.requirement().map(asked::kindOf);
        boolean isYesOrNo = kind.map(RequirementSpec.Kind::isYesOrNo).orElse(false);
        var values = new ComparisonResponse.ReasonValuesResponse(
                kind.orElse(null),
                isYesOrNo
                        ? null
                        : reason.requirement().map(Requirement::threshold).orElse(BandMapper.boxed(reason.limit())),
                isYesOrNo || reason.reached().isEmpty()
                        ? null
                        : BandMapper.finite(reason.reached().getAsDouble()),
                kind.filter(k -> k == RequirementSpec.Kind.BUDGET)
                        .flatMap(k -> row.cost())
                        .map(c -> c.currency().getCurrencyCode())
                        .orElse(null));
        return new ComparisonResponse.ReasonResponse(
                reason.cause().name(),
                reason.cause().verdict(),
                boxed(reason.band()),
                reason.requirement().map(asked::positionOf).orElse(null),
                band == null ? null : band.id(),
                boxed(reason.element()),
                reason.element().isEmpty()
                        ? null
                        : request.run().get(reason.element().getAsInt()).id(),
                values);
    }

    private static Integer boxed(OptionalInt value) {
        return value.isEmpty() ? null : Integer.valueOf(value.getAsInt());
    }

    /** What to ask less of, where nothing gets through. */
    List<ComparisonResponse.RelaxationResponse> relaxations(List<Row> rows) {
        return Relaxation.of(rows).stream()
                .map(r -> new ComparisonResponse.RelaxationResponse(
                        r.row().id(),
                        candidates.name(r.row().filling()),
                        r.eased().stream().map(this::eased).toList()))
                .toList();
    }

    private ComparisonResponse.EasedResponse eased(Relaxation.Eased eased) {
        RequirementSpec.Kind kind = asked.kindOf(eased.requirement());
        return new ComparisonResponse.EasedResponse(
                asked.positionOf(eased.requirement()),
                kind,
                kind.isYesOrNo() ? null : eased.requirement().threshold(),
                BandMapper.boxed(eased.to()));
    }

    /** Null where it was not asked for. */
    ComparisonResponse.ValueStepsResponse valueSteps(List<Row> rows) {
        ComparisonRequest.ValueRequest value = request.value();
        if (value == null) {
            return null;
        }
        int band = value.band();
        ValueSteps found = ValueSteps.of(rows, band, requireNonNullElse(value.worthPerDb(), DEFAULT_WORTH_PER_DB));
        return new ComparisonResponse.ValueStepsResponse(
                band,
                found.placed().stream()
                        .findFirst()
                        .flatMap(Row::cost)
                        .map(c -> c.currency().getCurrencyCode())
                        .orElse(null),
                found.placed().stream().map(r -> point(r, band)).toList(),
                found.steps().stream()
                        .map(s -> new ComparisonResponse.ValueStepResponse(
                                s.row().id(), BandMapper.boxed(s.costPerDb()), BandMapper.boxed(s.costPerW())))
                        .toList(),
                found.knee());
    }

    private ComparisonResponse.ValuePointResponse point(Row row, int band) {
        return new ComparisonResponse.ValuePointResponse(
                row.id(),
                candidates.name(row.filling()),
                row.cost().orElseThrow().amount().doubleValue(),
                row.cells().get(band).assessment().orElseThrow().totalLossDb(),
                BandMapper.boxed(row.costPerDeliveredW(band)),
                BandMapper.boxed(row.lostWPerM(band, comparison.place().lengthM())),
                BandMapper.boxed(row.costPerLostWAndM(band, comparison.place().lengthM())));
    }

    ChangesResponse changes(Changes changes) {
        return new ChangesResponse(
                changes.nextCheaper().map(this::row).orElse(null),
                changes.shortening()
                        .map(s -> new ChangesResponse.ShorteningResponse(s.toM(), row(s.row())))
                        .orElse(null),
                changes.stepUp()
                        .map(s -> new ChangesResponse.StepUpResponse(
                                row(s.row()),
                                s.onTransmitDb(),
                                BandMapper.boxed(s.onReceiveDb()),
                                BandMapper.boxed(s.powerInsteadW())))
                        .orElse(null),
                changes.farthest()
                        .map(f -> new ChangesResponse.FarthestResponse(
                                boxed(f.band()), f.reach().kind(), f.reach().lengthM()))
                        .orElse(null),
                changes.highest()
                        .map(h -> new ChangesResponse.HighestResponse(h.frequencyMHz(), h.isEndOfSheet()))
                        .orElse(null),
                changes.matchingMoved()
                        .map(m -> new ChangesResponse.MatchingMovedResponse(
                                m.to(), row(m.row()), m.first().map(this::row).orElse(null)))
                        .orElse(null));
    }
}
