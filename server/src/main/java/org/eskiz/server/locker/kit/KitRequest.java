package org.eskiz.server.locker.kit;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.locker.PieceRequest;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;

/**
 * A kit that is kept: what goes into the bag.
 *
 * @param id made by the client; for a new kit only
 * @param version that a change starts from; for a change only
 * @param pieces from the radio on, spares last
 * @param adapters barrels and adapters between series
 */
public record KitRequest(
        UUID id,

        @Within(what = "version", min = 0, max = Long.MAX_VALUE)
        Long version,

        @NotNull(message = "must be given") @PlainText(max = 80, blank = false)
        String name,

        @PlainText(max = 4000) String note,

        @NotNull(message = "must be given") @Size(min = 1, max = 100, message = "must be 1 to {max} pieces")
        List<@NotNull(message = "must be a piece, not null") @Valid PackedRequest> pieces,

        @Size(max = 50, message = "must be at most {max} adapters")
        List<@NotNull(message = "must be an adapter, not null") @Valid AdapterRequest> adapters) {

    /** A piece in its place. */
    public record PackedRequest(
            @NotNull(message = "must be given") UUID pieceId, Boolean turned, Boolean spare) {}

    /** A barrel, or an adapter between series. */
    public record AdapterRequest(
            @NotNull(message = "must be given") @Valid PieceRequest.EndRequest near,
            @NotNull(message = "must be given") @Valid PieceRequest.EndRequest far) {}
}
