package org.eskiz.server.bench;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import org.eskiz.server.bench.BenchAnalysisResponse.BenchFigureResponse;
import org.eskiz.server.bench.BenchTestResponse.BenchTestSummary;
import org.eskiz.server.exchange.CsvText;

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

    static String write(List<BenchTestSummary> tests) {
        return CsvText.table(
                COLUMNS, tests.stream().flatMap(t -> t.figures().stream().map(f -> cells(t, f))));
    }

    private static List<Object> cells(BenchTestSummary t, BenchFigureResponse f) {
        return new ArrayList<>(Arrays.asList(
                t.id(),
                t.revision(),
                t.testedOn(),
                CsvText.guarded(t.piece()),
                t.cableKey(),
                CsvText.guarded(t.cableName()),
                t.method(),
                CsvText.number(t.lengthM()),
                t.outcome(),
                CsvText.number(f.frequencyMHz()),
                CsvText.number(f.lossDb()),
                CsvText.number(f.leastDb()),
                CsvText.number(f.mostDb()),
                CsvText.number(f.per100mDb()),
                CsvText.number(f.expectedDb()),
                CsvText.number(f.excessDb())));
    }
}
