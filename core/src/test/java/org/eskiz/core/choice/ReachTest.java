package org.eskiz.core.choice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.eskiz.core.ReferenceCases.assertAgrees;

import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.Stream;
import org.eskiz.core.ReferenceCases;
import org.eskiz.core.cable.Attenuation;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.InsertionLoss;
import org.eskiz.core.run.Conditions;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.Load;
import org.eskiz.core.run.Radio;
import org.eskiz.core.run.Run;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;

class ReachTest {

    @TestFactory
    Stream<DynamicTest> everyReferenceReachIsReproduced() {
        return ReferenceCases.read("reach-cases.json")
                .map(c -> DynamicTest.dynamicTest(c.get("name").asString(), () -> check(c)));
    }

    private static void check(JsonNode c) {
        List<Element> elements = new ArrayList<>();
        c.get("before").forEach(e -> elements.add(element(e)));
        int section = elements.size();
        Cable cable = cable(c.get("candidate"));
        elements.add(new Element.Line(cable, 1));
        c.get("after").forEach(e -> elements.add(element(e)));
        var candidate = new Candidate("it", cable);
        var band = new Band(
                Radio.matched(c.get("radioPowerW").asDouble()),
                new Conditions(c.get("frequencyMHz").asDouble(), 20),
                load(c.get("load")));
        var comparison = Comparison.in(
                new ReplaceableRun(new Run(elements), List.of(section)),
                List.of(band),
                List.of(new Requirement.OnBand(
                        BandFigure.POWER, c.get("leastPowerAtAntennaW").asDouble())));
        Reach reach = comparison.reach(comparison.row(candidate), 0).orElseThrow();
        if (c.get("reachM").isNull()) {
            assertThat(reach.kind()).isEqualTo(Reach.Kind.NOT_EVEN_NONE);
        } else {
            assertThat(reach.kind()).isEqualTo(Reach.Kind.UP_TO);
            assertAgrees("reach", reach.lengthM(), c.get("reachM"), 1e-6);
        }
    }

    private static Element element(JsonNode e) {
        return e.get("kind").asString().equals("LINE")
                ? new Element.Line(cable(e.get("cable")), e.get("lengthM").asDouble())
                : new Element.Pad(new InsertionLoss.Flat(e.get("lossDb").asDouble()), OptionalDouble.empty());
    }

    private static Cable cable(JsonNode c) {
        JsonNode law = c.get("attenuation");
        return Cable.ofCoefficients(
                c.get("impedanceOhm").asDouble(),
                c.get("velocityFactor").asDouble(),
                new Attenuation(law.get("k1").asDouble(), law.get("k2").asDouble()));
    }

    private static Load load(JsonNode load) {
        return load.has("swr")
                ? new Load.SwrAtAntenna(load.get("swr").asDouble())
                : new Load.Impedance(
                        load.get("resistanceOhm").asDouble(),
                        load.get("reactanceOhm").asDouble());
    }

    @Test
    void aRippleIsNotSteppedOver() {
        // falls by 0.01 dB/m with a ripple of 1 dB that keeps its phase: the first trough below zero counts
        Reach reach = Reach.search(l -> 2 - 0.01 * l - Math.pow(Math.sin(Math.PI * l / 5), 2), 5);
        double least = Double.NaN;
        for (double l = 0; Double.isNaN(least); l += 1e-4) {
            least = 2 - 0.01 * l - Math.pow(Math.sin(Math.PI * l / 5), 2) < 0 ? l : Double.NaN;
        }
        assertThat(reach.kind()).isEqualTo(Reach.Kind.UP_TO);
        assertThat(reach.lengthM()).isCloseTo(least, within(2e-4));
    }

    @Test
    void nothingAtAllAndFartherThanAnybodyPlans() {
        assertThat(Reach.search(l -> -1, 1).kind()).isEqualTo(Reach.Kind.NOT_EVEN_NONE);
        assertThat(Reach.search(l -> 5 - 0.001 * l, 0.1)).isEqualTo(new Reach(Reach.Kind.BEYOND, 1000));
        assertThat(Reach.search(l -> l > 30 ? Double.NEGATIVE_INFINITY : 3, 2).lengthM())
                .isCloseTo(30, within(1e-6));
    }
}
