package org.eskiz.server.bench;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.eskiz.core.bench.SheetDeviation;
import org.eskiz.server.bench.BenchAnalysisResponse.BenchFigureResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.CauseResponse;
import org.jspecify.annotations.Nullable;

/**
 * A stored test.
 *
 * @param document what was noted, as it was typed
 * @param files sweeps that belong to it
 * @param analysis what it comes to by what is known today
 */
record BenchTestResponse(
        BenchTestSummary summary,
        BenchTestRequest document,
        List<BenchFileResponse> files,
        BenchAnalysisResponse analysis) {

    /**
     * A test in the log, with what it came to on the day that it was stored.
     *
     * @param revision from 1; corrections count up
     * @param cableName the type, as it was called that day; null where not known
     * @param outcome null where there was nothing to hold it against
     * @param madeTypes keys of cable types that were made of it
     */
    record BenchTestSummary(
            UUID id,
            int revision,
            Instant storedAt,
            boolean demo,
            boolean setAside,
            BenchMethod method,
            @Nullable LocalDate testedOn,
            @Nullable String piece,
            @Nullable UUID pieceId,
            @Nullable String cableKey,
            @Nullable String cableName,
            @Nullable Double lengthM,
            SheetDeviation.@Nullable Outcome outcome,
            List<CauseResponse> causes,
            @Nullable BenchFigureResponse worst,
            List<BenchFigureResponse> figures,
            List<String> madeTypes) {}
}
