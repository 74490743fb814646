package org.eskiz.server.locker;

import jakarta.validation.constraints.NotNull;
import java.time.LocalDate;
import java.util.UUID;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;

/**
 * What was done to a piece.
 *
 * @param id made by the client
 * @param lengthAfterM of the piece with its new end; for a new end only
 */
record PieceChangeRequest(
        @NotNull(message = "must be given") UUID id,
        @NotNull(message = "must be given") PieceChange kind,
        @NotNull(message = "must be given") LocalDate on,

        @Within(what = "length in m", min = 0.01, max = 10_000)
        Double lengthAfterM,

        @PlainText(max = 1000) String note) {}
