package org.eskiz.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.eskiz.core.bench.PieceLoss.Measured;
import org.eskiz.core.cable.Attenuation;
import org.junit.jupiter.api.Test;

class PieceLossTest {

    private static final Attenuation TYPE = new Attenuation(1.2, 0.01);
    private static final double LENGTH_M = 20;

    private static Measured measured(double frequencyMHz, double factor, double jointsDb) {
        return new Measured(
                frequencyMHz, TYPE.dbPer100m(frequencyMHz, 20) * factor * LENGTH_M / 100 + jointsDb, jointsDb, 20);
    }

    @Test
    void fewFrequenciesScaleTheTypeWithoutItsJoints() {
        Attenuation law = PieceLoss.of(List.of(measured(145, 1.3, 0.1)), LENGTH_M, Optional.of(TYPE))
                .orElseThrow();

        assertThat(law.k1()).isCloseTo(1.2 * 1.3, within(1e-9));
        assertThat(law.k2()).isCloseTo(0.01 * 1.3, within(1e-9));
    }

    @Test
    void manyFrequenciesGiveALawOfTheirOwn() {
        List<Measured> measured = List.of(measured(30, 1.2, 0.1), measured(145, 1.2, 0.1), measured(435, 1.2, 0.1));

        Attenuation law = PieceLoss.of(measured, LENGTH_M, Optional.empty()).orElseThrow();

        assertThat(law.dbPer100m(145, 20)).isCloseTo(TYPE.dbPer100m(145, 20) * 1.2, within(1e-6));
    }

    @Test
    void whatABadJointLosesStaysWithThePiece() {
        List<Measured> measured = List.of(new Measured(145, 2.0, 0.1, 20));

        Attenuation law = PieceLoss.of(measured, LENGTH_M, Optional.of(TYPE)).orElseThrow();

        assertThat(law.dbPer100m(145, 20) * LENGTH_M / 100).isCloseTo(1.9, within(1e-9));
    }

    @Test
    void nothingMeasuredIsNoLaw() {
        assertThat(PieceLoss.of(List.of(), LENGTH_M, Optional.of(TYPE))).isEmpty();
    }

    @Test
    void lessThanItsJointsStillIsALawWithoutGain() {
        Attenuation law = PieceLoss.of(List.of(new Measured(145, 0.05, 0.1, 20)), LENGTH_M, Optional.of(TYPE))
                .orElseThrow();

        assertThat(law.dbPer100m(145, 20)).isPositive();
    }

    @Test
    void aHotTestIsBroughtBackToTheTemperatureOfTheSheet() {
        double hotDb = TYPE.dbPer100m(145, 45) * LENGTH_M / 100;
        Attenuation scaled = PieceLoss.of(List.of(new Measured(145, hotDb, 0, 45)), LENGTH_M, Optional.of(TYPE))
                .orElseThrow();

        assertThat(scaled.dbPer100m(145, 20)).isCloseTo(TYPE.dbPer100m(145, 20), within(1e-9));
    }
}
