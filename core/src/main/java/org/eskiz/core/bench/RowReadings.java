package org.eskiz.core.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.stream.DoubleStream;

/** The readings of a test, row by row: of a wattmeter, or losses that were read as such. */
final class RowReadings {

    /** Losses read as such repeat within this, dB, to either side. */
    private static final double AS_READ_DB = 0.05;

    private final BenchTest test;
    private final TestFindings findings;
    private final List<RowResult> results;

    RowReadings(BenchTest test, TestFindings findings) {
        this.test = test;
        this.findings = findings;
        this.results = test.rows().stream().map(this::result).toList();
        levels();
    }

    List<RowResult> results() {
        return results;
    }

    /** One loss for each frequency of the test's own length: the mean of its rows, as uncertain as the least certain of them. */
    List<LossPoint> points() {
        return byFrequency(read().stream()
                        .filter(r -> r.lengthM().equals(test.subject().lengthM()))
                        .toList())
                .values()
                .stream()
                .map(RowReadings::together)
                .toList();
    }

    private List<RowResult> read() {
        return results.stream().filter(r -> r.point().isPresent()).toList();
    }

    private static Map<Double, List<RowResult>> byFrequency(List<RowResult> rows) {
        Map<Double, List<RowResult>> sorted = new TreeMap<>();
        rows.forEach(r ->
                sorted.computeIfAbsent(r.frequencyMHz(), f -> new ArrayList<>()).add(r));
        return sorted;
    }

    private static LossPoint together(List<RowResult> rows) {
        List<LossPoint> points = rows.stream().map(r -> r.point().orElseThrow()).toList();
        LossPoint widest = points.stream()
                .max(Comparator.comparingDouble(p -> p.uncertainty().standardDb()))
                .orElseThrow();
        DoubleSummaryStatistics losses =
                points.stream().mapToDouble(LossPoint::lossDb).summaryStatistics();
        return new LossPoint(
                widest.frequencyMHz(),
                losses.getAverage(),
                widest.uncertainty()
                        .with(
                                Uncertainty.Source.LEVELS,
                                Uncertainty.ofHalfWidth((losses.getMax() - losses.getMin()) / 2)));
    }

    /** Cable and connectors by frequency, wherever pieces of different lengths were read at one. */
    Map<Double, SeveralLengths> severalLengths() {
        Map<Double, SeveralLengths> parted = new TreeMap<>();
        byFrequency(read().stream().filter(r -> r.lengthM().isPresent()).toList())
                .forEach((frequency, rows) -> {
                    List<SeveralLengths.Piece> pieces = rows.stream()
                            .map(r -> new SeveralLengths.Piece(
                                    r.lengthM().getAsDouble(),
                                    r.point().orElseThrow().lossDb(),
                                    r.point().orElseThrow().uncertainty().standardDb()))
                            .toList();
                    if (pieces.stream()
                                    .map(SeveralLengths.Piece::lengthM)
                                    .distinct()
                                    .count()
                            > 1) {
                        parted.put(frequency, SeveralLengths.of(pieces));
                    }
                });
        parted.forEach((frequency, p) -> {
            if (p.connectorsDb() < -Math.max(AS_READ_DB, p.certainty().connectorsDb())) {
                findings.once(new TestFinding.ConnectorsBelowNothing(frequency, p.connectorsDb()));
            }
        });
        return parted;
    }

    private RowResult result(TestRow row) {
        OptionalDouble lengthM =
                row.lengthM().isPresent() ? row.lengthM() : test.subject().lengthM();
        try {
            return point(row).map(p -> judged(lengthM, p)).orElseGet(() -> RowResult.unread(lengthM, Optional.empty()));
        } catch (ReadingException trouble) {
            return RowResult.unread(lengthM, Optional.of(trouble));
        }
    }

