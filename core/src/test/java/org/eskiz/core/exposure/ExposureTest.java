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

    /** The steps of both tables meet, or fall, where the tables say so: mW/cm² and V/m as they are printed. */
    @ParameterizedTest
    @CsvSource({
        // E = 300/f^0.7 V/m at 29.999 MHz: 27.74 V/m, 2.043 W/m²
        "ICNIRP_2020, 29.999, 2.0430",
        "ICNIRP_2020, 30, 2",
        "ICNIRP_2020, 2000, 10",
        "ICNIRP_2020, 2001, 10",
        // 100 mW/cm², 180/f² mW/cm², 0.2, f/1500, 1.0
        "FCC_1_1310, 1.339, 1000",
        "FCC_1_1310, 1.34, 1002.45",
        "FCC_1_1310, 29.999, 2.00013",
        "FCC_1_1310, 300, 2",
        "FCC_1_1310, 301, 2.00667",
        "FCC_1_1310, 1500, 10",
        "FCC_1_1310, 1501, 10"
    })
    void theStepsOfTheTablesAreWhereTheyStand(LimitSet set, double frequencyMHz, double limit) {
        assertThat(set.wattsPerM2(frequencyMHz).orElseThrow()).isCloseTo(limit, within(limit * 1e-4));
    }

    @Test
    void oneHundredWattsIntoADipoleByHand() {
        // 100 W, 2.15 dBi (1.6406), all of the time, no ground: r = √(164.06/(4π·2)) = 2.555 m
        double r = new Exposure(100, 2.15, 1, 1, 1)
                .distanceM(145, LimitSet.ICNIRP_2020)
                .orElseThrow();
        assertThat(r).isCloseTo(2.555, within(5e-4));
        // the ground's 1.6 in field is 1.6 in distance
        double overGround = new Exposure(100, 2.15, 1, 1, Exposure.USUAL_GROUND_FACTOR)
                .distanceM(145, LimitSet.ICNIRP_2020)
                .orElseThrow();
        assertThat(overGround).isCloseTo(1.6 * r, within(1e-9));
    }
}
