package org.eskiz.server.catalogue;

import jakarta.persistence.Embeddable;
import jakarta.validation.constraints.NotNull;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;
import org.jspecify.annotations.Nullable;

/**
 * How a type is made, and what that makes of it for a wave; null where it is not known.
 *
 * @param copperCladSteel whether its centre is of copper-clad steel, or may be: it loses more than the law says below 20 MHz
 * @param followsPoints the school of its figures: whether the rows of its sheet are followed where they are, instead of the law
 *     that is fitted to them
 * @param wetTimes of a balanced line: how many times as much it loses when it is wet
 */
@Embeddable
public record Construction(
        @NotNull(message = "must be given") @Within(what = "impedance in Ω", min = 1, max = 2000)
        Double impedanceOhm,

        @NotNull(message = "must be given") @Within(what = "velocity factor", min = 0.3, max = 1)
        Double velocityFactor,

        Boolean balanced,
        @Nullable @PlainText(max = 60) String jacket,
        @Nullable @PlainText(max = 60) String centreConductor,
        @Nullable @PlainText(max = 60) String shield,
        @Nullable @PlainText(max = 60) String dielectric,

        @Nullable @Within(what = "bore of the shield in mm", min = 0.1, max = 1000)
        Double shieldBoreMm,

        Boolean copperCladSteel,
        Boolean followsPoints,

        @Nullable @Within(what = "times the loss when wet", min = 1, max = 100)
        Double wetTimes) {

    /** Of which nothing is known. */
    public static final Construction UNKNOWN =
            new Construction(null, null, null, null, null, null, null, null, null, null, null);

    /** It is coaxial, of copper and as the law says unless somebody says otherwise. */
    public Construction {
        balanced = Boolean.TRUE.equals(balanced);
        copperCladSteel = Boolean.TRUE.equals(copperCladSteel);
        followsPoints = Boolean.TRUE.equals(followsPoints);
    }

    /** The same with the impedance and velocity factor of one that was measured. */
    public Construction measuredAs(Double ohm, Double factor) {
        return new Construction(
                ohm,
                factor,
                balanced,
                jacket,
                centreConductor,
                shield,
                dielectric,
                shieldBoreMm,
                copperCladSteel,
                followsPoints,
                wetTimes);
    }
}
