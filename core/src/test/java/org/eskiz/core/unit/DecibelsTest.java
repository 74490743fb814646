package org.eskiz.core.unit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DecibelsTest {

    @ParameterizedTest
    @CsvSource({"1, 0", "2, 3.0103", "10, 10", "0.5, -3.0103", "1000, 30"})
    void aRatioOfPowersIsTenTimesItsLogarithm(double ratio, double db) {
        assertThat(Decibels.ofPower(ratio)).isCloseTo(db, within(1e-4));
        assertThat(Decibels.ofAmplitude(ratio)).isCloseTo(2 * db, within(2e-4));
    }

    @Test
    void aNeperIsAlmostNineDecibels() {
        assertThat(Decibels.PER_NEPER).isCloseTo(8.685889638, within(1e-9));
        assertThat(Decibels.PER_100_M).isCloseTo(868.5889638, within(1e-7));
        assertThat(Decibels.ofAmplitude(Math.E)).isCloseTo(Decibels.PER_NEPER, within(1e-12));
    }

    @Test
    void nothingThatComesOutIsALossWithoutEnd() {
        assertThat(Decibels.lossBetween(100, 0)).isInfinite().isPositive();
        assertThat(Decibels.fractionLeft(Double.POSITIVE_INFINITY)).isZero();
    }

    @Property
    void whatIsLeftAndWhatIsLostAreOneThing(@ForAll @DoubleRange(min = -40, max = 200) double lossDb) {
        assertThat(Decibels.lossBetween(1, Decibels.fractionLeft(lossDb))).isCloseTo(lossDb, within(1e-9));
    }

    @Property
    void lossesInARowAddUp(
            @ForAll @DoubleRange(min = 0, max = 60) double one, @ForAll @DoubleRange(min = 0, max = 60) double other) {
        double both = Decibels.fractionLeft(one) * Decibels.fractionLeft(other);
        assertThat(Decibels.fractionLeft(one + other)).isCloseTo(both, within(both * 1e-9));
    }

    @Test
    void halfThePowerIsNotHalfTheRange() {
        assertThat(Decibels.rangeLeft(0)).isEqualTo(1);
        assertThat(Decibels.rangeLeft(10 * Math.log10(2))).isCloseTo(Math.sqrt(0.5), within(1e-12));
        assertThat(Decibels.rangeLeft(20 * Math.log10(2))).isCloseTo(0.5, within(1e-12));
    }
}
