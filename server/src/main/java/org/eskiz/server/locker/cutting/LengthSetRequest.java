package org.eskiz.server.locker.cutting;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.eskiz.core.kit.LengthSets;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;

/**
 * Sites that a few lengths of one cable shall serve.
 *
 * @param frequencyMHz of the band that decides
 * @param connectorKey what its pieces end in
 * @param pairsBetween mated pairs between two pieces: 2 around a barrel, 1 where plug meets socket; default 2
 * @param stepM lengths are whole steps of so many m; default 1
 * @param mostPieces default 4
 * @param lightestFirst whether least mass is wanted before least loss
 */
record LengthSetRequest(
        @NotNull(message = "must be given") @Size(min = 1, max = 30, message = "must be 1 to {max} sites")
        List<@NotNull(message = "must be a site, not null") @Valid SiteRequest> sites,

        @NotNull(message = "must be given") @PlainText(max = 64)
        String cableKey,

        @NotNull(message = "must be given") @PlainText(max = 64)
        String connectorKey,

        @NotNull(message = "must be given") @Within(what = "frequency in MHz", min = 0.1, max = 30_000)
        Double frequencyMHz,

        @Within(what = "mated pairs", min = 1, max = 2) Integer pairsBetween,
        @Within(what = "step in m", min = 0.1, max = 100) Double stepM,

        @Within(what = "pieces", min = 1, max = LengthSets.MOST_PIECES)
        Integer mostPieces,

        Boolean lightestFirst) {

    /**
     * A site.
     *
     * @param visits how often the run is set up there; default 1
     */
    record SiteRequest(
            @NotNull(message = "must be given") @PlainText(max = 120, blank = false)
            String name,

            @NotNull(message = "must be given") @Within(what = "length in m", min = 0.1, max = 1000)
            Double lengthM,

            @Within(what = "visits", min = 1, max = 1000) Integer visits) {}
}
