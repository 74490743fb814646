package org.eskiz.server.exchange;

import java.util.List;
import org.eskiz.server.problem.InvalidRequestException;

/** Frequency and loss of a piece as it was measured, out of a table in any usual form. */
public final class LossTable {

    private LossTable() {}

    /** One row. */
    public record Loss(double frequencyMHz, double lossDb) {}

    /**
     * Reads a table.
     *
     * @throws InvalidRequestException when there is no row in it
     */
    public static List<Loss> read(String text) {
        try {
            var asMeasured =
                    new SheetTextRequest(text, SheetTextRequest.LossPer.PER_100_M, null, null, null, null, null, null);
            return SheetTextReader.read(asMeasured).rows.stream()
                    .map(r -> new Loss(r.frequencyMHz(), r.dbPer100m()))
                    .toList();
        } catch (LoadFileException e) {
            throw new InvalidRequestException("text", e.getMessage());
        }
    }
}
