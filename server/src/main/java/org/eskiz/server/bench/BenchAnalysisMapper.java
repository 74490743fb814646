package org.eskiz.server.bench;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.eskiz.core.bench.BenchTest;
import org.eskiz.core.bench.Expectation;
import org.eskiz.core.bench.Likeness;
import org.eskiz.core.bench.MeasuredLine;
import org.eskiz.core.bench.RowResult;
import org.eskiz.core.bench.SeveralLengths;
import org.eskiz.core.bench.SheetDeviation.Judged;
import org.eskiz.core.bench.Sweep;
import org.eskiz.core.bench.SweptLine;
import org.eskiz.core.bench.TestAnalysis;
import org.eskiz.core.bench.TestSubject;
import org.eskiz.core.bench.Touchstone;
import org.eskiz.core.bench.Uncertainty;
import org.eskiz.server.bench.BenchAnalysisResponse.BenchFigureResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.CauseResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.LikenessResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.OwnCableResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.OwnPointResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.ReadingResultResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.SeveralLengthsResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.SweptLineResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.SweptPointResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.UncertaintyResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.UncertaintyTermResponse;

/** From what a test comes to, to how it is answered. */
final class BenchAnalysisMapper {

    private static final int MOST_DRAWN = 300;

    private final TestSubject subject;
    private final TestAnalysis analysis;

    private BenchAnalysisMapper(BenchTest test, TestAnalysis analysis) {
        this.subject = test.subject();
        this.analysis = analysis;
    }

    /**
     * The answer.
     *
     * @param sweeps files that it rests on
     */
    static BenchAnalysisResponse response(
            BenchTest test, TestAnalysis analysis, Collection<Touchstone.Reading> sweeps) {
        return new BenchAnalysisMapper(test, analysis).response(sweeps);
    }

    private BenchAnalysisResponse response(Collection<Touchstone.Reading> sweeps) {
        return new BenchAnalysisResponse(
                analysis.rows().stream().map(BenchAnalysisMapper::row).toList(),
                analysis.figures().stream().map(BenchAnalysisMapper::figure).toList(),
                analysis.swept().map(BenchAnalysisMapper::line).orElse(null),
                analysis.swept().map(this::curve).orElse(List.of()),
                analysis.severalLengths().entrySet().stream()
                        .map(this::severalLengths)
                        .toList(),
                analysis.outcome().orElse(null),
                analysis.worst().map(BenchAnalysisMapper::figure).orElse(null),
                analysis.causes().stream()
                        .map(c -> new CauseResponse(c.kind(), c.share(), c.amount(), c.chiSquare()))
                        .toList(),
                analysis.likeTypes().stream().map(l -> l.type().key()).toList(),
                analysis.likeTypes().stream().map(BenchAnalysisMapper::likeness).toList(),
                analysis.ownCable().map(BenchAnalysisMapper::ownCable).orElse(null),
                Stream.concat(
                                TestFindingMapper.ofFiles(sweeps).stream(),
                                analysis.findings().stream().map(TestFindingMapper::response))
                        .toList());
    }

    private static LikenessResponse likeness(Likeness l) {
        return new LikenessResponse(
                l.type().key(), 100 * l.lossShare(), percent(l.velocityShare()), percent(l.impedanceShare()));
    }

    private static Double percent(OptionalDouble share) {
        return share.isPresent() ? 100 * share.getAsDouble() : null;
    }

    private static UncertaintyResponse budget(Uncertainty uncertainty) {
        return new UncertaintyResponse(
                uncertainty.expandedDb(),
                uncertainty.terms().stream()
                        .map(t -> new UncertaintyTermResponse(
                                t.source(), t.standardDb(), t.expandedDb(), uncertainty.expandedWithoutDb(t)))
                        .toList());
    }

    private static ReadingResultResponse row(RowResult row) {
        return row.point()
                .map(p -> new ReadingResultResponse(
                        p.lossDb(),
                        p.leastDb(),
                        p.mostDb(),
                        nullable(row.expectedDb()),
                        row.outcome().orElse(null),
                        budget(p.uncertainty()),
                        null))
                .orElseGet(() -> new ReadingResultResponse(
                        null,
                        null,
                        null,
                        null,
                        null,
                        UncertaintyResponse.NOT_KEPT,
                        row.trouble().map(Throwable::getMessage).orElse(null)));
    }

