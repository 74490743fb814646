package org.eskiz.server.catalogue;

import jakarta.persistence.Embeddable;
import jakarta.validation.constraints.NotNull;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;
import org.jspecify.annotations.Nullable;

/** How a type is made, and what that makes of it for a wave; null where it is not known. */
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
        @Nullable @PlainText(max = 60) String dielectric) {

    /** Of which nothing is known. */
    public static final Construction UNKNOWN = new Construction(null, null, null, null, null, null, null);

    /** It is coaxial unless somebody says otherwise. */
    public Construction {
        balanced = Boolean.TRUE.equals(balanced);
    }

    /** The same with the impedance and velocity factor of one that was measured. */
    public Construction measuredAs(Double ohm, Double factor) {
        return new Construction(ohm, factor, balanced, jacket, centreConductor, shield, dielectric);
    }
}
