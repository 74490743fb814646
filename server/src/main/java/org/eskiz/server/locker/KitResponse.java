package org.eskiz.server.locker;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A kit that is kept.
 *
 * @param lengthM of its pieces without spares
 * @param trouble what keeps it from being taken out as it is, in sentences
 */
record KitResponse(
        UUID id,
        long version,
        boolean demo,
        String name,
        @Nullable String note,
        List<PackedResponse> pieces,
        List<AdapterResponse> adapters,
        double lengthM,
        boolean isOut,
        List<String> trouble) {

    /** A piece in its place. */
    record PackedResponse(UUID pieceId, String label, double lengthM, boolean turned, boolean spare) {}

    /** A barrel, or an adapter between series. */
    record AdapterResponse(PieceSummary.EndResponse near, PieceSummary.EndResponse far) {}
}
