package org.eskiz.core.cable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.assertj.core.api.Assertions.withinPercentage;

import java.util.List;
import org.junit.jupiter.api.Test;

/** Each law of a cable worked once with pencil and paper; the numbers stand here, not another program's. */
class WorkedExamplesTest {

    @Test
    void attenuationIsTheRootAndTheLineAdded() {
        // k1 = 1.2, k2 = 0.01 at 100 MHz: 1.2·10 + 0.01·100 = 13 dB per 100 m
        assertThat(new Attenuation(1.2, 0.01).dbPer100m(100, 20)).isCloseTo(13, within(1e-12));
    }

    @Test
    void copperIsAPercentOrTwoLossierInTheSun() {
        // 60 °C: resistivity 1 + 0.00393·40 = 1.1572, its root 1.075732; of the root's part only
        assertThat(new Attenuation(1.2, 0.01).dbPer100m(100, 60)).isCloseTo(12 * 1.075732 + 1, within(1e-5));
    }

    @Test
    void theSkinResistanceOfCopperIsThatOfItsConductivity() {
        // R_s = √(π·1 MHz·4π·10⁻⁷/58 MS/m) = 2.609·10⁻⁴ Ω; two wires of 2 mm at 600 Ω: 868.6·R_s/(π·0.002·600) =
        // 0.06011
        double surfaceOhm = Math.sqrt(Math.PI * 1e6 * 4e-7 * Math.PI / 58e6);
        assertThat(surfaceOhm).isCloseTo(2.609e-4, within(1e-7));
        assertThat(CopperFloor.ofTwoWires(600, 2)).isCloseTo(0.06011, withinPercentage(0.02));
    }

    @Test
    void noCoaxialCableLosesLessThanItsCopper() {
        // 50 Ω, solid polyethylene 0.66, 10.3 mm: d = 10.3·e^(−50/39.57) = 2.911 mm,
        // 868.6·2.609e-4/(2π·50)·(1/0.002911 + 1/0.0103) = 7.2135e-4·(343.5 + 97.09) = 0.3178
        assertThat(CopperFloor.ofCoax(50, 0.66, new ShieldBore(10.3, ShieldBore.Known.STATED)))
                .isCloseTo(0.3178, withinPercentage(0.05));
    }

    @Test
    void aSheetOfTwoRowsIsMetExactly() {
        // 10 MHz 4.1 and 1000 MHz 47.4: k1·3.16228 + k2·10 = 4.1, k1·31.6228 + k2·1000 = 47.4
        // ten times the first less the second: 100·k2 − 1000·k2 = 41 − 47.4, k2 = 0.0071111, k1 = 1.274052
        Attenuation law = AttenuationFit.of(List.of(new AttenuationPoint(10, 4.1), new AttenuationPoint(1000, 47.4)))
                .attenuation();
        assertThat(law.k2()).isCloseTo(6.4 / 900, within(1e-12));
        assertThat(law.k1()).isCloseTo((4.1 - 64.0 / 900) / Math.sqrt(10), within(1e-12));
    }

    @Test
    void aMatedPairIsContactAndBump() {
        // UHF at 145 MHz: 0.004·12.0416 + 1.2e-6·21025 = 0.048166 + 0.02523 = 0.073396 dB
        assertThat(new InsertionLoss.MatedPair(0.004, 1.2e-6, 300).lossDb(145)).isCloseTo(0.073396, within(1e-6));
    }

    @Test
    void aCableBearsLessWhereItLosesMore() {
        // 400 W at 30 MHz and 40 °C, up to 75 °C; k1 alone: at 120 MHz half; at 57.5 °C half of that again
        var rating = new AveragePower(400, 30, 40, 75);
        Attenuation law = new Attenuation(1.5, 0);
        assertThat(rating.at(law, 120, 40)).isCloseTo(200, within(1e-9));
        assertThat(rating.at(law, 120, 57.5)).isCloseTo(100, within(1e-9));
    }

    @Test
    void aConnectorBearsLessByTheRoot() {
        // 500 W at 30 MHz: at 432 MHz 500·√(30/432) = 500·0.263523 = 131.76 W
        assertThat(new ConnectorPower(500, 30).at(432)).isCloseTo(131.76, within(0.005));
    }

    @Test
    void seventyFiveIsNotFiftyAndFiftyTwoIs() {
        assertThat(NominalImpedance.isSame(52, 50)).isTrue();
        assertThat(NominalImpedance.isSame(75, 50)).isFalse();
        assertThat(NominalImpedance.isSame(45, 50)).isTrue();
        assertThat(NominalImpedance.isSame(44, 50)).isFalse();
    }
}
