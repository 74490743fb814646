package org.eskiz.core.cable;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class JacketTest {

    @ParameterizedTest
    @ValueSource(strings = {"PE", "pe", "TPE", "FEP", "PTFE", "PUR"})
    void whatHardlyTakesUpWaterBearsStandingInIt(String material) {
        assertThat(Jacket.keepsWaterOut(material)).contains(true);
    }

    @ParameterizedTest
    @ValueSource(strings = {"PVC", "PVC-IIA", "pvc"})
    void whatLetsWaterThroughDoesNot(String material) {
        assertThat(Jacket.keepsWaterOut(material)).contains(false);
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "rubber", "P"})
    void whatIsNotKnownSaysNothing(String material) {
        assertThat(Jacket.keepsWaterOut(material)).isEmpty();
    }
}
