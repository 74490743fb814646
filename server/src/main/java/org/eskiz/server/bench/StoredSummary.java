package org.eskiz.server.bench;

import java.util.List;
import org.eskiz.core.bench.SheetDeviation;
import org.eskiz.server.bench.BenchAnalysisResponse.BenchFigureResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.CauseResponse;

/** What a test came to on the day that it was stored; kept, whatever becomes of the sheet of its type. */
record StoredSummary(
        String cableName,
        Double lengthM,
        SheetDeviation.Outcome outcome,
        CauseResponse cause,
        BenchFigureResponse worst,
        List<BenchFigureResponse> figures) {}
