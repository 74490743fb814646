package org.eskiz.server.locker;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.problem.PlainText;

/**
 * Pieces taken out or put away together; all of them, or none.
 *
 * @param pieceIds at least one
 * @param on the day; of an outing that is over, its first
 * @param until its last day; for an outing that is over only
 * @param to where they are taken
 * @param wet whether they got wet; for putting away and for an outing that is over
 * @param frozen likewise
 * @param trodden whether they were trodden or driven on
 */
record MovementRequest(
        @NotNull(message = "must be given") Kind kind,

        @NotNull(message = "must be given") @Size(min = 1, max = 2000, message = "must be 1 to {max} pieces")
        List<@NotNull(message = "must be an id, not null") UUID> pieceIds,

        @NotNull(message = "must be given") LocalDate on,
        LocalDate until,
        @PlainText(max = 200) String to,
        Boolean wet,
        Boolean frozen,
        Boolean trodden) {

    /** Which way. */
    enum Kind {
        TOOK_OUT,
        PUT_AWAY,
        /** There and back, noted afterwards. */
        WAS_OUT
    }
}
