package org.eskiz.core.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Optional;
import org.eskiz.core.bench.PowerReading.Repeatability;
import org.eskiz.core.bench.Uncertainty.Source;
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
    void lossIsOfTheMiddlesAndEveryTermOfItsUncertaintyIsTold() {
        LossPoint loss = pair("98-102", "50", 0, 0).at(28.5);
        assertThat(loss.lossDb()).isCloseTo(10 * Math.log10(2), within(1e-12));
        double db = 10 / Math.log(10);
        assertThat(standardDb(loss, Source.FLICKER)).isCloseTo(db * 2 / Math.sqrt(3) / 100, within(1e-12));
        assertThat(standardDb(loss, Source.RESOLUTION))
                .isCloseTo(db * Math.hypot(0.5 / Math.sqrt(3) / 100, 0.5 / Math.sqrt(3) / 50), within(1e-12));
        assertThat(standardDb(loss, Source.REPEATABILITY)).isCloseTo(db * 0.01 * Math.sqrt(2), within(1e-12));
        assertThat(standardDb(loss, Source.DRIFT)).isCloseTo(db * 0.02, within(1e-12));
        assertThat(standardDb(loss, Source.MISMATCH))
                .isCloseTo(20 * Math.log10(1 + 0.1 * 0.05) / Math.sqrt(2), within(1e-12));
        double squares = loss.uncertainty().terms().stream()
                .mapToDouble(t -> t.standardDb() * t.standardDb())
                .sum();
        assertThat(loss.mostDb() - loss.lossDb()).isCloseTo(2 * Math.sqrt(squares), within(1e-12));
        assertThat(loss.uncertainty().dominating())
                .hasValueSatisfying(t -> assertThat(t.source()).isEqualTo(Source.DRIFT));
    }

    @Test
    void aBaselineThatIsReadAgainMakesTheDriftKnown() {
        LossPoint steady = again("100.0", "100.0").at(28.5);
        assertThat(standardDb(steady, Source.DRIFT)).isZero();
        LossPoint drifted = again("100.0", "96.0").at(28.5);
        assertThat(drifted.lossDb()).as("of the middle of both").isCloseTo(10 * Math.log10(98 / 50.0), within(1e-12));
        assertThat(standardDb(drifted, Source.DRIFT))
                .isCloseTo(10 / Math.log(10) * 2 / Math.sqrt(3) / 98, within(1e-12));
    }

    @Test
    void aLeadThatWasTakenOutIsAddedToTheCable() {
        assertThat(pair("100", "50", 0.3, 0).at(28.5).lossDb()
                        - pair("100", "50", 0, 0).at(28.5).lossDb())
                .isCloseTo(0.3, within(1e-12));
    }

    @Test
    void theClassOfTheMeterCancelsBetweenLikeLevelsOnly() {
        assertThat(standardDb(pair("100", "100", 0, 0.05).at(28.5), Source.METER_CLASS))
                .isZero();
        double half = standardDb(pair("100", "50", 0, 0.05).at(28.5), Source.METER_CLASS);
        double tenth = standardDb(pair("100", "10", 0, 0.05).at(28.5), Source.METER_CLASS);
        assertThat(half).isCloseTo(10 / Math.log(10) * 0.05 / Math.sqrt(3), within(1e-12));
        assertThat(tenth).isCloseTo(9 * half, within(1e-9));
    }

    @Test
    void moreThroughTheCableThanIntoItIsAnErrorInTheSetUp() {
        assertThat(pair("50", "60", 0, 0).gains()).isTrue();
        assertThat(pair("50", "50", 0, 0).gains()).isFalse();
        assertThat(pair("49-51", "50.4", 0, 0).gains()).isFalse();
        assertThat(pair("50", "51", 0, 0).gains())
                .as("as much as a radio drifts")
                .isFalse();
    }

    @Test
    void repeatabilityHasLimits() {
        assertThatThrownBy(() -> new Repeatability(-1, 0.01)).hasMessageContaining("-1");
        assertThatThrownBy(() -> new Repeatability(0, 0.6)).hasMessageContaining("60.0 %");
    }

    @Test
    void twoLengthsPartTheCableFromItsConnectors() {
        SeveralLengths parted = SeveralLengths.of(
                List.of(new SeveralLengths.Piece(10, 0.95, 0.1), new SeveralLengths.Piece(30, 2.25, 0.1)));
        assertThat(parted.cableDbPerM()).isCloseTo(0.065, within(1e-12));
        assertThat(parted.connectorsDb()).isCloseTo(0.3, within(1e-12));
        assertThat(parted.residualDb()).isEmpty();
        assertThat(parted.certainty().cableDbPerM()).isCloseTo(2 * 0.1 * Math.sqrt(2) / 20, within(1e-12));
        assertThat(parted.certainty().connectorsDb()).isCloseTo(2 * 0.1 * Math.hypot(1.5, 0.5), within(1e-12));
        assertThat(SeveralLengths.of(List.of(
                                new SeveralLengths.Piece(10, 0.95, 0.1),
                                new SeveralLengths.Piece(20, 1.7, 0.1),
                                new SeveralLengths.Piece(30, 2.25, 0.1)))
                        .residualDb())
                .hasValueCloseTo(0.0471, within(1e-4));
        assertThatThrownBy(() -> SeveralLengths.of(
                        List.of(new SeveralLengths.Piece(10, 1, 0.1), new SeveralLengths.Piece(10, 2, 0.1))))
                .hasMessageContaining("two different lengths");
    }

    private static double standardDb(LossPoint point, Source source) {
        return point.uncertainty().terms().stream()
                .filter(t -> t.source() == source)
                .mapToDouble(Uncertainty.Term::standardDb)
                .sum();
    }

    private static WattmeterPair again(String before, String after) {
        return new WattmeterPair(
                PowerReading.typed(before),
                Optional.of(PowerReading.typed(after)),
                PowerReading.typed("50.0"),
                0,
                Repeatability.USUAL,
                0.05);
    }

    private static WattmeterPair pair(String baseline, String through, double leadDb, double meterClass) {
        return new WattmeterPair(
                PowerReading.typed(baseline),
                Optional.empty(),
                PowerReading.typed(through),
                leadDb,
                Repeatability.USUAL,
                meterClass);
    }
}
