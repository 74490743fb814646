package org.eskiz.core.exposure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ExposureTest {

    @ParameterizedTest
    @CsvSource({
        "ICNIRP_2020, 145, 2",
        "ICNIRP_2020, 400, 2",
        "ICNIRP_2020, 1296, 6.48",
        "ICNIRP_2020, 5700, 10",
        "ICNIRP_2020, 10, 9.504",
        "FCC_1_1310, 1, 1000",
        "FCC_1_1310, 14.2, 8.9268",
        "FCC_1_1310, 145, 2",
        "FCC_1_1310, 433, 2.8867",
        "FCC_1_1310, 2400, 10",
    })
    void theLimitsAreThoseOfTheSet(LimitSet set, double frequencyMHz, double limit) {
        assertThat(set.wattsPerM2(frequencyMHz).orElseThrow()).isCloseTo(limit, within(limit * 1e-3));
    }

    @Test
    void outsideTheStatedBandsThereIsNoFigure() {
        assertThat(LimitSet.FCC_1_1310.wattsPerM2(0.2)).isEmpty();
        assertThat(new Exposure(100, 6, 1, 1, 1).distanceM(0.2, LimitSet.FCC_1_1310))
                .isEmpty();
    }

    @Test
    void theDistanceIsWhereTheDensityMeetsTheLimit() {
        var exposure = new Exposure(50, 10, 0.5, 0.5, Exposure.USUAL_GROUND_FACTOR);
        double r = exposure.distanceM(145, LimitSet.ICNIRP_2020).orElseThrow();
        assertThat(exposure.eirpW()).isCloseTo(500, within(1e-9));
        assertThat(500 * 0.25 * 2.56 / (4 * Math.PI * r * r)).isCloseTo(2, within(1e-9));
        assertThat(Exposure.farFieldFromM(145)).isCloseTo(0.329, within(1e-3));
    }
}
