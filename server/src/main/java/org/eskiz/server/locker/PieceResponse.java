package org.eskiz.server.locker;

import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.eskiz.core.bench.Cause;
import org.eskiz.core.bench.SheetDeviation;
import org.jspecify.annotations.Nullable;

/**
 * A piece with its whole life.
 *
 * @param events the earliest first
 * @param measured the law that stands for it in a run; null where it was never measured
 * @param kits names of kits that it belongs to
 */
record PieceResponse(
        PieceSummary summary,
        List<PieceEventResponse> events,
        @Nullable MeasuredLawResponse measured,
        List<String> kits) {

    /**
     * Something that happened to it.
     *
     * @param id of the outing's movement, the test, or the change
     * @param until last day of an outing; null while it is out
     * @param by who took it out, or worked on it; null where nobody's name stands on it
     * @param lossDb of a test, at the reference frequency
     * @param percentOfSheet of a test likewise
     */
    record PieceEventResponse(
            EventKind kind,
            @Nullable UUID id,
            LocalDate on,
            @Nullable LocalDate until,
            @Nullable String to,
            @Nullable String by,
            boolean wet,
            boolean frozen,
            boolean trodden,
            @Nullable Double lengthBeforeM,
            @Nullable Double lengthAfterM,
            @Nullable String note,
            @Nullable Double lossDb,
            @Nullable Double percentOfSheet,
            SheetDeviation.@Nullable Outcome outcome,
            List<Cause.Kind> causes) {}

    enum EventKind {
        BOUGHT,
        ENTERED,
        OUTING,
        TEST,
        REPAIR,
        NEW_END,
        RETIRED,
        BACK_IN_SERVICE
    }

    /**
     * What it loses, as measured.
     *
     * @param on day of the test that it rests on
     */
    record MeasuredLawResponse(double k1, double k2, UUID testId, LocalDate on) {}
}
