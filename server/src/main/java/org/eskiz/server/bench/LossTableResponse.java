package org.eskiz.server.bench;

import static java.util.Objects.requireNonNullElse;

import java.util.ArrayList;
import java.util.List;
import org.eskiz.core.unit.Decibels;
import org.eskiz.server.bench.LossTableRequest.Figure;
import org.eskiz.server.exchange.LossTable;
import org.eskiz.server.exchange.SheetTextResponse.SkippedLineResponse;
import org.jspecify.annotations.Nullable;

/**
 * Rows of readings out of a table.
 *
 * @param rows as a test has them
 * @param skipped lines that were not understood, or figures that no cable has, each with why
 */
record LossTableResponse(List<MeasuredLossResponse> rows, List<SkippedLineResponse> skipped) {

    private static final double ALL_PERCENT = 100;

    /** A row. */
    record MeasuredLossResponse(
            double frequencyMHz,
            @Nullable Double lossDb,
            @Nullable Double openReturnLossDb,
            @Nullable Double shortedReturnLossDb) {}

    static LossTableResponse of(LossTableRequest request) {
        LossTable table = LossTable.read(request.text());
        Figure figure = requireNonNullElse(request.figure(), Figure.LOSS);
        List<MeasuredLossResponse> rows = new ArrayList<>();
        List<SkippedLineResponse> skipped = new ArrayList<>(table.skipped());
        for (LossTable.Loss row : table.rows()) {
            if (isPercent(figure) && !(row.figure() > 0 && row.figure() < ALL_PERCENT)) {
                skipped.add(new SkippedLineResponse(
                        0,
                        "%s MHz, %s %%".formatted(row.frequencyMHz(), row.figure()),
                        "between 0 and 100 percent arrive",
                        true));
            } else {
                rows.add(row(row, figure));
            }
        }
        return new LossTableResponse(rows, skipped);
    }

    private static boolean isPercent(Figure figure) {
        return figure == Figure.PERCENT_ARRIVING || figure == Figure.PERCENT_LOST;
    }

    private static MeasuredLossResponse row(LossTable.Loss row, Figure figure) {
        double f = row.frequencyMHz();
        double value = row.figure();
        return switch (figure) {
            case LOSS -> new MeasuredLossResponse(f, value, null, null);
            case PERCENT_ARRIVING -> new MeasuredLossResponse(f, Decibels.lossBetween(ALL_PERCENT, value), null, null);
            case PERCENT_LOST ->
                new MeasuredLossResponse(f, Decibels.lossBetween(ALL_PERCENT, ALL_PERCENT - value), null, null);
            case OPEN_RETURN_LOSS -> new MeasuredLossResponse(f, null, value, null);
            case SHORTED_RETURN_LOSS -> new MeasuredLossResponse(f, null, null, value);
            case BOTH_RETURN_LOSSES ->
                new MeasuredLossResponse(f, null, value, Double.isNaN(row.second()) ? null : row.second());
        };
    }
}
