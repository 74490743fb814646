package org.eskiz.core.receive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Noise worked with pencil and paper from the constants of P.372. */
class NoiseEnvironmentTest {

    /** At 10 MHz log10 f is 1: c − d, and galactic 52 − 23 = 29 dB beside it. */
    @ParameterizedTest
    @CsvSource({"CITY, 49.1", "RESIDENTIAL, 44.8", "RURAL, 39.5", "QUIET_RURAL, 25.0"})
    void atTenMegahertzManMadeAndGalacticNoiseAreAdded(NoiseEnvironment where, double manMadeDb) {
        double expected = Math.pow(10, manMadeDb / 10) + Math.pow(10, 2.9);
        assertThat(where.noiseFactor(10, 290)).isCloseTo(expected, within(expected * 1e-12));
    }

    @Test
    void highBandsAreAsWarmAsTheAntennaSees() {
        // 150 K over 290 K
        assertThat(NoiseEnvironment.RURAL.noiseFactor(432, 150)).isCloseTo(0.51724, within(1e-5));
        assertThat(NoiseEnvironment.CITY.usualTemperatureK())
                .isGreaterThan(NoiseEnvironment.QUIET_RURAL.usualTemperatureK());
    }

    @Test
    void belowWhatIsKnownItSaysSo() {
        assertThatThrownBy(() -> NoiseEnvironment.CITY.noiseFactor(0.1, 290)).hasMessageContaining("0.3 MHz");
    }

    @Test
    void lossBeforeAQuietReceiverCostsAllOfIt() {
        // f_a = 1 (290 K): a run of 3.0103 dB before a receiver of 0 dB doubles the noise, 3.0103 dB
        assertThat(new Receiver(0).penaltyDb(1, 3.010299957)).isCloseTo(3.0103, within(1e-4));
    }

    @Test
    void lossUnderMuchNoiseCostsNothing() {
        // f_a = 10 000, l·f_r = 10 against 5: (9999 + 10)/(9999 + 5) = 1.0005, 0.00217 dB
        assertThat(new Receiver(6.9897).penaltyDb(10_000, 3.0103)).isCloseTo(0.00217, within(1e-5));
    }
}
