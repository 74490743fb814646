package org.eskiz.server.bench;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.eskiz.core.bench.Cause;
import org.eskiz.core.bench.PieceLoss;
import org.eskiz.core.bench.SheetDeviation;

/**
 * A test that counts for a piece.
 *
 * @param testId the test
 * @param pieceId the piece
 * @param on its day
 * @param lengthM of the piece then; empty where not known
 * @param outcome against its type; empty where there was nothing to hold it against
 * @param causes of what it lost too much, the best first; several are rivals
 * @param worstExcessDb the farthest it was off its sheet; empty where there was none
 * @param figures one a frequency
 */
public record PieceTest(
        UUID testId,
        UUID pieceId,
        LocalDate on,
        Optional<Double> lengthM,
        Optional<SheetDeviation.Outcome> outcome,
        List<Cause.Kind> causes,
        Optional<Double> worstExcessDb,
        List<Figure> figures) {

    /**
     * A loss at one frequency.
     *
     * @param measured what was read
     * @param expectedDb what its type promised; empty where not known
     * @param uncertaintyDb to either side
     */
    public record Figure(PieceLoss.Measured measured, Optional<Double> expectedDb, double uncertaintyDb) {}
}