    private RowResult judged(OptionalDouble lengthM, LossPoint point) {
        Optional<Expectation> expectation = test.subject().expectation(lengthM, TestSubject.Seen.BY_POWER);
        return new RowResult(
                lengthM,
                Optional.of(point),
                expectation
                        .map(e -> OptionalDouble.of(e.lossDb(point.frequencyMHz())))
                        .orElse(OptionalDouble.empty()),
                expectation.map(e -> SheetDeviation.of(List.of(point), e).outcome()),
                Optional.empty());
    }

    private Optional<LossPoint> point(TestRow row) {
        if (row.frequencyMHz().isEmpty()) {
            return Optional.empty();
        }
        double frequencyMHz = row.frequencyMHz().getAsDouble();
        if (row instanceof TestRow.OfLoss loss) {
            return loss.lossDb().isEmpty()
                    ? Optional.empty()
                    : Optional.of(LossPoint.within(frequencyMHz, loss.lossDb().getAsDouble(), AS_READ_DB));
        }
        if (row instanceof TestRow.OfReturnLoss returned) {
            return returned(frequencyMHz, returned);
        }
        TestRow.OfPower power = (TestRow.OfPower) row;
        return power.through().isBlank() ? Optional.empty() : Optional.of(point(frequencyMHz, power));
    }

    /** Both looks together are the loss; one alone is off by whatever the cable reflects. */
    private static Optional<LossPoint> returned(double frequencyMHz, TestRow.OfReturnLoss row) {
        List<Double> both = DoubleStream.concat(row.openDb().stream(), row.shortedDb().stream())
                .boxed()
                .toList();
        if (both.isEmpty()) {
            return Optional.empty();
        }
        double lossDb = both.stream().mapToDouble(d -> d).average().orElseThrow() / 2;
        LossPoint point = LossPoint.within(frequencyMHz, lossDb, AS_READ_DB);
        return Optional.of(
                both.size() == 2
                        ? point
                        : new LossPoint(
                                frequencyMHz,
                                lossDb,
                                point.uncertainty()
                                        .with(
                                                Uncertainty.Source.ESTIMATE,
                                                MeasuredLine.ESTIMATE_DB
                                                        + MeasuredLine.ESTIMATE_SHARE * Math.abs(lossDb))));
    }

    private LossPoint point(double frequencyMHz, TestRow.OfPower row) {
        PowerReading through = PowerReading.typed(row.through());
        if (row.baseline().isBlank()) {
            throw new ReadingException(
                    "there is no baseline: without what the radio makes on its own, %s W says nothing of the cable"
                            .formatted(row.through().strip()));
        }
        WattmeterPair pair = new WattmeterPair(
                PowerReading.typed(row.baseline()),
                row.baselineAfter().isBlank() ? Optional.empty() : Optional.of(PowerReading.typed(row.baselineAfter())),
                through,
                test.meter().lead().missingDb(frequencyMHz),
                test.meter().repeatability(),
                test.meter().meterClass());
        if (pair.gains()) {
            findings.once(new TestFinding.ThroughAboveBaseline(frequencyMHz));
            throw new ReadingException(
                    "more came through the cable (%s) than without it (%s): something in the set-up changed between the two"
                            .formatted(row.through().strip(), row.baseline().strip()));
        }
        return pair.at(frequencyMHz);
    }

    /** Two levels of power at one frequency should lose alike. */
    private void levels() {
        List<RowResult> read = read();
        for (int i = 0; i < read.size(); i++) {
            for (int j = 0; j < i; j++) {
                disagreement(read.get(i), read.get(j)).ifPresent(findings::once);
            }
        }
    }

    private static Optional<TestFinding> disagreement(RowResult row, RowResult before) {
        LossPoint a = row.point().orElseThrow();
        LossPoint b = before.point().orElseThrow();
        boolean isSame = a.frequencyMHz() == b.frequencyMHz() && row.lengthM().equals(before.lengthM());
        return isSame && (a.leastDb() > b.mostDb() || b.leastDb() > a.mostDb())
                ? Optional.of(new TestFinding.LevelsDisagree(a.frequencyMHz(), b.lossDb(), a.lossDb()))
                : Optional.empty();
    }
}
