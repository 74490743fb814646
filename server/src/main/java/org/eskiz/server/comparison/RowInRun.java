package org.eskiz.server.comparison;

import java.util.List;
import org.eskiz.server.assessment.AssessmentResponse;
import org.eskiz.server.document.AssessmentSpec;
import org.jspecify.annotations.Nullable;

/**
 * A row of a ledger, laid into the run.
 *
 * @param row what the ledger says of it
 * @param assessment the run with it
 * @param bands one each; null where it loses more than can be assessed
 */
public record RowInRun(
        ComparisonResponse.RowResponse row,
        AssessmentSpec assessment,
        List<AssessmentResponse.@Nullable BandResponse> bands) {}
