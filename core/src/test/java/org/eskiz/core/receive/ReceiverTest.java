package org.eskiz.core.receive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.eskiz.core.ReferenceCases.assertAgrees;

import java.util.stream.Stream;
import net.jqwik.api.ForAll;
import net.jqwik.api.Property;
import net.jqwik.api.constraints.DoubleRange;
import org.eskiz.core.ReferenceCases;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;

class ReceiverTest {

    @TestFactory
    Stream<DynamicTest> everyReferencePenaltyIsReproduced() {
        return ReferenceCases.read("receive-cases.json")
                .map(c -> DynamicTest.dynamicTest(c.get("frequencyMHz") + " MHz", () -> check(c)));
    }

    private static void check(JsonNode c) {
        var environment = NoiseEnvironment.valueOf(c.get("environment").asString());
        double external = environment.noiseFactor(
                c.get("frequencyMHz").asDouble(), c.get("antennaTemperatureK").asDouble());
        double penalty = new Receiver(c.get("noiseFigureDb").asDouble())
                .penaltyDb(external, c.get("runLossDb").asDouble());
        assertAgrees("penalty", penalty, c.get("snrLossDb"), 1e-9);
    }

    @Property
    void neverCostsLessThanNothingAndMoreWhereItIsQuieter(
            @ForAll @DoubleRange(min = 0.3, max = 1000) double frequencyMHz,
            @ForAll @DoubleRange(min = 0, max = 30) double lossDb,
            @ForAll @DoubleRange(min = 0, max = 20) double noiseFigureDb) {
        var receiver = new Receiver(noiseFigureDb);
        double before = 0;
        for (NoiseEnvironment e : NoiseEnvironment.values()) {
            double penalty = receiver.penaltyDb(e.noiseFactor(frequencyMHz, e.usualTemperatureK()), lossDb);
            assertThat(penalty).isGreaterThanOrEqualTo(before - 1e-9);
            before = penalty;
        }
    }

    @Test
    void belowTheBandsOfTheRecommendationNothingIsClaimed() {
        assertThatThrownBy(() -> NoiseEnvironment.CITY.noiseFactor(0.2, 600)).hasMessageContaining("not at 0.2 MHz");
    }
}
