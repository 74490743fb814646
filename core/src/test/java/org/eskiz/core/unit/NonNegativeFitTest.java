package org.eskiz.core.unit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.IntStream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import net.jqwik.api.constraints.Size;
import org.junit.jupiter.api.Test;

class NonNegativeFitTest {

    private static final double[] X = {1, 2, 3, 4, 5};
    private static final double[] ONES = {1, 1, 1, 1, 1};

    @Test
    void aLineIsFoundExactly() {
        double[] values = {3, 5, 7, 9, 11};
        NonNegativeFit fit = NonNegativeFit.of(List.of(ONES, X), values, 0);
        assertThat(fit.coefficients().get(0)).isCloseTo(1, within(1e-9));
        assertThat(fit.coefficients().get(1)).isCloseTo(2, within(1e-9));
        assertThat(fit.rootMeanSquare()).isCloseTo(0, within(1e-9));
    }

    /** The free line through it would start below zero; the best that does not is through the origin: Σxy/Σx² = 50/55. */
    @Test
    void whatWouldBeNegativeIsLeftOut() {
        double[] values = {0, 1, 2, 4, 5.4};
        NonNegativeFit fit = NonNegativeFit.of(List.of(ONES, X), values, 0);
        assertThat(fit.coefficients().get(0)).isZero();
        assertThat(fit.coefficients().get(1)).isCloseTo((0 + 2 + 6 + 16 + 27) / 55.0, within(1e-12));
    }

    @Test
    void nothingFitsBetterThanNothingWhereAllIsNegative() {
        NonNegativeFit fit = NonNegativeFit.of(List.of(ONES, X), new double[] {-1, -2, -3, -4, -5}, 0);
        assertThat(fit.coefficients()).containsExactly(0.0, 0.0);
        assertThat(fit.residuals()).containsExactly(-1.0, -2.0, -3.0, -4.0, -5.0);
    }

    @Test
    void fewerTermsAreTakenWhereTheReadingsCannotTellThemApart() {
        double[] nearlyFlat = {1.00, 1.01, 1.02, 1.03, 1.04};
        assertThat(NonNegativeFit.of(List.of(ONES, X), nearlyFlat, 0.05)
                        .coefficients()
                        .get(1))
                .isZero();
        assertThat(NonNegativeFit.of(List.of(ONES, X), nearlyFlat, 0)
                        .coefficients()
                        .get(1))
                .isCloseTo(0.01, within(1e-9));
    }

    @Test
    void termsThatAreTheSameThingAreCountedOnce() {
        double[] twice = {2, 4, 6, 8, 10};
        NonNegativeFit fit = NonNegativeFit.of(List.of(X, twice), new double[] {3, 6, 9, 12, 15}, 0);
        assertThat(fit.rootMeanSquare()).isCloseTo(0, within(1e-9));
        assertThat(fit.coefficients().get(0) + 2 * fit.coefficients().get(1)).isCloseTo(3, within(1e-9));
    }

    @Test
    void aTermOfNothingTakesNoPart() {
        NonNegativeFit fit = NonNegativeFit.of(List.of(new double[5], X), new double[] {1, 2, 3, 4, 5}, 0);
        assertThat(fit.coefficients()).containsExactly(0.0, 1.0);
    }

    @Property
    void noCoefficientIsNegativeAndNoChangeOfOneIsBetter(
            @ForAll @Size(5) List<@DoubleRange(min = -10, max = 10) Double> values,
            @ForAll @DoubleRange(min = -0.5, max = 0.5) double first,
            @ForAll @DoubleRange(min = -0.5, max = 0.5) double second) {
        double[] v = values.stream().mapToDouble(d -> d).toArray();
        NonNegativeFit fit = NonNegativeFit.of(List.of(ONES, X), v, 0);
        double a = fit.coefficients().get(0);
        double b = fit.coefficients().get(1);
        assertThat(a).isNotNegative();
        assertThat(b).isNotNegative();
        double other = meanSquare(v, Math.max(0, a + first), Math.max(0, b + second));
        assertThat(meanSquare(v, a, b)).isLessThanOrEqualTo(other + 1e-9);
    }

    private static double meanSquare(double[] values, double a, double b) {
        return IntStream.range(0, values.length)
                .mapToDouble(i -> Math.pow(values[i] - a - b * X[i], 2))
                .average()
                .orElseThrow();
    }
}
