package org.eskiz.core.run;

import java.util.List;
import org.apache.commons.numbers.complex.Complex;
import org.eskiz.core.unit.Decibels;
import org.eskiz.core.unit.Require;

/**
 * Scattering of a passive two-port over frequency, radio side first; between its points a straight line in the plane of each.
 *
 * @param referenceOhm in which it was measured
 * @param points at least one, frequency rising
 */
public record ScatteringTable(double referenceOhm, List<Point> points) {

    /** The same both ways: what comes through is taken as the mean of the two. More of a difference is no passive part. */
    private static final double MOST_ONE_WAY = 0.1;

    /** More than comes in does not come out, but for what an analyser may be off. */
    private static final double MOST_OF_POWER = 1.05;

    private static final double NEARLY_ALL = 1 - 1e-9;

    public ScatteringTable {
        Require.positive("reference in ohm", referenceOhm);
        points = List.copyOf(points);
        if (points.isEmpty()) {
            throw new IllegalArgumentException("a measured two-port needs at least one point, not 0");
        }
        for (int i = 1; i < points.size(); i++) {
            if (points.get(i).frequencyMHz <= points.get(i - 1).frequencyMHz) {
                throw new IllegalArgumentException("the frequencies of a measured two-port must rise");
            }
        }
    }

    /**
     * At one frequency.
     *
     * @param s11 reflection on the radio side
     * @param through both ways
     * @param s22 reflection on the antenna side
     */
    public record Point(double frequencyMHz, Complex s11, Complex through, Complex s22) {

        /**
         * Of a measurement both ways.
         *
         * @throws IllegalArgumentException for what a passive part that is the same both ways cannot show
         */
        public static Point of(double frequencyMHz, Complex s11, Complex s21, Complex s12, Complex s22) {
            if (s21.subtract(s12).abs() > MOST_ONE_WAY * Math.max(s21.abs(), s12.abs()) + MOST_ONE_WAY / 10) {
                throw new IllegalArgumentException(
                        "at %s MHz it passes another share one way than the other: an amplifier or a circulator is no passive part"
                                .formatted(frequencyMHz));
            }
            if (s11.norm() + s21.norm() > MOST_OF_POWER || s22.norm() + s12.norm() > MOST_OF_POWER) {
                throw new IllegalArgumentException(
                        "at %s MHz more comes out of it than went in: it is no passive part".formatted(frequencyMHz));
            }
            Complex through = s21.add(s12).divide(2);
            if (through.norm() == 0) {
                throw new IllegalArgumentException("at %s MHz nothing passes it".formatted(frequencyMHz));
            }
            return new Point(frequencyMHz, s11, through, s22);
        }
    }

    /** Whether a frequency lies beyond its ends, where the end stands in. */
    boolean isExtrapolatedAt(double frequencyMHz) {
        return frequencyMHz < points.get(0).frequencyMHz || frequencyMHz > points.get(points.size() - 1).frequencyMHz;
    }

    /** Between two terminations of its reference, dB: −20·log10|S21|; never below 0. */
    public double insertionLossDb(double frequencyMHz) {
        return Math.max(0, -Decibels.ofPower(at(frequencyMHz).through.norm()));
    }

    /** Its matrix (Microwave Engineering, 4th edition, table 4.2). */
    TwoPort twoPort(double frequencyMHz) {
        Point s = at(frequencyMHz);
        Complex both = s.through.multiply(s.through);
        Complex twice = s.through.multiply(2);
        Complex in = Complex.ONE.add(s.s11);
        Complex out = Complex.ONE.add(s.s22);
        Complex notIn = Complex.ONE.subtract(s.s11);
        Complex notOut = Complex.ONE.subtract(s.s22);
        return new TwoPort(
                in.multiply(notOut).add(both).divide(twice),
                in.multiply(out).subtract(both).multiply(referenceOhm).divide(twice),
                notIn.multiply(notOut).subtract(both).divide(twice.multiply(referenceOhm)),
                notIn.multiply(out).add(both).divide(twice));
    }

    /**
     * The greatest SWR on its radio side, in its reference, for an SWR behind it of any angle: {@code |Γ| ≤ |S11| +
     * |S21|²·|Γ_L|/(1 − |S22|·|Γ_L|)}.
     */
    double greatestSwr(double frequencyMHz, double swrBehind) {
        Point s = at(frequencyMHz);
        double behind = Double.isInfinite(swrBehind) ? 1 : StandingWave.reflectionOf(swrBehind);
        double back = s.through.norm() * behind / (1 - Math.min(s.s22.abs(), NEARLY_ALL) * behind);
        return StandingWave.swrOf(Math.min(NEARLY_ALL, s.s11.abs() + back));
    }

    private Point at(double frequencyMHz) {
        int above = 0;
        while (above < points.size() && points.get(above).frequencyMHz < frequencyMHz) {
            above++;
        }
        if (above == 0 || above == points.size()) {
            return points.get(Math.min(above, points.size() - 1));
        }
        Point low = points.get(above - 1);
        Point high = points.get(above);
        double way = (frequencyMHz - low.frequencyMHz) / (high.frequencyMHz - low.frequencyMHz);
        return new Point(
                frequencyMHz,
                between(low.s11, high.s11, way),
                between(low.through, high.through, way),
                between(low.s22, high.s22, way));
    }

    private static Complex between(Complex low, Complex high, double way) {
        return low.add(high.subtract(low).multiply(way));
    }
}
