package org.eskiz.core.cable;

import java.util.List;
import java.util.function.ToDoubleFunction;

/**
 * The {@link Attenuation} nearest to a data sheet, and how near it comes.
 *
 * <p>Least squares of the relative errors {@code (A(f_i) − a_i)/a_i}: a sheet's rows span two decades of dB, and a tenth
 * of a dB matters at 1 MHz while it is nothing at 1 GHz. If the free optimum has a negative coefficient, the better of
 * the two one-term fits is taken; with fewer than two distinct frequencies the square-root law alone.
 *
 * @param attenuation the fitted law
 * @param relativeResiduals {@code (A(f_i) − a_i)/a_i} in the order of the points; positive where the law says more loss
 */
public record AttenuationFit(Attenuation attenuation, List<Double> relativeResiduals) {

    public AttenuationFit {
        relativeResiduals = List.copyOf(relativeResiduals);
    }

    /**
     * Fits one or more data-sheet points.
     *
     * @throws IllegalArgumentException when there is no point
     */
    public static AttenuationFit of(List<AttenuationPoint> points) {
        if (points.isEmpty()) {
            throw new IllegalArgumentException("a fit needs at least one data-sheet point, not 0");
        }
        return judged(best(points), points);
    }

    private static AttenuationFit judged(Attenuation law, List<AttenuationPoint> points) {
        return new AttenuationFit(law, residuals(law, points));
    }

    /** The largest of the residuals by magnitude, at least 0. */
    public double worstRelativeResidual() {
        return relativeResiduals.stream().mapToDouble(Math::abs).max().orElse(0);
    }

    private double squaredError() {
        return relativeResiduals.stream().mapToDouble(r -> r * r).sum();
    }

    private static Attenuation best(List<AttenuationPoint> points) {
        if (points.stream()
                        .mapToDouble(AttenuationPoint::frequencyMHz)
                        .distinct()
                        .count()
                < 2) {
            return conductorOnly(points);
        }
        double[] free = bothTerms(points);
        return free[0] >= 0 && free[1] >= 0 ? new Attenuation(free[0], free[1]) : betterOneTerm(points);
    }

    private static Attenuation betterOneTerm(List<AttenuationPoint> points) {
        var conductor = judged(conductorOnly(points), points);
        var dielectric = judged(dielectricOnly(points), points);
        return conductor.squaredError() <= dielectric.squaredError() ? conductor.attenuation : dielectric.attenuation;
    }

    private static Attenuation conductorOnly(List<AttenuationPoint> points) {
        return new Attenuation(oneTerm(points, AttenuationFit::rootTerm), 0);
    }

    private static Attenuation dielectricOnly(List<AttenuationPoint> points) {
        return new Attenuation(0, oneTerm(points, AttenuationFit::linearTerm));
    }

    /** Least squares of k·x = 1. */
    private static double oneTerm(List<AttenuationPoint> points, ToDoubleFunction<AttenuationPoint> x) {
        double sum = points.stream().mapToDouble(x).sum();
        double squares = points.stream().mapToDouble(x).map(v -> v * v).sum();
        return sum / squares;
    }

    /**
     * Least squares of k1·x + k2·y = 1, by making y orthogonal to x first: the normal equations themselves would lose
     * half of the digits when all rows lie close together.
     */
    private static double[] bothTerms(List<AttenuationPoint> points) {
        double[] x = points.stream().mapToDouble(AttenuationFit::rootTerm).toArray();
        double[] y = points.stream().mapToDouble(AttenuationFit::linearTerm).toArray();
        double slant = dot(x, y) / dot(x, x);
        double[] upright = new double[y.length];
        for (int i = 0; i < y.length; i++) {
            upright[i] = y[i] - slant * x[i];
        }
        double k2 = sum(upright) / dot(upright, upright);
        double k1 = sum(x) / dot(x, x) - k2 * slant;
        return new double[] {k1, k2};
    }

    private static double rootTerm(AttenuationPoint p) {
        return Math.sqrt(p.frequencyMHz()) / p.attenuationDbPer100m();
    }

    private static double linearTerm(AttenuationPoint p) {
        return p.frequencyMHz() / p.attenuationDbPer100m();
    }

    private static List<Double> residuals(Attenuation law, List<AttenuationPoint> points) {
        return points.stream().map(p -> residual(law, p)).toList();
    }

    private static double residual(Attenuation law, AttenuationPoint p) {
        double fitted = law.dbPer100m(p.frequencyMHz(), Attenuation.SHEET_TEMPERATURE_C);
        return (fitted - p.attenuationDbPer100m()) / p.attenuationDbPer100m();
    }

    private static double dot(double[] a, double[] b) {
        double total = 0;
        for (int i = 0; i < a.length; i++) {
            total += a[i] * b[i];
        }
        return total;
    }

    private static double sum(double[] a) {
        double total = 0;
        for (double v : a) {
            total += v;
        }
        return total;
    }
}
