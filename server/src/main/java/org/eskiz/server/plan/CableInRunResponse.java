package org.eskiz.server.plan;

import java.util.List;
import java.util.UUID;
import org.eskiz.server.assessment.AssessmentResponse;
import org.eskiz.server.comparison.ComparisonResponse;
import org.eskiz.server.document.AssessmentSpec;
import org.eskiz.server.document.RequirementSpec;
import org.jspecify.annotations.Nullable;

/**
 * A plan with the cable that lies in its run: what its sheet draws.
 *
 * @param standing how it came to lie there; null where another row was asked for
 * @param row what the ledger says of it
 * @param assessment the run with it
 * @param bands one each; null where it loses more than can be assessed
 * @param requirements what the plan asks, which the reasons of the row point at
 */
record CableInRunResponse(
        UUID planId,
        long version,
        String site,
        String name,
        @Nullable CableStanding standing,
        ComparisonResponse.RowResponse row,
        AssessmentSpec assessment,
        List<AssessmentResponse.@Nullable BandResponse> bands,
        List<RequirementSpec> requirements) {}
