package org.eskiz.server.document;

import jakarta.validation.constraints.NotNull;
import org.eskiz.server.problem.Within;

/**
 * A short length of another impedance in a joint.
 *
 * @param lengthMm as light travels, at a velocity factor of 1
 */
public record BumpSpec(
        @NotNull(message = "must be given") @Within(what = Ranges.IMPEDANCE, min = 1, max = 2000)
        Double impedanceOhm,

        @NotNull(message = "must be given") @Within(what = "length of the bump in mm", min = 0, max = 1000)
        Double lengthMm) {}
