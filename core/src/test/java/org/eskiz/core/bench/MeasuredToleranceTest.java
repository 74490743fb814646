package org.eskiz.core.bench;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;

class MeasuredToleranceTest {

    @Test
    void isThatOfTheMiddleReading() {
        assertThat(MeasuredTolerance.of(new double[] {0.02, 0.3, 0.04})).hasValue(0.04);
    }

    @Test
    void isNeverNothingAndNeverEverything() {
        assertThat(MeasuredTolerance.of(new double[] {1e-9})).hasValue(0.001);
        assertThat(MeasuredTolerance.of(new double[] {5})).hasValue(0.9);
    }

    @Test
    void isNotKnownFromReadingsThatSayNothing() {
        assertThat(MeasuredTolerance.of(new double[] {Double.NaN, Double.POSITIVE_INFINITY, 0}))
                .isEmpty();
    }
}
