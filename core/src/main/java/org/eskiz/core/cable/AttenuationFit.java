package org.eskiz.core.cable;

import java.util.List;
import java.util.stream.DoubleStream;
import org.eskiz.core.unit.NonNegativeFit;

/**
 * The {@link Attenuation} nearest to a data sheet, and how near it comes.
 *
 * <p>Least squares of the relative errors {@code (A(f_i) − a_i)/a_i}: a sheet's rows span two decades of dB, and a tenth
 * of a dB matters at 1 MHz while it is nothing at 1 GHz. Neither coefficient may be negative; with fewer than two distinct
 * frequencies the square-root law stands alone.
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
        Attenuation law = best(points);
        return new AttenuationFit(law, residuals(law, points));
    }

    /** The largest of the residuals by magnitude, at least 0. */
    public double worstRelativeResidual() {
        return relativeResiduals.stream().mapToDouble(Math::abs).max().orElse(0);
    }

    /** The square-root law where all rows are of one frequency: nothing then parts conductor and dielectric. */
    private static Attenuation best(List<AttenuationPoint> points) {
        double[] root = points.stream().mapToDouble(AttenuationFit::rootTerm).toArray();
        double[] linear =
                points.stream().mapToDouble(AttenuationFit::linearTerm).toArray();
        boolean isOneFrequency = points.stream()
                        .mapToDouble(AttenuationPoint::frequencyMHz)
                        .distinct()
                        .count()
                < 2;
        double[] ones = DoubleStream.generate(() -> 1).limit(points.size()).toArray();
        List<Double> k = NonNegativeFit.of(isOneFrequency ? List.of(root) : List.of(root, linear), ones, 0)
                .coefficients();
        return new Attenuation(k.get(0), isOneFrequency ? 0 : k.get(1));
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
}
