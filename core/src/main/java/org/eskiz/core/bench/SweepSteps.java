package org.eskiz.core.bench;

import java.util.Locale;
import org.eskiz.core.unit.Physics;

/** How long a line the steps of a sweep can follow. */
public final class SweepSteps {

    private SweepSteps() {}

    /**
     * The longest line that steps of a sweep can follow: with longer ones the phase turns too far between two points.
     *
     * <p>The phase may turn by half a circle at most from one point to the next: through a line {@code 2π·Δf·l/(vf·c) ≤ π},
     * and from one end, where the wave goes there and back, half of that.
     */
    public static double longestLengthM(Sweep sweep, double velocityFactor) {
        int turns = sweep instanceof Sweep.TwoPort ? 2 : 4;
        return velocityFactor * Physics.SPEED_OF_LIGHT / (turns * sweep.largestStepMHz() * 1e6);
    }

    /**
     * Refuses a sweep whose steps are too coarse for a line.
     *
     * @throws SweepException with the step there is and the step it takes
     */
    public static void requireFineEnough(Sweep sweep, double lengthM, double velocityFactor) {
        double longestM = longestLengthM(sweep, velocityFactor);
        if (lengthM > longestM) {
            throw new SweepException(String.format(
                    Locale.ROOT,
                    "the steps of %.4g MHz are too coarse for %.4g m: they can follow %.4g m; take steps of at most %.3g MHz",
                    sweep.largestStepMHz(),
                    lengthM,
                    longestM,
                    sweep.largestStepMHz() * longestM / lengthM));
        }
    }
}
