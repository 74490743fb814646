package org.eskiz.core.unit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.hipparchus.linear.Array2DRowRealMatrix;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.QRDecomposition;
import org.hipparchus.linear.RealVector;

/**
 * Least squares with coefficients that cannot be negative (Solving Least Squares Problems, SIAM, 1995, chapter 23). The terms are few, so every choice of them is solved freely, by QR, and the best one without a negative coefficient
 * taken: the optimum, with nothing to converge.
 *
 * @param coefficients one for each term, at least 0
 * @param residuals what the terms miss of each value: value less fit
 */
public record NonNegativeFit(List<Double> coefficients, List<Double> residuals) {

    /** Singular values this far below the largest say that two terms are the same thing. */
    private static final double SINGULAR = 1e-9;

    /** Root mean square that nobody can tell from nothing. */
    private static final double HARDLY = 1e-9;

    public NonNegativeFit {
        coefficients = List.copyOf(coefficients);
        residuals = List.copyOf(residuals);
    }

    /**
     * Fits values by terms.
     *
     * @param terms for each term its values; some may be sums of others
     * @param explained root mean square of the residuals that the values' own uncertainty explains: among the choices whose
     *     residuals exceed the least ones by no more than that, the one with the fewest terms is taken
     */
    public static NonNegativeFit of(List<double[]> terms, double[] values, double explained) {
        List<NonNegativeFit> feasible = IntStream.range(0, 1 << terms.size())
                .mapToObj(chosen -> solved(terms, values, chosen))
                .flatMap(Optional::stream)
                .toList();
        double least =
                feasible.stream().mapToDouble(NonNegativeFit::meanSquare).min().orElseThrow();
        double enough = least + explained * explained + HARDLY * HARDLY;
        return feasible.stream()
                .filter(f -> f.meanSquare() <= enough)
                .min(Comparator.comparingLong(NonNegativeFit::size).thenComparingDouble(NonNegativeFit::meanSquare))
                .orElseThrow();
    }

    public double rootMeanSquare() {
        return Math.sqrt(meanSquare());
    }

    private double meanSquare() {
        return residuals.stream().mapToDouble(r -> r * r).average().orElse(0);
    }

    private long size() {
        return coefficients.stream().filter(c -> c > 0).count();
    }

    private static Optional<NonNegativeFit> solved(List<double[]> terms, double[] values, int chosen) {
        List<Integer> which = IntStream.range(0, terms.size())
                .filter(i -> (chosen >> i & 1) == 1)
                .boxed()
                .toList();
        double[] k = new double[terms.size()];
        if (!which.isEmpty()) {
            if (which.size() > values.length) {
                return Optional.empty();
            }
            var matrix = new Array2DRowRealMatrix(values.length, which.size());
            double[] scale = new double[which.size()];
            for (int c = 0; c < which.size(); c++) {
                RealVector column = new ArrayRealVector(terms.get(which.get(c)));
                scale[c] = column.getNorm();
                if (!(scale[c] > 0)) {
                    return Optional.empty();
                }
                matrix.setColumnVector(c, column.mapDivide(scale[c]));
            }
            var solver = new QRDecomposition(matrix, SINGULAR).getSolver();
            if (!solver.isNonSingular()) {
                return Optional.empty();
            }
            RealVector solution = solver.solve(new ArrayRealVector(values));
            for (int c = 0; c < which.size(); c++) {
                double value = solution.getEntry(c) / scale[c];
                if (!(value >= 0)) {
                    return Optional.empty();
                }
                k[which.get(c)] = value;
            }
        }
        List<Double> residuals = new ArrayList<>();
        for (int i = 0; i < values.length; i++) {
            double fitted = 0;
            for (int t = 0; t < k.length; t++) {
                fitted += k[t] * terms.get(t)[i];
            }
            residuals.add(values[i] - fitted);
        }
        return Optional.of(new NonNegativeFit(Arrays.stream(k).boxed().toList(), residuals));
    }
}
