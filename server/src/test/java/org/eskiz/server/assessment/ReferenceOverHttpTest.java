package org.eskiz.server.assessment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.InputStream;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import java.util.stream.StreamSupport;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.TestFactory;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

/** Every independently computed case, through the whole server. */
@ExtendWith(RealServer.class)
class ReferenceOverHttpTest {

    @TestFactory
    Stream<DynamicTest> everyRun(Api api) throws IOException {
        return cases("run-cases.json")
                .map(c -> DynamicTest.dynamicTest(c.get("name").asString(), () -> run(api, c)));
    }

    private static void run(Api api, JsonNode c) {
        Api.Answer answer = api.post("/api/assessments", c.get("request").toString());
        JsonNode expect = c.get("expect");
        if (expect.isNull()) {
            JsonNode problem = answer.expectProblem(422);
            assertThat(problem.get("errors").get(0).get("path").asString()).isEqualTo("bands[0].load.swrAtRadio");
            assertThat(problem.get("detail").asString()).contains("this run shows between");
            return;
        }
        JsonNode band = answer.expect(200).json().get("bands").get(0);
        for (Map.Entry<String, JsonNode> figure : expect.properties()) {
            if (figure.getKey().equals("elementLossDb")) {
                for (int i = 0; i < figure.getValue().size(); i++) {
                    agrees(
                            band.get("elements").get(i).get("lossDb"),
                            figure.getValue().get(i),
                            1e-9);
                }
            } else {
                agrees(band.get(figure.getKey()), figure.getValue(), 1e-9);
            }
        }
    }

    @TestFactory
    Stream<DynamicTest> everyChance(Api api) throws IOException {
        return cases("confidence-cases.json")
                .map(c -> DynamicTest.dynamicTest(c.get("name").asString(), () -> chance(api, c)));
    }

    /** Against samples that were drawn at random, so to what those allow. */
    private static void chance(Api api, JsonNode c) {
        String joint = "{\"kind\": \"JOINT\", \"lossDb\": %s}".formatted(c.get("jointLossDb"));
        String cable = c.get("cable").toString().replaceFirst("\\}$", ", \"tolerance\": " + c.get("tolerance") + "}");
        String bands = c.get("bands")
                .valueStream()
                .map(b -> "{\"frequencyMHz\": %s, \"load\": {\"swr\": %s}}"
                        .formatted(b.get("frequencyMHz"), b.get("swr")))
                .collect(Collectors.joining(", "));
        JsonNode sure = api.post("/api/confidence", """
                {"radio": {"powerW": %s}, "ambientC": %s, "run": [%s, {"kind": "LINE", "lengthM": %s, "cable": %s}, %s],
                 "bands": [%s], "requirements": [{"kind": "LEAST_PERCENT", "percent": %s}]}""".formatted(
                                c.get("radioPowerW"),
                                c.get("ambientC"),
                                joint,
                                c.get("lengthM"),
                                cable,
                                joint,
                                bands,
                                c.get("leastPercent")))
                .expect(200)
                .json();
        assertThat(sure.get("chance").asDouble()).isCloseTo(c.get("chance").asDouble(), within(0.03));
        for (int i = 0; i < c.get("bands").size(); i++) {
            JsonNode expected = c.get("bands").get(i);
            JsonNode band = sure.get("bands").get(i);
            agrees(band.get("powerAtAntennaW"), expected.get("powerAtAntennaW"), 0.01);
            expected.get("shares")
                    .properties()
                    .forEach(share -> assertThat(
                                    band.get("shares").get(share.getKey()).asDouble())
                            .as(share.getKey())
                            .isCloseTo(share.getValue().asDouble(), within(0.02)));
        }
    }

    @TestFactory
    Stream<DynamicTest> everyProfile(Api api) throws IOException {
        return cases("profile-cases.json")
                .map(c -> DynamicTest.dynamicTest(c.get("cableKey").asString(), () -> profile(api, c)));
    }

    private static void profile(Api api, JsonNode c) {
        String body = """
                {"radio": {"powerW": %s}, "run": [{"kind": "LINE", "lengthM": %s, "cable": %s}],
                 "bands": [{"frequencyMHz": %s, "load": %s}]}""".formatted(
                c.get("powerEnteringW"), c.get("lengthM"), c.get("cable"), c.get("frequencyMHz"), c.get("load"));
        JsonNode line = api.post("/api/assessments/profile", body)
                .expect(200)
                .json()
                .get("lines")
                .get(0);
        JsonNode expect = c.get("expect");
        for (String figure : List.of("maxVoltageRms", "maxCurrentRms", "maxHeatWPerM", "equivalentMatchedPowerW")) {
            agrees(line.get(figure), expect.get(figure), 1e-6);
        }
        JsonNode points = line.get("points");
        agrees(points.get(0).get("voltageRms"), expect.get("voltageAtRadioRms"), 1e-6);
        agrees(points.get(points.size() - 1).get("voltageRms"), expect.get("voltageAtAntennaRms"), 1e-6);
    }

    @TestFactory
    Stream<DynamicTest> everyFit(Api api) throws IOException {
        return cases("fit-cases.json")
                .map(c -> DynamicTest.dynamicTest(c.get("name").asString(), () -> fit(api, c)));
    }

    private static void fit(Api api, JsonNode c) {
        JsonNode fit = api.post("/api/fits", "{\"points\": " + c.get("points") + "}")
                .expect(200)
                .json();
        for (String figure : List.of("k1", "k2", "worstRelativeResidual")) {
            agrees(fit.get(figure), c.get(figure), 1e-6);
        }
        assertThat(fit.get("residuals")).hasSize(c.get("points").size());
    }

    private static void agrees(JsonNode actual, JsonNode reference, double relative) {
        if (reference.isObject()) {
            reference.properties().forEach(e -> agrees(actual.get(e.getKey()), e.getValue(), relative));
            return;
        }
        double expected = reference.asDouble();
        assertThat(Math.abs(actual.asDouble() - expected))
                .as("%s, reference %s", actual, reference)
                .isLessThanOrEqualTo(relative * Math.abs(expected) + 1e-12);
    }

    private static Stream<JsonNode> cases(String file) throws IOException {
        try (InputStream in = ReferenceOverHttpTest.class.getResourceAsStream("/reference/" + file)) {
            JsonNode cases = Api.parse(new String(in.readAllBytes(), java.nio.charset.StandardCharsets.UTF_8))
                    .get("cases");
            return StreamSupport.stream(cases.spliterator(), false);
        }
    }
}
