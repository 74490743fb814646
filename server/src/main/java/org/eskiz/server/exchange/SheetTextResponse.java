package org.eskiz.server.exchange;

import java.util.List;
import org.eskiz.core.cable.SheetCheck;
import org.jspecify.annotations.Nullable;

/**
 * What was understood of a table, before anything is stored.
 *
 * @param rows in the order of the text
 * @param skipped lines that say nothing of attenuation, and why
 * @param findings what may be wrong with it
 * @param fit the law nearest to the rows
 */
public record SheetTextResponse(
        List<SheetRowResponse> rows,
        List<SkippedLineResponse> skipped,
        UnderstoodResponse understood,
        List<SheetFindingResponse> findings,
        SheetFitResponse fit) {

    /**
     * One row.
     *
     * @param line in the text, from 1
     * @param relativeResidual how far the fitted law misses it; positive where the law says more loss
     */
    public record SheetRowResponse(
            int line, double frequencyMHz, double attenuationDbPer100m, double relativeResidual) {}

    /**
     * A line that is left out.
     *
     * @param isRow whether it has numbers, and so was meant as a row
     */
    public record SkippedLineResponse(int line, String text, String why, boolean isRow) {}

    /**
     * How the text was read.
     *
     * @param separator what stands between columns, in a word
     * @param decimalComma whether a comma is the decimal mark
     * @param hasHeader whether a first line of words was taken as a header
     * @param lossColumn which column the losses are in, from 1
     * @param columns what the columns of loss are called, from the second on; of a table on its side its lines
     * @param lying whether frequencies go from left to right
     */
    public record UnderstoodResponse(
            String separator,
            boolean decimalComma,
            boolean hasHeader,
            int lossColumn,
            List<String> columns,
            boolean lying,
            SheetTextRequest.FrequencyUnit frequencyUnit,
            SheetTextRequest.LossPer lossPer) {}

    /**
     * What may be wrong.
     *
     * @param row position among the rows; null for the table as a whole
     * @param number as the slip says
     */
    public record SheetFindingResponse(
            SheetCheck.Slip slip, @Nullable Integer row, double number) {}

    public record SheetFitResponse(double k1, double k2, double worstRelativeResidual) {}
}
