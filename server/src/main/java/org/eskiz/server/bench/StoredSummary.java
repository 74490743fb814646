package org.eskiz.server.bench;

import com.fasterxml.jackson.annotation.JsonProperty;
import java.util.List;
import org.eskiz.core.bench.SheetDeviation;
import org.eskiz.server.bench.BenchAnalysisResponse.BenchFigureResponse;
import org.eskiz.server.bench.BenchAnalysisResponse.CauseResponse;

/**
 * What a test came to on the day that it was stored; kept, whatever becomes of the sheet of its type.
 *
 * @param cause as it was kept before rivals were; read, never written
 */
record StoredSummary(
        String cableName,
        Double lengthM,
        SheetDeviation.Outcome outcome,

        @JsonProperty(access = JsonProperty.Access.WRITE_ONLY)
        CauseResponse cause,

        List<CauseResponse> causes,
        BenchFigureResponse worst,
        List<BenchFigureResponse> figures) {

    StoredSummary {
        if (causes == null) {
            causes = cause == null ? List.of() : List.of(cause);
        }
        cause = null;
    }
}
