package org.eskiz.core.cable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;

class AveragePowerTest {

    private static final Attenuation LAW = new Attenuation(1.5, 0.01);
    private static final AveragePower USUAL = new AveragePower(400, 30, 40, 75);

    @Test
    void fallsAsAttenuationRises() {
        assertThat(USUAL.at(LAW, 30, 40)).isCloseTo(400, within(1e-9));
        double ratio = LAW.dbPer100m(30, 20) / LAW.dbPer100m(145, 20);
        assertThat(USUAL.at(LAW, 145, 40)).isCloseTo(400 * ratio, within(1e-9));
    }

    @Test
    void fallsWithHeatAndRisesLittleWithCold() {
        assertThat(USUAL.at(LAW, 30, 57.5)).isCloseTo(200, within(1e-9));
        assertThat(USUAL.at(LAW, 30, 33)).isCloseTo(480, within(1e-9));
        assertThat(USUAL.at(LAW, 30, -20)).isCloseTo(480, within(1e-9));
        assertThat(USUAL.at(LAW, 30, 75)).isZero();
        assertThat(USUAL.at(LAW, 30, 90)).isZero();
    }

    @Test
    void isTheSameWhereverItWasStated() {
        double stated = USUAL.at(LAW, 145, 50);
        assertThat(new AveragePower(stated, 145, 50, 75).at(LAW, 7, 45)).isCloseTo(USUAL.at(LAW, 7, 45), within(1e-9));
    }

    @Test
    void cannotBeStatedAtATemperatureThatTheCableDoesNotBear() {
        assertThatThrownBy(() -> new AveragePower(400, 30, 80, 75)).hasMessageContaining("above 80.0 °C, not 75.0");
        assertThatThrownBy(() -> new AveragePower(400, 30, 20, 35)).hasMessageContaining("above 40.0 °C, not 35.0");
    }

    @Test
    void marginsAreRatingOverWhatIsThere() {
        assertThat(Ratings.powerMargin(400, 200, 0.25)).isEqualTo(8);
        // a connector's rating falls as one over the root of frequency
        assertThat(new ConnectorPower(400, 30).at(120)).isCloseTo(200, within(1e-9));
        assertThatThrownBy(() -> new ConnectorPower(0, 30)).hasMessageContaining("average power");
        assertThat(Ratings.voltageMargin(500, 500 / Math.sqrt(2) / 2)).isCloseTo(2, within(1e-12));
    }
}