    private static BenchFigureResponse figure(TestAnalysis.Figure f) {
        Optional<Judged> judged = f.judged();
        return new BenchFigureResponse(
                f.point().frequencyMHz(),
                f.point().lossDb(),
                f.point().leastDb(),
                f.point().mostDb(),
                nullable(f.per100mDb()),
                judged.map(Judged::expectedDb).orElse(null),
                judged.map(Judged::allowedDb).orElse(null),
                judged.map(Judged::excessDb).orElse(null),
                judged.map(j -> 100 * f.point().lossDb() / j.expectedDb()).orElse(null),
                judged.map(Judged::outcome).orElse(null),
                scaled(f, f.point().leastDb()),
                scaled(f, f.point().mostDb()),
                budget(judged.map(Judged::uncertainty).orElse(f.point().uncertainty())));
    }

    /** Another loss per 100 m, as the figure itself is. */
    private static Double scaled(TestAnalysis.Figure f, double lossDb) {
        return f.per100mDb().isPresent()
                ? f.per100mDb().getAsDouble() * lossDb / f.point().lossDb()
                : null;
    }

    private static SweptLineResponse line(SweptLine swept) {
        return new SweptLineResponse(
                nullable(swept.line().impedanceOhm()),
                nullable(swept.lengthByTypeM()),
                nullable(swept.lengthByTypeUncertaintyM()),
                nullable(swept.velocityFactor()),
                swept.longestM(),
                swept.line().isEstimate(),
                swept.line().certainty().impedanceOhm(),
                swept.lengthUncertainty());
    }

    private List<SweptPointResponse> curve(SweptLine swept) {
        Optional<Expectation> expectation = swept.expectation();
        List<Integer> all =
                IntStream.range(0, swept.line().points().size()).boxed().toList();
        return MeasuredLine.evenly(all, MOST_DRAWN).stream()
                .map(i -> point(swept, i, expectation))
                .filter(Objects::nonNull)
                .toList();
    }

    private static SweptPointResponse point(SweptLine swept, int i, Optional<Expectation> expectation) {
        MeasuredLine.Point p = swept.line().points().get(i);
        double returnLoss = swept.sweep() instanceof Sweep.TwoPort two ? two.returnLossDb(i) : Double.NaN;
        if (!Double.isFinite(p.matchedLossDb()) || !Double.isFinite(p.plainLossDb())) {
            return null;
        }
        return new SweptPointResponse(
                p.frequencyMHz(),
                p.matchedLossDb(),
                p.plainLossDb(),
                Double.isFinite(returnLoss) ? returnLoss : null,
                swept.lengthM().isPresent()
                        ? Double.valueOf(
                                p.matchedLossDb() * 100 / swept.lengthM().getAsDouble())
                        : null,
                expectation.map(e -> e.lossDb(p.frequencyMHz())).orElse(null));
    }

    private SeveralLengthsResponse severalLengths(Map.Entry<Double, SeveralLengths> parted) {
        double frequencyMHz = parted.getKey();
        SeveralLengths lengths = parted.getValue();
        return new SeveralLengthsResponse(
                frequencyMHz,
                100 * lengths.cableDbPerM(),
                lengths.connectorsDb(),
                100 * lengths.certainty().cableDbPerM(),
                lengths.certainty().connectorsDb(),
                nullable(lengths.residualDb()),
                subject.type()
                        .map(t -> t.cable().attenuation().dbPer100m(frequencyMHz, subject.temperatureC()))
                        .orElse(null));
    }

    private static OwnCableResponse ownCable(TestAnalysis.MadeCable made) {
        return new OwnCableResponse(
                made.cable().attenuation().k1(),
                made.cable().attenuation().k2(),
                made.cable().jointsDb(),
                made.cable().worstResidualDb(),
                made.points().stream()
                        .map(p -> new OwnPointResponse(
                                p.frequencyMHz(),
                                made.cable().sheetDbPer100m(p.frequencyMHz()),
                                p.uncertaintyDbPer100m()))
                        .toList());
    }

    private static Double nullable(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }
}
