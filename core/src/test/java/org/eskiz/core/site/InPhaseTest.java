package org.eskiz.core.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.junit.jupiter.api.Test;

class InPhaseTest {

    private static InPhase.Line line(double lengthM, double velocityFactor) {
        return new InPhase.Line(lengthM, velocityFactor, 0.01, 0.02);
    }

    /** A wave of 150 MHz is 1.99862 m long in space, and 1.69883 m on a line of 0.85: a metre of it is 211.91 degrees. */
    @Test
    void aMetreMoreIsSoManyDegrees() {
        var pair = new InPhase(150, line(11, 0.85), line(10, 0.85));
        assertThat(pair.differenceDegrees()).isCloseTo(211.911, within(1e-3));
        assertThat(pair.errorDegrees(0)).isCloseTo(211.911 - 360, within(1e-3));
    }

    @Test
    void fromOneReelTheVelocityFactorIsOffInBoth() {
        var pair = new InPhase(145, line(10, 0.85), line(10, 0.85));
        // two cuts of 1 cm each: √2 · 1 cm / 0.85 of 2.0675 m
        assertThat(pair.toleranceDegrees(true)).isCloseTo(360 * Math.sqrt(2) * 0.01 / 0.85 / 2.06753, within(1e-3));
        assertThat(pair.toleranceDegrees(false)).isGreaterThan(40);
    }

    @Property
    void theSecondLineCutToItsLengthIsRight(
            @ForAll @DoubleRange(min = 2, max = 60) double firstM,
            @ForAll @DoubleRange(min = 2, max = 60) double secondM,
            @ForAll @DoubleRange(min = -180, max = 180) double wanted) {
        var pair = new InPhase(145, line(firstM, 0.85), line(secondM, 0.66));
        double rightM = pair.secondLengthM(wanted);
        assertThat(Math.abs(rightM - secondM)).isLessThanOrEqualTo(299.792458 / 145 * 0.66 / 2 + 1e-9);
        var cut = new InPhase(145, line(firstM, 0.85), line(Math.max(0, rightM), 0.66));
        if (rightM > 0) {
            assertThat(cut.errorDegrees(wanted)).isCloseTo(0, within(1e-6));
        }
    }

    @Test
    void afterASweepWhatIsTooLongIsCut() {
        var pair = new InPhase(145, line(10, 0.85), line(10, 0.85));
        // 31 mm of 0.85 are 0.12166 ns
        double longerNs = 0.031 / 0.85 / 0.299792458;
        InPhase.Trim trim = pair.trim(40, 40 + longerNs, 0);
        assertThat(trim.ofFirst()).isFalse();
        assertThat(trim.cutM()).isCloseTo(0.031, within(1e-9));
        assertThat(pair.trim(40 + longerNs, 40, 0).ofFirst()).isTrue();
    }

    @Test
    void theSunOnOneOfThemTurnsItsPhase() {
        var pair = new InPhase(432, line(20, 0.85), line(20, 0.85));
        assertThat(pair.driftDegrees(30, InPhase.USUAL_DRIFT_PER_K))
                .isCloseTo(360 * 432e6 * 20 / 0.85 / 299_792_458 * 30 * 50e-6, within(1e-9));
        assertThat(pair.driftDegrees(0, InPhase.USUAL_DRIFT_PER_K)).isZero();
    }
}
