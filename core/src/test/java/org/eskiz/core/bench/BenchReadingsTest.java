package org.eskiz.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import org.eskiz.core.bench.PowerReading.Repeatability;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Wattmeter and dummy load, and several lengths of one cable. */
class BenchReadingsTest {

    @ParameterizedTest
    @CsvSource({
        "48, 48, 48, 1",
        "47.5, 47.5, 47.5, 0.1",
        "'47,50', 47.5, 47.5, 0.01",
        "47-49, 47, 49, 1",
        "49 – 47, 47, 49, 1",
        "47 to 48.5 W, 47, 48.5, 1",
        "0.8..0.9 kW, 800, 900, 100",
        "250 mW, 0.25, 0.25, 0.001"
    })
    void readingsAreTakenAsTheyAreTyped(String text, double least, double most, double digit) {
        PowerReading reading = PowerReading.typed(text);
        assertThat(reading.leastW()).isCloseTo(least, within(1e-9));
        assertThat(reading.mostW()).isCloseTo(most, within(1e-9));
        assertThat(reading.digitW()).isCloseTo(digit, within(1e-12));
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "0", "-5", "many", "1e9", "47-", "NaN", "0-5", "10000000"})
    void whatIsNoReadingIsSaidSo(String text) {
        assertThatThrownBy(() -> PowerReading.typed(text)).hasMessageContaining("\"" + text + "\"");
    }

    @Test
    void lossIsOfTheMiddlesAndItsIntervalOfTheWidenedExtremes() {
        LossPoint loss = pair("98-102", "50", 0, 0).at(28.5);
        assertThat(loss.lossDb()).isCloseTo(10 * Math.log10(2), within(1e-12));
        // half a digit and one percent to either side
        assertThat(loss.leastDb()).isCloseTo(10 * Math.log10((98 - 0.5 - 0.98) / (50 + 0.5 + 0.5)), within(1e-12));
        assertThat(loss.mostDb()).isCloseTo(10 * Math.log10((102 + 0.5 + 1.02) / (50 - 0.5 - 0.5)), within(1e-12));
    }

    @Test
    void aLeadThatWasTakenOutIsAddedToTheCable() {
        assertThat(pair("100", "50", 0.3, 0).at(28.5).lossDb()
                        - pair("100", "50", 0, 0).at(28.5).lossDb())
                .isCloseTo(0.3, within(1e-12));
    }

    @Test
    void theClassOfTheMeterCountsOnlyBetweenVeryDifferentLevels() {
        assertThat(pair("100", "50", 0, 0.05).at(28.5))
                .isEqualTo(pair("100", "50", 0, 0).at(28.5));
        LossPoint far = pair("100", "5.0", 0, 0.05).at(28.5);
        assertThat(far.mostDb() - far.leastDb())
                .isGreaterThan(pair("100", "5.0", 0, 0).at(28.5).mostDb()
                        - pair("100", "5.0", 0, 0).at(28.5).leastDb()
                        + 0.4);
    }

    @Test
    void moreThroughTheCableThanIntoItIsAnErrorInTheSetUp() {
        assertThat(pair("50", "60", 0, 0).gains()).isTrue();
        assertThat(pair("50", "50", 0, 0).gains()).isFalse();
        assertThat(pair("49-51", "50.4", 0, 0).gains()).isFalse();
    }

    @Test
    void repeatabilityHasLimits() {
        assertThatThrownBy(() -> new Repeatability(-1, 0.01)).hasMessageContaining("-1");
        assertThatThrownBy(() -> new Repeatability(0, 0.6)).hasMessageContaining("60.0 %");
    }

    @Test
    void twoLengthsPartTheCableFromItsConnectors() {
        SeveralLengths parted =
                SeveralLengths.of(List.of(new SeveralLengths.Piece(10, 0.95), new SeveralLengths.Piece(30, 2.25)));
        assertThat(parted.cableDbPerM()).isCloseTo(0.065, within(1e-12));
        assertThat(parted.connectorsDb()).isCloseTo(0.3, within(1e-12));
        assertThat(parted.residualDb()).isEmpty();
        assertThat(SeveralLengths.of(List.of(
                                new SeveralLengths.Piece(10, 0.95),
                                new SeveralLengths.Piece(20, 1.7),
                                new SeveralLengths.Piece(30, 2.25)))
                        .residualDb())
                .hasValueCloseTo(0.0471, within(1e-4));
        assertThatThrownBy(() ->
                        SeveralLengths.of(List.of(new SeveralLengths.Piece(10, 1), new SeveralLengths.Piece(10, 2))))
                .hasMessageContaining("two different lengths");
    }

    private static WattmeterPair pair(String baseline, String through, double leadDb, double meterClass) {
        return new WattmeterPair(
                PowerReading.typed(baseline), PowerReading.typed(through), leadDb, Repeatability.USUAL, meterClass);
    }
}
