package org.eskiz.server.locker;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.eskiz.core.kit.End;
import org.eskiz.server.locker.PieceSummary.EndResponse;
import org.eskiz.server.web.Csv;
import org.jspecify.annotations.Nullable;

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
                p.make().cableKey(),
                Csv.guarded(p.make().cableName()),
                Csv.number(p.make().lengthM()),
                connector(p.make().near()),
                gender(p.make().near()),
                connector(p.make().far()),
                gender(p.make().far()),
                p.keeping().boughtOn(),
                p.keeping().price() == null ? null : p.keeping().price().toPlainString(),
                p.keeping().priceCurrency(),
                Csv.guarded(p.keeping().keptAt()),
                p.wear().outings(),
                p.wear().hardOutings(),
                p.wear().outSince(),
                p.standing(),
                p.lastTestedOn(),
                Csv.number(p.ageing().referenceMHz()),
                Csv.number(p.ageing().percentOfSheet()),
                p.ageing().trend() == null
                        ? null
                        : Csv.number(p.ageing().trend().percentPerYear()),
                p.testAgain().testAgainOn(),
                p.wear().retiredOn(),
                Csv.guarded(p.keeping().note())));
    }

    private static @Nullable String connector(@Nullable EndResponse end) {
        return end == null ? null : end.connectorKey();
    }

    private static End.@Nullable Gender gender(@Nullable EndResponse end) {
        return end == null ? null : end.gender();
    }
}
