package org.eskiz.server.happening;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Something that happened.
 *
 * @param id of it in this list
 * @param at when; of outings the day they were noted for
 * @param person who did it; null where it was done by somebody who was alone, or before there were names
 * @param subjectId of the plan, test, piece, cable type or file
 * @param subject what it is called now
 * @param detail the cable that was chosen, where a piece went, what was done to it, the day of a test
 */
record HappeningResponse(
        String id,
        Kind kind,
        Instant at,
        @Nullable String person,
        UUID subjectId,
        String subject,
        @Nullable String detail) {

    /** What there is to tell. */
    @Schema(name = "HappeningKind", enumAsRef = true)
    enum Kind {
        PLAN_SAVED,
        PLAN_DELETED,
        CABLE_CHOSEN,
        CHOICE_WITHDRAWN,
        TEST_NOTED,
        TEST_CORRECTED,
        PIECE_TAKEN_OUT,
        PIECE_PUT_AWAY,
        PIECE_CHANGED,
        CABLE_CHANGED,
        FILE_IMPORTED
    }
}
