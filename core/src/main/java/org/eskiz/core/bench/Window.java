package org.eskiz.core.bench;

import java.util.stream.IntStream;
import org.eskiz.core.unit.Decibels;

/** What weights the sweep, so that a strong reflection does not hide a weak one beside it. */
public enum Window {
    /** Kaiser's, β = 6. */
    KAISER(2, -44),
    HANN(2, -31),
    /** The finest resolution, and the largest ripple beside a peak. */
    NONE(1.3, -13);

    private static final double BETA = 6;
    private static final double FAR_LOBE_DB = -34;

    final double widening;
    private final double sideLobeDb;

    Window(double widening, double sideLobeDb) {
        this.widening = widening;
        this.sideLobeDb = sideLobeDb;
    }

    /**
     * The highest ripple that it leaves beside a peak, dB under it. Without a window it falls with distance, though not
     * for ever, since the loss of a line over frequency is a window too; with one it is low enough everywhere.
     *
     * @param cells distance from the peak, in the finest resolution there is
     */
    double sideLobeDb(double cells) {
        return this == NONE ? Math.max(FAR_LOBE_DB, -Decibels.ofAmplitude(Math.PI * Math.max(1, cells))) : sideLobeDb;
    }

    double[] weights(int n) {
        return IntStream.range(0, n)
                .mapToDouble(i -> weight(2.0 * i / (n - 1) - 1))
                .toArray();
    }

    private double weight(double x) {
        return switch (this) {
            case KAISER -> bessel(BETA * Math.sqrt(Math.max(0, 1 - x * x))) / bessel(BETA);
            case HANN -> (1 + Math.cos(Math.PI * x)) / 2;
            case NONE -> 1;
        };
    }

    /** I0 by its power series, which settles quickly below ten. */
    private static double bessel(double x) {
        double term = 1;
        double sum = 1;
        for (int k = 1; term > 1e-16 * sum; k++) {
            term *= x * x / (4.0 * k * k);
            sum += term;
        }
        return sum;
    }
}
