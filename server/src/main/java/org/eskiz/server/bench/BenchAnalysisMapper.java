package org.eskiz.server.bench;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import org.eskiz.core.bench.BenchTest;
import org.eskiz.core.bench.Expectation;
import org.eskiz.core.bench.MeasuredLine;
import org.eskiz.core.bench.RowResult;
import org.eskiz.core.bench.SeveralLengths;
import org.eskiz.core.bench.SheetDeviation.Judged;
import org.eskiz.core.bench.Sweep;
import org.eskiz.core.bench.SweptLine;
import org.eskiz.core.bench.TestAnalysis;
import org.eskiz.core.bench.TestSubject;
import org.eskiz.core.bench.TypeSheet;
import org.eskiz.server.bench.BenchAnalysisResponse.BenchFigureResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.CauseResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.OwnCableResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.OwnPointResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.ReadingResultResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.SeveralLengthsResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.SweptLineResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.SweptPointResponse;

/** From what a test comes to, to how it is answered. */
final class BenchAnalysisMapper {

    private static final int MOST_DRAWN = 300;

    private final TestSubject subject;
    private final TestAnalysis analysis;

    private BenchAnalysisMapper(BenchTest test, TestAnalysis analysis) {
        this.subject = test.subject();
        this.analysis = analysis;
    }

    static BenchAnalysisResponse response(BenchTest test, TestAnalysis analysis) {
        return new BenchAnalysisMapper(test, analysis).response();
    }

    private BenchAnalysisResponse response() {
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
                analysis.cause()
                        .map(c -> new CauseResponse(c.kind(), c.share(), c.amount()))
                        .orElse(null),
                analysis.likeTypes().stream().map(TypeSheet::key).toList(),
                analysis.ownCable().map(BenchAnalysisMapper::ownCable).orElse(null),
                analysis.findings().stream().map(TestFindingMapper::response).toList());
    }

    private static ReadingResultResponse row(RowResult row) {
        return row.point()
                .map(p -> new ReadingResultResponse(
                        p.lossDb(),
                        p.leastDb(),
                        p.mostDb(),
                        nullable(row.expectedDb()),
                        row.outcome().orElse(null),
                        null))
                .orElseGet(() -> new ReadingResultResponse(
                        null,
                        null,
                        null,
                        null,
                        null,
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
                judged.map(Judged::outcome).orElse(null));
    }

    private static SweptLineResponse line(SweptLine swept) {
        return new SweptLineResponse(
                nullable(swept.line().impedanceOhm()),
                nullable(swept.lengthByTypeM()),
                nullable(swept.velocityFactor()),
                swept.longestM(),
                swept.line().isEstimate());
    }

    private List<SweptPointResponse> curve(SweptLine swept) {
        Optional<Expectation> expectation = subject.expectation(swept.lengthM());
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
                made.frequenciesMHz().stream()
                        .map(f -> new OwnPointResponse(f, made.cable().sheetDbPer100m(f)))
                        .toList());
    }

    private static Double nullable(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }
}
