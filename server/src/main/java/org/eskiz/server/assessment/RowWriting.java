package org.eskiz.server.assessment;

import java.math.BigDecimal;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.eskiz.core.choice.Cell;
import org.eskiz.core.choice.Comparison;
import org.eskiz.core.choice.Money;
import org.eskiz.core.choice.Reason;
import org.eskiz.core.choice.Requirement;
import org.eskiz.core.choice.Row;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.server.catalogue.Catalogue;

/** Writes the rows of a ledger. */
final class RowWriting {

    private final ComparisonRequest request;
    private final CandidateReading candidates;
    private final Catalogue catalogue;

    RowWriting(ComparisonRequest request, CandidateReading candidates, Catalogue catalogue) {
        this.request = request;
        this.candidates = candidates;
        this.catalogue = catalogue;
    }

    /** One row; {@code reach} is empty where it was not asked for. */
    ComparisonResponse.RowResponse row(Row row, List<ComparisonResponse.ReachResponse> reach) {
        CandidateReading.Entry entry = candidates.entry(row.candidate().id());
        return new ComparisonResponse.RowResponse(
                row.candidate().id(),
                entry.name(),
                assignment(entry),
                row.suitability(),
                row.verdict(),
                row.reasons().stream().map(this::reason).toList(),
                BandWriting.finite(row.leastSpareDb()),
                row.cost().map(c -> cost(c, entry.samplePrice())).orElse(null),
                row.massKg().isEmpty()
                        ? null
                        : new ComparisonResponse.MassResponse(row.massKg().getAsDouble()),
                cells(row),
                reach);
    }

    /** How far it would go, on each band. */
    static List<ComparisonResponse.ReachResponse> reach(Comparison comparison, Row row) {
        return IntStream.range(0, row.cells().size())
                .mapToObj(band -> comparison.reach(row.candidate(), band))
                .flatMap(Optional::stream)
                .map(r -> new ComparisonResponse.ReachResponse(r.kind(), r.lengthM()))
                .toList();
    }

    Optional<ComparisonResponse.DetailResponse> detail(Row row, ComparisonRequest.CellRequest cell) {
        CandidateReading.Entry entry = candidates.entry(row.candidate().id());
        BandRequest band = request.bands().get(cell.band());
        return row.cells().get(cell.band()).assessment().map(a -> {
            var writing = new BandWriting(catalogue, request.assessment(), a.run(), entry.asLine());
            boolean isProfiled =
                    Boolean.TRUE.equals(cell.profile()) && a.radio().powerW().isPresent();
            return new ComparisonResponse.DetailResponse(
                    row.candidate().id(),
                    cell.band(),
                    writing.band(band, a),
                    isProfiled ? profile(entry, band, a) : null);
        });
    }

    private ProfileResponse profile(CandidateReading.Entry entry, BandRequest band, RunAssessment assessment) {
        var ratings = new RatingsReading(catalogue, entry.asLine());
        return new ProfileWriting(request.run(), ratings, CoreReading.duty(request.radio(), band)).profile(assessment);
    }

    private List<ComparisonResponse.AssignmentResponse> assignment(CandidateReading.Entry entry) {
        String ownId = entry.cableKey() == null ? entry.candidate().id() : null;
        var source = new ComparisonResponse.SourceResponse(entry.cableKey(), ownId);
        return candidates.sections().stream()
                .map(i -> {
                    var line = (ElementRequest.Line) request.run().get(i);
                    return new ComparisonResponse.AssignmentResponse(line.id(), i, source, line.lengthM());
                })
                .toList();
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
                BandWriting.boxed(a.powerAtAntennaW()),
                a.totalLossAtWorstAngleDb(),
                BandWriting.finite(a.swrAtRadio()),
                cell.judgement().verdict());
    }

    private static ComparisonResponse.CostResponse cost(Money cost, boolean sample) {
        BigDecimal amount = cost.amount().stripTrailingZeros();
        return new ComparisonResponse.CostResponse(
                amount.scale() < 0 ? amount.setScale(0) : amount,
                cost.currency().getCurrencyCode(),
                sample);
    }

    private ComparisonResponse.ReasonResponse reason(Reason reason) {
        BandRequest band = request.bands().get(reason.band());
        var values = new ComparisonResponse.ReasonValuesResponse(
                reason.requirement().map(RowWriting::kind).orElse(null),
                reason.requirement().map(Requirement::asked).orElse(null),
                reason.reached());
        return new ComparisonResponse.ReasonResponse(
                reason.cause().name(),
                reason.cause().verdict(),
                reason.band(),
                band.id(),
                values,
                ReasonText.of(reason, band));
    }

    private static RequirementRequest.Kind kind(Requirement requirement) {
        if (requirement instanceof Requirement.LeastPower) {
            return RequirementRequest.Kind.LEAST_POWER;
        }
        return requirement instanceof Requirement.MostLoss
                ? RequirementRequest.Kind.MOST_LOSS
                : RequirementRequest.Kind.LEAST_PERCENT;
    }
}
