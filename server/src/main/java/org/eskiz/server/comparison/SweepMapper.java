package org.eskiz.server.comparison;

import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.eskiz.core.choice.Candidate;
import org.eskiz.core.choice.Comparison;
import org.eskiz.core.choice.Curve;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.server.assessment.BandMapper;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.web.Client;

/** Reads what is to be swept, and writes the curves. */
final class SweepMapper {

    private final SweepRequest request;
    private final CandidateMapper candidates;

    SweepMapper(SweepRequest request, CandidateMapper candidates) {
        this.request = request;
        this.candidates = candidates;
    }

    /** What a single field cannot tell. */
    static void check(SweepRequest request, ValidationErrors errors) {
        if ((request.overFrequency() == null) == (request.overLength() == null)) {
            errors.add("", "must have exactly one of overFrequency or overLength");
            return;
        }
        SweepRequest.OverFrequency f = request.overFrequency();
        if (f != null && f.fromMHz() != null && f.toMHz() != null && f.fromMHz() >= f.toMHz()) {
            errors.add("overFrequency.toMHz", "must be above fromMHz " + f.fromMHz() + ", not " + f.toMHz());
        }
        SweepRequest.OverLength l = request.overLength();
        int bands = request.comparison() == null || request.comparison().bands() == null
                ? 0
                : request.comparison().bands().size();
        if (l != null && l.band() != null && l.band() >= bands) {
            errors.add("overLength.band", "must be below " + bands + ", the number of bands, not " + l.band());
        }
    }

    static int points(SweepRequest request) {
        return request.overFrequency() == null
                ? request.overLength().points()
                : request.overFrequency().points();
    }

    SweepResponse sweep(Comparison comparison) {
        List<Double> at = request.overFrequency() == null ? lengths() : frequencies();
        List<Integer> bands = at.stream().map(x -> band(comparison, x)).toList();
        return new SweepResponse(
                at,
                bands,
                request.rowIds().stream().map(id -> row(comparison, id, at)).toList());
    }

    private int band(Comparison comparison, double at) {
        return request.overLength() == null
                ? comparison.nearestBand(at)
                : request.overLength().band();
    }

    private SweepResponse.CurveResponse row(Comparison comparison, String id, List<Double> at) {
        Client.requireListening();
        List<Candidate> filling = candidates.filling(id).orElseThrow();
        Curve curve = request.overLength() == null
                ? comparison.overFrequency(filling, at)
                : comparison.overLength(filling, request.overLength().band(), at);
        return new SweepResponse.CurveResponse(
                id,
                candidates.name(filling),
                curve.points().stream().map(SweepMapper::point).toList());
    }

    private static SweepResponse.CurvePointResponse point(Optional<RunAssessment> assessment) {
        return assessment
                .map(a -> new SweepResponse.CurvePointResponse(
                        a.matchedLossDb(),
                        a.totalLossDb(),
                        BandMapper.boxed(a.powerAtAntennaW()),
                        BandMapper.finite(a.swrAtRadio()),
                        BandMapper.finite(a.swrAtAntenna())))
                .orElse(null);
    }

    private List<Double> frequencies() {
        SweepRequest.OverFrequency f = request.overFrequency();
        return IntStream.range(0, f.points())
                .mapToObj(i -> f.fromMHz() * Math.pow(f.toMHz() / f.fromMHz(), (double) i / (f.points() - 1)))
                .toList();
    }

    private List<Double> lengths() {
        SweepRequest.OverLength l = request.overLength();
        return IntStream.range(0, l.points())
                .mapToObj(i -> l.toM() * i / (l.points() - 1))
                .toList();
    }
}
