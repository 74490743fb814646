package org.eskiz.server.assessment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.nio.charset.StandardCharsets;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** A reading at the radio belongs to the run it was read through, and what is not said is not made up. */
@ExtendWith(RealServer.class)
class ReadThroughTest {

    private static final String OLD = "{\"kind\": \"LINE\", \"cableKey\": \"rg-58\", \"lengthM\": 30}";
    private static final String NEW = "{\"kind\": \"LINE\", \"cableKey\": \"foam-10\", \"lengthM\": 30}";

    private static String assessment(String run, String load) {
        return """
                {"radio": {"powerW": 100, "matching": "NONE"}, "run": [%s],
                 "bands": [{"frequencyMHz": 145, "load": %s}]}""".formatted(run, load);
    }

    private static JsonNode band(Api api, String body) {
        return api.post("/api/assessments", body)
                .expect(200)
                .json()
                .get("bands")
                .get(0);
    }

    @Test
    void theAntennaDoesNotChangeBecauseACableDoes(Api api) {
        JsonNode then = band(api, assessment(OLD, "{\"swrAtRadio\": 1.1}"));
        JsonNode now = band(api, assessment(NEW, "{\"swrAtRadio\": 1.1, \"through\": [" + OLD + "]}"));
        assertThat(now.get("swrAtAntenna").asDouble())
                .isCloseTo(then.get("swrAtAntenna").asDouble(), within(1e-9));
        assertThat(now.get("swrAtRadio").asDouble()).isGreaterThan(1.15);
        assertThat(now.get("powerAtAntennaW").asDouble())
                .isGreaterThan(then.get("powerAtAntennaW").asDouble());
    }

    /** As every plan has it that was stored before readings carried the run they were read through. */
    @Test
    void aReadingThatSaysNothingElseWasReadThroughTheRunOfItsOwnPlan(Api api) throws IOException {
        JsonNode stored = Api.parse(sample()).get("assessment");
        String run = stored.get("run").toString();
        String load = stored.get("bands").get(1).get("load").toString();
        assertThat(load).contains("swrAtRadio").doesNotContain("through");
        String radio =
                "{\"radio\": {\"powerW\": 100}, \"run\": " + run + ", \"bands\": [{\"frequencyMHz\": 7.1, \"load\": ";
        JsonNode asStored = band(api, radio + load + "}]}");
        JsonNode writtenOut = band(api, radio + load.replace("}", ", \"through\": " + run + "}") + "}]}");
        assertThat(writtenOut.get("swrAtAntenna")).isEqualTo(asStored.get("swrAtAntenna"));
        assertThat(asStored.get("swrAtRadio").asDouble()).isCloseTo(2.1, within(1e-9));
    }

    private static String sample() throws IOException {
        try (InputStream in = ReadThroughTest.class.getResourceAsStream("/stored/plan-document-1.json")) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }

    @Test
    void onlyAReadingAtTheRadioIsReadThroughARunAndItsRunMustBeWhole(Api api) {
        assertThat(api.post("/api/assessments", assessment(NEW, "{\"swr\": 1.1, \"through\": [" + OLD + "]}"))
                        .expectProblem(422)
                        .get("errors")
                        .get(0)
                        .get("path")
                        .asString())
                .isEqualTo("bands[0].load.through");
        JsonNode errors = api.post(
                        "/api/assessments",
                        assessment(
                                NEW,
                                "{\"swrAtRadio\": 1.1, \"through\": [{\"kind\": \"LINE\", \"cableKey\": \"nowhere\"}]}"))
                .expectProblem(422)
                .get("errors");
        assertThat(errors.valueStream().map(e -> e.get("path").asString()))
                .containsExactlyInAnyOrder("bands[0].load.through[0].cableKey", "bands[0].load.through[0].lengthM");
    }

    @Test
    void howFarToKeepAwayIsNotKnownWhereNobodyHasSaidTheGain(Api api) {
        JsonNode near = band(api, assessment(NEW, "{\"swr\": 1.1}")).get("near");
        assertThat(near.get("eirpW").isNull()).isTrue();
        assertThat(near.get("distanceM").isNull()).isTrue();
        JsonNode dipole = band(api, assessment(NEW, "{\"swr\": 1.1}, \"antennaGainDbi\": 2.15"))
                .get("near");
        assertThat(dipole.get("distanceM").asDouble()).isPositive();
    }

    @Test
    void aBalancedLineLosesMoreWhenItIsWetAndBothDaysAreTold(Api api) {
        String window =
                "{\"id\": \"main\", \"kind\": \"LINE\", \"cableKey\": \"window-450\", \"lengthM\": 30, \"candidate\": true}";
        String body = assessment(window, "{\"swr\": 5}");
        String asked =
                ", \"candidates\": [{\"cableKey\": \"rg-58\"}], \"details\": [{\"rowId\": \"%s\", \"band\": 0}]}";
        String open = body.substring(0, body.length() - 1);
        JsonNode dry = detail(api, open + asked.formatted("window-450"));
        JsonNode wet = detail(api, open + ", \"wet\": true" + asked.formatted("window-450"));
        assertThat(dry.get("otherWeather").get("wet").asBoolean()).isTrue();
        assertThat(wet.get("otherWeather").get("wet").asBoolean()).isFalse();
        assertThat(wet.get("assessment").get("matchedLossDb").asDouble())
                .isCloseTo(3 * dry.get("assessment").get("matchedLossDb").asDouble(), within(1e-9));
        assertThat(dry.get("otherWeather").get("totalLossDb").asDouble())
                .isCloseTo(wet.get("assessment").get("totalLossDb").asDouble(), within(1e-9));
        assertThat(detail(api, open + asked.formatted("rg-58"))
                        .get("otherWeather")
                        .isNull())
                .isTrue();
    }

    private static JsonNode detail(Api api, String body) {
        return api.post("/api/comparisons", body)
                .expect(200)
                .json()
                .get("details")
                .get(0);
    }

    @Test
    void bareTerminalsStandInTheirLineAndConnectorsOfNoConstantImpedanceReflect(Api api) {
        String terminals = "{\"kind\": \"JOINT\", \"connectorKey\": \"terminals\"}";
        String open = "{\"kind\": \"LINE\", \"cableKey\": \"open-600\", \"lengthM\": 20}";
        String at40 = assessment(
                        terminals + "," + open + "," + terminals, "{\"resistanceOhm\": 4000, \"reactanceOhm\": 900}")
                .replace("145", "7.1")
                .replace("NONE", "AT_RADIO");
        JsonNode elements = band(api, at40).get("elements");
        assertThat(elements.get(0).get("lossDb").asDouble()).isLessThan(0.05);
        assertThat(elements.get(2).get("lossDb").asDouble()).isLessThan(0.05);

        String uhf = "{\"kind\": \"JOINT\", \"connectorKey\": \"uhf\"}";
        String four =
                String.join(",", uhf, uhf, uhf, uhf, "{\"kind\": \"LINE\", \"cableKey\": \"foam-10\", \"lengthM\": 5}");
        assertThat(band(api, assessment(four, "{\"swr\": 1}").replace("145", "433"))
                        .get("swrAtRadio")
                        .asDouble())
                .isGreaterThan(1.5);
        assertThat(band(api, assessment(four, "{\"swr\": 1}").replace("145", "7.1"))
                        .get("swrAtRadio")
                        .asDouble())
                .isLessThan(1.06);
    }
}
