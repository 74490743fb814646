package org.eskiz.core.cable;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.stream.Stream;
import org.eskiz.core.ReferenceCases;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;

class AttenuationFitTest {

    @TestFactory
    Stream<DynamicTest> everyReferenceSheetIsFitted() {
        return ReferenceCases.read("fit-cases.json")
                .map(c -> DynamicTest.dynamicTest(c.get("name").asString(), () -> agrees(c)));
    }

    private static void agrees(JsonNode c) {
        var fit = AttenuationFit.of(ReferenceCases.points(c.get("points")));
        ReferenceCases.assertAgrees("k1", fit.attenuation().k1(), c.get("k1"), 1e-6);
        ReferenceCases.assertAgrees("k2", fit.attenuation().k2(), c.get("k2"), 1e-6);
        ReferenceCases.assertAgrees(
                "worst residual", fit.worstRelativeResidual(), c.get("worstRelativeResidual"), 1e-6);
    }

    @Test
    void sameFrequencyTwiceIsOneFrequency() {
        var fit = AttenuationFit.of(List.of(new AttenuationPoint(100, 10), new AttenuationPoint(100, 10)));
        assertThat(fit.attenuation().k1()).isCloseTo(1, within(1e-12));
        assertThat(fit.attenuation().k2()).isZero();
    }

    @Test
    void rowsCloseTogetherKeepTheirDigits() {
        var truth = new Attenuation(1.5, 0.01);
        var points = Stream.of(100.0, 100.001, 100.002)
                .map(f -> new AttenuationPoint(f, truth.dbPer100m(f, 20)))
                .toList();
        var fitted = AttenuationFit.of(points).attenuation();
        assertThat(fitted.k1()).isCloseTo(1.5, within(1e-5));
        assertThat(fitted.k2()).isCloseTo(0.01, within(1e-6));
    }

    @Test
    void noPointIsRefused() {
        assertThatThrownBy(() -> AttenuationFit.of(List.of()))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("at least one");
    }

    @Test
    void onlyTheConductorGrowsWithTemperature() {
        var law = new Attenuation(1, 0.01);
        assertThat(law.dielectricDbPer100m(100)).isEqualTo(1);
        assertThat(law.conductorDbPer100m(100, 20)).isEqualTo(10);
        assertThat(law.conductorDbPer100m(100, 60)).isCloseTo(10 * Math.sqrt(1.1572), within(1e-12));
    }

    @Test
    void theSheetSpeaksAThirdBelowAndHalfAbove() {
        var range = new SheetRange(30, 1000);
        assertThat(range.covers(10)).isTrue();
        assertThat(range.covers(9.9)).isFalse();
        assertThat(range.covers(1500)).isTrue();
        assertThat(range.covers(1501)).isFalse();
    }

    @Test
    void aMatedPairGrowsWithRootAndSquareOfFrequency() {
        var uhf = new InsertionLoss.MatedPair(0.004, 1.2e-6, 300);
        assertThat(uhf.lossDb(144)).isCloseTo(0.048 + 0.0248832, within(1e-12));
        assertThat(uhf.isExtrapolatedAt(300)).isFalse();
        assertThat(uhf.isExtrapolatedAt(301)).isTrue();
    }
}
