package org.eskiz.server.bench;

import static java.util.Objects.requireNonNullElse;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import org.eskiz.core.bench.Expectation;
import org.eskiz.core.bench.LossPoint;
import org.eskiz.core.bench.PowerReading;
import org.eskiz.core.bench.SeveralLengths;
import org.eskiz.core.bench.SheetDeviation;
import org.eskiz.core.bench.WattmeterPair;
import org.eskiz.server.bench.BenchAnalysisResponse.Code;
import org.eskiz.server.bench.BenchAnalysisResponse.ReadingResultResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.SeveralLengthsResponse;
import org.eskiz.server.bench.BenchTestRequest.ReadingRequest;
import org.eskiz.server.bench.BenchTestRequest.WattmeterRequest;

/** The readings of a test, row by row: of a wattmeter, or losses that were read as such. */
final class ReadRows {

    /** Losses read as such repeat within this, dB, to either side. */
    private static final double AS_READ_DB = 0.05;

    /** Of a wattmeter that is not made for a laboratory. */
    private static final double USUAL_CLASS_PERCENT = 5;

    private static final WattmeterRequest PLAIN = new WattmeterRequest(null, null, null, null, null, null, null);

    /** A row that could be read. */
    private record Row(Double lengthM, LossPoint point) {}

    final List<ReadingResultResponse> results = new ArrayList<>();
    private final List<Row> rows = new ArrayList<>();
    private final MeasuredTest test;
    private final Findings findings;

    ReadRows(MeasuredTest test, Findings findings) {
        this.test = test;
        this.findings = findings;
        requireNonNullElse(test.noted().readings(), List.<ReadingRequest>of()).forEach(this::read);
        levels();
    }

    /** One loss for each frequency of the test's own length: the mean of its rows, and the interval of all. */
    List<LossPoint> points() {
        TreeMap<Double, List<LossPoint>> byFrequency = new TreeMap<>();
        rows.stream()
                .filter(r -> r.lengthM == null || r.lengthM.equals(test.noted().lengthM()))
                .forEach(r -> byFrequency
                        .computeIfAbsent(r.point.frequencyMHz(), f -> new ArrayList<>())
                        .add(r.point));
        return byFrequency.values().stream().map(ReadRows::together).toList();
    }

    private static LossPoint together(List<LossPoint> points) {
        return new LossPoint(
                points.get(0).frequencyMHz(),
                points.stream().mapToDouble(LossPoint::lossDb).average().orElseThrow(),
                points.stream().mapToDouble(LossPoint::leastDb).min().orElseThrow(),
                points.stream().mapToDouble(LossPoint::mostDb).max().orElseThrow());
    }

    /** Cable and connectors, wherever pieces of different lengths were read at one frequency. */
    List<SeveralLengthsResponse> severalLengths() {
        TreeMap<Double, List<SeveralLengths.Piece>> byFrequency = new TreeMap<>();
        for (Row row : rows) {
            Double length = row.lengthM == null ? test.noted().lengthM() : row.lengthM;
            if (length != null) {
                byFrequency
                        .computeIfAbsent(row.point.frequencyMHz(), f -> new ArrayList<>())
                        .add(new SeveralLengths.Piece(length, row.point.lossDb()));
            }
        }
        List<SeveralLengthsResponse> parted = new ArrayList<>();
        byFrequency.forEach((frequency, pieces) -> {
            if (pieces.stream()
                            .mapToDouble(SeveralLengths.Piece::lengthM)
                            .distinct()
                            .count()
                    > 1) {
                parted.add(parted(frequency, SeveralLengths.of(pieces)));
            }
        });
        parted.stream()
                .filter(p -> p.connectorsDb() < -AS_READ_DB)
                .findFirst()
                .ifPresent(p -> findings.add(
                        Code.CONNECTORS_BELOW_NOTHING,
                        String.format(
                                Locale.ROOT,
                                "the connectors would gain %.2f dB at %s MHz: the longer piece loses too little for its length",
                                -p.connectorsDb(),
                                p.frequencyMHz()),
                        "frequencyMHz",
                        p.frequencyMHz(),
                        "connectorsDb",
                        p.connectorsDb()));
        return parted;
    }

    private SeveralLengthsResponse parted(double frequencyMHz, SeveralLengths parted) {
        return new SeveralLengthsResponse(
                frequencyMHz,
                100 * parted.cableDbPerM(),
                parted.connectorsDb(),
                parted.residualDb().isPresent() ? parted.residualDb().getAsDouble() : null,
                test.type()
                        .map(t -> t.fittedCable().attenuation().dbPer100m(frequencyMHz, test.temperatureC()))
                        .orElse(null));
    }

