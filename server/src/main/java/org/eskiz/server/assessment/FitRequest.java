package org.eskiz.server.assessment;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.eskiz.server.document.CableSpec;

/** Rows of a data sheet. */
record FitRequest(
        @NotNull(message = "must be given") @Size(min = 1, max = 200, message = "must be 1 to 200 points")
        List<CableSpec.@Valid @NotNull(message = "must be a point, not null") PointRequest> points) {}
