package org.eskiz.server.locker;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.eskiz.server.web.Csv;

/** The locker as comma-separated values, one record a piece. */
final class PieceCsv {

    static final List<String> COLUMNS = List.of(
            "piece_id",
            "label",
            "cable_key",
            "cable",
            "length_m",
            "near_connector",
            "near_gender",
            "far_connector",
            "far_gender",
            "bought_on",
            "price",
            "price_currency",
            "kept_at",
            "outings",
            "hard_outings",
            "out_since",
            "standing",
            "last_tested_on",
            "reference_mhz",
            "percent_of_sheet",
            "percent_per_year",
            "test_again_on",
            "retired_on",
            "note");

    private PieceCsv() {}

    static Stream<List<Object>> rows(Stream<PieceSummary> pieces) {
        return pieces.map(PieceCsv::cells);
    }

    private static List<Object> cells(PieceSummary p) {
        return new ArrayList<>(Arrays.asList(
                p.id(),
                Csv.guarded(p.label()),
                p.cableKey(),
                Csv.guarded(p.cableName()),
                Csv.number(p.lengthM()),
                p.near() == null ? null : p.near().connectorKey(),
                p.near() == null ? null : p.near().gender(),
                p.far() == null ? null : p.far().connectorKey(),
                p.far() == null ? null : p.far().gender(),
                p.boughtOn(),
                p.price() == null ? null : p.price().toPlainString(),
                p.priceCurrency(),
                Csv.guarded(p.keptAt()),
                p.outings(),
                p.hardOutings(),
                p.outSince(),
                p.standing(),
                p.lastTestedOn(),
                Csv.number(p.referenceMHz()),
                Csv.number(p.percentOfSheet()),
                p.trend() == null ? null : Csv.number(p.trend().percentPerYear()),
                p.testAgainOn(),
                p.retiredOn(),
                Csv.guarded(p.note())));
    }
}
