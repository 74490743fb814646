package org.eskiz.server.locker.kit;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.eskiz.core.kit.KitWanted;
import org.eskiz.server.comparison.ComparisonRequest;
import org.eskiz.server.locker.PieceRequest;
import org.eskiz.server.problem.Within;

/**
 * A run to be made of owned pieces.
 *
 * @param comparison the run, with exactly one LINE marked as candidate: that is what the kit stands in for
 * @param lengthM least length of the kit; null for that of the candidate
 * @param radio what the radio's side offers; null where nobody says, and then no coupling is counted there
 * @param antenna what the antenna's side offers; likewise
 * @param leaveOut pieces that are not to be used
 * @param withFailing whether pieces that fail are used too
 * @param mostPieces default 12
 */
record KitSearchRequest(
        @NotNull(message = "must be given") @Valid ComparisonRequest comparison,

        @Within(what = "length in m", min = 0.01, max = 10_000)
        Double lengthM,

        @Valid PieceRequest.EndRequest radio,
        @Valid PieceRequest.EndRequest antenna,

        @Size(max = 2000, message = "must be at most {max} pieces")
        List<@NotNull(message = "must be an id, not null") UUID> leaveOut,

        Boolean withFailing,

        @Within(what = "pieces", min = 1, max = KitWanted.USUAL_MOST_PIECES)
        Integer mostPieces) {}
