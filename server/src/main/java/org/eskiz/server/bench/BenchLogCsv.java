package org.eskiz.server.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.eskiz.server.bench.BenchAnalysisResponse.BenchFigureResponse;
import org.eskiz.server.bench.BenchTestResponse.BenchTestSummary;
import org.eskiz.server.web.Csv;

/** The log as comma-separated values, one record a frequency of a test. */
final class BenchLogCsv {

    static final List<String> COLUMNS = List.of(
            "test_id",
            "revision",
            "tested_on",
            "piece",
            "cable_key",
            "cable",
            "method",
            "length_m",
            "outcome",
            "frequency_mhz",
            "loss_db",
            "least_db",
            "most_db",
            "loss_db_per_100m",
            "expected_db",
            "excess_db");

    private BenchLogCsv() {}

    static Stream<List<Object>> rows(Stream<BenchTestSummary> tests) {
        return tests.flatMap(t -> t.figures().stream().map(f -> cells(t, f)));
    }

    private static List<Object> cells(BenchTestSummary t, BenchFigureResponse f) {
        return new ArrayList<>(Arrays.asList(
                t.id(),
                t.revision(),
                t.testedOn(),
                Csv.guarded(t.piece()),
                t.cableKey(),
                Csv.guarded(t.cableName()),
                t.method(),
                Csv.number(t.lengthM()),
                t.outcome(),
                Csv.number(f.frequencyMHz()),
                Csv.number(f.lossDb()),
                Csv.number(f.leastDb()),
                Csv.number(f.mostDb()),
                Csv.number(f.per100mDb()),
                Csv.number(f.expectedDb()),
                Csv.number(f.excessDb())));
    }
}
