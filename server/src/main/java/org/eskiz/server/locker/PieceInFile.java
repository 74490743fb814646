package org.eskiz.server.locker;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;

/**
 * A piece in a file, with its life but for its tests, which stand beside it.
 *
 * @param piece with its id, as it is now
 * @param enteredAt when it was put into the locker; null for now
 * @param retiredOn null while it is used
 * @param outings the earliest first
 * @param changes in the order in which they were made
 */
public record PieceInFile(
        @NotNull(message = "must be given") @Valid PieceRequest piece,
        Instant enteredAt,
        LocalDate retiredOn,

        @Size(max = 10_000, message = "must be at most {max} outings")
        List<@NotNull(message = "must be an outing, not null") @Valid OutingInFile> outings,

        @Size(max = 1000, message = "must be at most {max} changes")
        List<@NotNull(message = "must be a change, not null") @Valid ChangeInFile> changes) {

    /**
     * An outing.
     *
     * @param movementId of the movement that began it; pieces that were taken out together share it
     * @param until null while it is out
     */
    public record OutingInFile(
            @NotNull(message = "must be given") UUID movementId,
            @NotNull(message = "must be given") LocalDate on,
            LocalDate until,
            @PlainText(max = 200) String to,
            Boolean wet,
            Boolean frozen,
            Boolean trodden) {}

    /** Something that was done to it. */
    public record ChangeInFile(
            @NotNull(message = "must be given") UUID id,
            @NotNull(message = "must be given") PieceChange kind,
            @NotNull(message = "must be given") LocalDate on,

            @Within(what = "length in m", min = 0.01, max = 10_000)
            Double lengthBeforeM,

            @Within(what = "length in m", min = 0.01, max = 10_000)
            Double lengthAfterM,

            @PlainText(max = 1000) String note) {}
}