    private void read(ReadingRequest reading) {
        try {
            Optional<LossPoint> point = point(reading);
            point.ifPresent(p -> rows.add(new Row(reading.lengthM(), p)));
            results.add(point.map(p -> result(reading, p)).orElseGet(() -> trouble(null)));
        } catch (IllegalArgumentException e) {
            results.add(trouble(e.getMessage()));
        }
    }

    private Optional<LossPoint> point(ReadingRequest reading) {
        if (reading.frequencyMHz() == null) {
            return Optional.empty();
        }
        if (test.noted().method() == BenchMethod.LOSSES) {
            return Optional.ofNullable(reading.lossDb())
                    .map(db -> LossPoint.within(reading.frequencyMHz(), db, AS_READ_DB));
        }
        if (isEmpty(reading.through())) {
            return Optional.empty();
        }
        PowerReading through = PowerReading.typed(reading.through());
        if (isEmpty(reading.baseline())) {
            throw new IllegalArgumentException(
                    "there is no baseline: without what the radio makes on its own, %s W says nothing of the cable"
                            .formatted(reading.through().strip()));
        }
        WattmeterPair pair = pair(reading, through);
        if (pair.gains()) {
            String what =
                    "more came through the cable (%s) than without it (%s): something in the set-up changed between the two"
                            .formatted(
                                    reading.through().strip(),
                                    reading.baseline().strip());
            findings.once(Code.THROUGH_ABOVE_BASELINE, what, "frequencyMHz", reading.frequencyMHz());
            throw new IllegalArgumentException(what);
        }
        return Optional.of(pair.at(reading.frequencyMHz()));
    }

    private WattmeterPair pair(ReadingRequest reading, PowerReading through) {
        WattmeterRequest how = requireNonNullElse(test.noted().wattmeter(), PLAIN);
        PowerReading.Repeatability usual = PowerReading.Repeatability.USUAL;
        return new WattmeterPair(
                PowerReading.typed(reading.baseline()),
                through,
                test.leadDb(reading.frequencyMHz()),
                new PowerReading.Repeatability(
                        requireNonNullElse(how.digits(), usual.digits()),
                        requireNonNullElse(how.repeatPercent(), 100 * usual.share()) / 100),
                requireNonNullElse(how.classPercent(), USUAL_CLASS_PERCENT) / 100);
    }

    private ReadingResultResponse result(ReadingRequest reading, LossPoint point) {
        Double length = reading.lengthM() == null ? test.noted().lengthM() : reading.lengthM();
        Optional<Expectation> expectation = test.expectation(length);
        Optional<SheetDeviation> against = expectation.map(e -> SheetDeviation.of(List.of(point), e));
        return new ReadingResultResponse(
                point.lossDb(),
                point.leastDb(),
                point.mostDb(),
                expectation.map(e -> e.lossDb(point.frequencyMHz())).orElse(null),
                against.map(SheetDeviation::outcome).orElse(null),
                null);
    }

    private static ReadingResultResponse trouble(String what) {
        return new ReadingResultResponse(null, null, null, null, null, what);
    }

    /** Two levels of power at one frequency should lose alike. */
    private void levels() {
        for (int i = 0; i < rows.size(); i++) {
            for (int j = 0; j < i; j++) {
                LossPoint a = rows.get(i).point;
                LossPoint b = rows.get(j).point;
                boolean isSame = a.frequencyMHz() == b.frequencyMHz()
                        && Objects.equals(rows.get(i).lengthM, rows.get(j).lengthM);
                if (isSame && (a.leastDb() > b.mostDb() || b.leastDb() > a.mostDb())) {
                    findings.once(
                            Code.LEVELS_DISAGREE,
                            String.format(
                                    Locale.ROOT,
                                    "two readings at %s MHz give %.2f and %.2f dB, farther apart than they may be wrong",
                                    a.frequencyMHz(),
                                    b.lossDb(),
                                    a.lossDb()),
                            "frequencyMHz",
                            a.frequencyMHz(),
                            "oneDb",
                            b.lossDb(),
                            "otherDb",
                            a.lossDb());
                }
            }
        }
    }

    private static boolean isEmpty(String text) {
        return text == null || text.isBlank();
    }
}
