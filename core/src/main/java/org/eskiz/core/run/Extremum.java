package org.eskiz.core.run;

import java.util.function.DoubleUnaryOperator;

/**
 * The greatest value of a figure along a line.
 *
 * <p>|V|², |I|² and heat along a line are each a sum of two exponentials, which is convex, and a cosine of half a
 * wavelength's period. Whatever the value at one place, a period further on, or a period back, the cosine is the same and
 * the exponentials are no less; so the greatest lies within half a wavelength of one end.
 *
 * @param at where, in the figure's own coordinate
 * @param value how much
 */
record Extremum(double at, double value) {

    private static final int SAMPLES_PER_PERIOD = 48;

    /** Ratio of the golden section. */
    private static final double GOLDEN = (Math.sqrt(5) - 1) / 2;

    private static final double RELATIVE_PLACE = 1e-7;

    static Extremum greatest(DoubleUnaryOperator figure, double length, double period) {
        if (length <= 2 * period) {
            return within(figure, 0, length);
        }
        Extremum near = within(figure, 0, period);
        Extremum far = within(figure, length - period, length);
        return far.value > near.value ? far : near;
    }

    private static Extremum within(DoubleUnaryOperator figure, double from, double to) {
        int samples = 2 * SAMPLES_PER_PERIOD;
        double step = (to - from) / samples;
        Extremum best = at(figure, from);
        for (int i = 1; i <= samples; i++) {
            Extremum next = at(figure, from + i * step);
            best = next.value > best.value ? next : best;
        }
        Extremum refined = refine(figure, Math.max(from, best.at - step), Math.min(to, best.at + step));
        return refined.value > best.value ? refined : best;
    }

    /** Golden section search, where the figure has one hump. */
    private static Extremum refine(DoubleUnaryOperator figure, double from, double to) {
        double a = from;
        double b = to;
        Extremum left = at(figure, b - GOLDEN * (b - a));
        Extremum right = at(figure, a + GOLDEN * (b - a));
        while (b - a > RELATIVE_PLACE * Math.max(to, 1e-9)) {
            if (left.value > right.value) {
                b = right.at;
                right = left;
                left = at(figure, b - GOLDEN * (b - a));
            } else {
                a = left.at;
                left = right;
                right = at(figure, a + GOLDEN * (b - a));
            }
        }
        return left.value > right.value ? left : right;
    }

    private static Extremum at(DoubleUnaryOperator figure, double place) {
        return new Extremum(place, figure.applyAsDouble(place));
    }
}
