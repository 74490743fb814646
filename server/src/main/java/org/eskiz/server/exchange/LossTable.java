package org.eskiz.server.exchange;

import java.util.List;
import org.eskiz.server.exchange.SheetTextResponse.SkippedLineResponse;
import org.eskiz.server.problem.InvalidRequestException;

/**
 * Frequency and figures of a piece as it was measured, out of a table in any usual form.
 *
 * @param rows each with the figure that is asked for, and the one in the column behind it where there is one
 * @param skipped lines that were not understood, each with why
 */
public record LossTable(List<Loss> rows, List<SkippedLineResponse> skipped) {

    /**
     * One row.
     *
     * @param second of the next column; NaN where there is none
     */
    public record Loss(double frequencyMHz, double figure, double second) {}

    /**
     * Reads a table.
     *
     * @throws InvalidRequestException when there is no row in it
     */
    public static LossTable read(String text) {
        try {
            SheetTextReader first = SheetTextReader.read(asMeasured(text, 2));
            List<SheetTextReader.Row> second =
                    first.columns.size() < 2 ? List.of() : SheetTextReader.read(asMeasured(text, 3)).rows;
            return new LossTable(
                    first.rows.stream().map(r -> loss(r, second)).toList(),
                    first.skipped.stream()
                            .map(s -> new SkippedLineResponse(s.line(), s.text(), s.why(), s.isRow()))
                            .toList());
        } catch (LoadFileException e) {
            throw new InvalidRequestException("text", e.getMessage());
        }
    }

    private static Loss loss(SheetTextReader.Row row, List<SheetTextReader.Row> second) {
        return new Loss(
                row.frequencyMHz(),
                row.dbPer100m(),
                second.stream()
                        .filter(r -> r.frequencyMHz() == row.frequencyMHz())
                        .mapToDouble(SheetTextReader.Row::dbPer100m)
                        .findFirst()
                        .orElse(Double.NaN));
    }

    private static SheetTextRequest asMeasured(String text, int column) {
        return new SheetTextRequest(
                text, SheetTextRequest.LossPer.PER_100_M, null, column, null, null, null, null, null, null);
    }
}
