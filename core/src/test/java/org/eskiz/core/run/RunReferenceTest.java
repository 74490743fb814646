package org.eskiz.core.run;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.eskiz.core.ReferenceCases.assertAgrees;

import java.util.stream.Stream;
import org.eskiz.core.ReferenceCases;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import tools.jackson.databind.JsonNode;

class RunReferenceTest {

    @TestFactory
    Stream<DynamicTest> everyReferenceRunIsReproduced() {
        return ReferenceCases.read("run-cases.json")
                .map(c -> DynamicTest.dynamicTest(c.get("name").asString(), () -> check(c)));
    }

    private static void check(JsonNode c) {
        ReferenceRequest request = ReferenceRequest.of(c.get("request"));
        if (c.get("expect").isNull()) {
            assertThatThrownBy(request::assess)
                    .isInstanceOf(ImpossibleReadingException.class)
                    .hasMessageContaining("cannot be read at the radio");
        } else {
            agrees(request.assess(), c.get("expect"));
        }
    }

    private static void agrees(RunAssessment a, JsonNode expect) {
        assertAgrees("matched loss", a.matchedLossDb(), expect.get("matchedLossDb"));
        assertAgrees("mismatch loss", a.mismatchLossDb(), expect.get("mismatchLossDb"));
        assertAgrees("run loss", a.runLossDb(), expect.get("runLossDb"));
        assertAgrees("matching unit", a.matchingLossDb(), expect.get("matchingLossDb"));
        assertAgrees("reflection", a.reflectionLossDb(), expect.get("reflectionLossDb"));
        assertAgrees("foldback", a.foldbackDb(), expect.get("foldbackDb"));
        assertAgrees("total loss", a.totalLossDb(), expect.get("totalLossDb"));
        assertAgrees("power", a.powerAtAntennaW().orElseThrow(), expect.get("powerAtAntennaW"));
        assertAgrees("SWR at the radio", a.swrAtRadio(), expect.get("swrAtRadio"));
        assertAgrees("SWR at the antenna", a.swrAtAntenna(), expect.get("swrAtAntenna"));
        elementsAgree(a, expect.get("elementLossDb"));
        assertThat(a.efficiencyRange().isPresent()).isEqualTo(expect.has("efficiencyRange"));
        a.efficiencyRange().ifPresent(range -> {
            assertAgrees(
                    "least efficiency",
                    range.min(),
                    expect.get("efficiencyRange").get("min"));
            assertAgrees(
                    "greatest efficiency",
                    range.max(),
                    expect.get("efficiencyRange").get("max"));
        });
        assertThat(a.inputImpedance().isPresent()).isEqualTo(expect.has("inputImpedance"));
        a.inputImpedance().ifPresent(z -> {
            JsonNode reference = expect.get("inputImpedance");
            assertAgrees("input resistance", z.resistanceOhm(), reference.get("resistanceOhm"));
            assertAgrees("input reactance", z.reactanceOhm(), reference.get("reactanceOhm"));
        });
    }

    private static void elementsAgree(RunAssessment a, JsonNode expected) {
        assertThat(a.elements()).hasSize(expected.size());
        for (int i = 0; i < expected.size(); i++) {
            assertAgrees("element " + i, a.elements().get(i).lossDb(), expected.get(i));
        }
    }
}
