package org.eskiz.server.locker.kit;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.locker.PieceSummary;
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

    /**
     * A piece in its place.
     *
     * @param massKg null where that of its type is not known
     * @param outSince null while it is in
     */
    record PackedResponse(
            UUID pieceId,
            String label,
            double lengthM,
            @Nullable Double massKg,
            boolean turned,
            boolean spare,
            @Nullable LocalDate outSince) {}

    /** A barrel, or an adapter between series. */
    record AdapterResponse(PieceSummary.EndResponse near, PieceSummary.EndResponse far) {}
}
