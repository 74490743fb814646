package org.eskiz.server.bench;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.eskiz.core.bench.Window;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;

/**
 * A look along a line, from a sweep of one end.
 *
 * @param fileId the sweep; of one of two ports its near end is taken
 * @param window Kaiser's where not said
 * @param cableKey type of the line, for its velocity factor and what the way takes; null where not known
 * @param velocityFactor stands above that of the type; one of the two must be there
 * @param lengthM where the line ends; null where not known
 * @param jointsM distances of joints in it
 */
record DistanceRequest(
        @NotNull(message = "must be given") UUID fileId,
        Window window,
        @PlainText(max = 120) String cableKey,

        @Within(what = "velocity factor", min = 0.3, max = 1)
        Double velocityFactor,

        @Within(what = "length in m", min = 0.01, max = 10_000)
        Double lengthM,

        @Size(max = 64, message = "must be at most {max} joints")
        List<
                        @NotNull(message = "must be a distance, not null")
                        @Within(what = "distance in m", min = 0, max = 10_000) Double>
                jointsM) {}
