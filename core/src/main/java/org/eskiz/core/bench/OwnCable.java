package org.eskiz.core.bench;

import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.unit.NonNegativeFit;
import org.eskiz.core.unit.Require;

/**
 * A cable type made of a measurement: the losses fitted as {@code b + (k1·√f + k2·f)·l/100}, none of the three negative.
 *
 * @param attenuation k1 and k2 per 100 m at 20 °C
 * @param jointsDb b: what does not depend on frequency, and so is in the joints
 * @param residualsDb measured less fitted, in the order of the points
 */
public record OwnCable(Attenuation attenuation, double jointsDb, List<Double> residualsDb) {

    private static final int FEWEST_FREQUENCIES = 3;

    public OwnCable {
        residualsDb = List.copyOf(residualsDb);
    }

    /**
     * Fits.
     *
     * @param points of three frequencies at least
     * @param lengthM of the piece
     * @param temperatureC of the test; the conductor's part is brought to that of a data sheet
     * @param withJoints whether what does not depend on frequency may be in its joints; else all of it is in the cable
     * @throws IllegalArgumentException when there are too few frequencies to part the three
     */
    public static OwnCable of(List<LossPoint> points, double lengthM, double temperatureC, boolean withJoints) {
        Require.positive("length in m", lengthM);
        if (!isEnough(points)) {
            throw new IllegalArgumentException(String.format(
                    Locale.ROOT,
                    "%d frequencies; at least %d are needed to part conductor, dielectric and joints",
                    frequencies(points),
                    FEWEST_FREQUENCIES));
        }
        double warmth = new Attenuation(1, 0).conductorDbPer100m(1, temperatureC);
        double[] f = points.stream().mapToDouble(LossPoint::frequencyMHz).toArray();
        double[] loss = points.stream().mapToDouble(LossPoint::lossDb).toArray();
        NonNegativeFit fit = NonNegativeFit.of(
                List.of(
                        Arrays.stream(f).map(x -> withJoints ? 1 : 0).toArray(),
                        Arrays.stream(f)
                                .map(x -> Math.sqrt(x) * warmth * lengthM / 100)
                                .toArray(),
                        Arrays.stream(f).map(x -> x * lengthM / 100).toArray()),
                loss,
                0);
        List<Double> k = fit.coefficients();
        return new OwnCable(new Attenuation(k.get(1), k.get(2)), k.get(0), fit.residuals());
    }

    /** Whether losses are of enough frequencies to part conductor, dielectric and joints. */
    public static boolean isEnough(List<LossPoint> points) {
        return frequencies(points) >= FEWEST_FREQUENCIES;
    }

    private static long frequencies(List<LossPoint> points) {
        return points.stream().mapToDouble(LossPoint::frequencyMHz).distinct().count();
    }

    /** What its data sheet would say, dB per 100 m. */
    public double sheetDbPer100m(double frequencyMHz) {
        return attenuation.dbPer100m(frequencyMHz, Attenuation.SHEET_TEMPERATURE_C);
    }

    /** The largest of the residuals by magnitude, dB. */
    public double worstResidualDb() {
        return residualsDb.stream().mapToDouble(Math::abs).max().orElse(0);
    }
}
