package org.eskiz.core.run;

import java.util.Locale;

/** No passive antenna at the end of this run could make its radio end show the SWR that was read. */
public final class ImpossibleReadingException extends IllegalArgumentException {

    private final double leastSwr;
    private final double greatestSwr;

    ImpossibleReadingException(double swr, double leastSwr, double greatestSwr) {
        super(String.format(
                Locale.ROOT,
                "an SWR of %s cannot be read at the radio: whatever the antenna, this run shows between %.3f and %s there",
                Double.toString(swr),
                leastSwr,
                Double.isInfinite(greatestSwr)
                        ? "any SWR however high"
                        : String.format(Locale.ROOT, "%.3f", greatestSwr)));
        this.leastSwr = leastSwr;
        this.greatestSwr = greatestSwr;
    }

    /** Lowest SWR the radio end of this run can show. */
    public double leastSwr() {
        return leastSwr;
    }

    /** Highest SWR the radio end of this run can show; positive infinity for a run without loss. */
    public double greatestSwr() {
        return greatestSwr;
    }
}
