package org.eskiz.server.assessment;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import tools.jackson.databind.JsonNode;

@ExtendWith(RealServer.class)
class ProfileOverHttpTest {

    private static final String RUN = """
            {"radio": {"powerW": 400, "duty": 0.5}, "ambientC": 40, "run": [
              {"id": "j1", "kind": "JOINT", "connectorKey": "uhf"},
              {"id": "main", "kind": "LINE", "cableKey": "rg-58", "lengthM": 20, "candidate": true},
              {"id": "a", "kind": "DEVICE", "lossDb": 0.1}],
             "bands": [{"id": "b", "frequencyMHz": 30, "load": {"swr": 1}}]%s}""";

    @Test
    void whatTheCatalogueRatesIsHeldAgainstWhatIsThere(Api api) {
        JsonNode profile = api.post("/api/assessments/profile", RUN.formatted(""))
                .expect(200)
                .json();
        JsonNode line = profile.get("lines").get(0);
        assertThat(line.get("id").asString()).isEqualTo("main");
        // at 30 MHz and 40 °C the rating is the catalogue's own
        double rated = line.get("ratedPowerW").asDouble();
        assertThat(line.get("powerMargin").asDouble())
                .isCloseTo(rated / (0.5 * line.get("equivalentMatchedPowerW").asDouble()), within(1e-9));
        double peak = Math.sqrt(2) * line.get("maxVoltageRms").asDouble();
        assertThat(line.get("voltageMargin").asDouble())
                .isCloseTo(line.get("ratedPeakVoltageV").asDouble() / peak, within(1e-9));
        JsonNode joint = profile.get("joints").get(0);
        assertThat(joint.get("element").asInt()).isZero();
        assertThat(joint.get("voltageMargin").asDouble())
                .isCloseTo(500 / (Math.sqrt(2) * joint.get("voltageRms").asDouble()), within(1e-9));
        assertThat(joint.get("powerMargin").asDouble()).isGreaterThan(1);
        assertThat(profile.get("joints")).hasSize(1);
    }

    @Test
    void withoutAKnownAngleEveryFigureHasBounds(Api api) {
        JsonNode line = api.post("/api/assessments/profile", RUN.formatted("").replace("{\"swr\": 1}", "{\"swr\": 3}"))
                .expect(200)
                .json()
                .get("lines")
                .get(0);
        JsonNode voltage = line.get("points").get(10).get("voltageRms");
        assertThat(voltage.get("min").asDouble()).isLessThan(voltage.get("max").asDouble());
        assertThat(line.get("maxVoltageFromRadioM").isNull()).isTrue();
    }

    @Test
    void aCellOfTheLedgerIsFollowedWithTheCableOfItsRow(Api api) {
        JsonNode details = api.post(
                        "/api/comparisons",
                        RUN.formatted(
                                ", \"details\": [{\"rowId\": \"foam-10\", \"band\": 0, \"profile\": true}, {\"rowId\": \"rg-58\", \"band\": 0}]"))
                .expect(200)
                .json()
                .get("details");
        JsonNode thick = details.get(0).get("profile").get("lines").get(0);
        JsonNode thin = api.post("/api/assessments/profile", RUN.formatted(""))
                .json()
                .get("lines")
                .get(0);
        assertThat(thick.get("ratedPowerW").asDouble())
                .isGreaterThan(thin.get("ratedPowerW").asDouble());
        assertThat(details.get(1).get("profile").isNull()).isTrue();
    }

    @Test
    void aRatingIsTakenAsWrittenOut(Api api) {
        String cable = """
                {"impedanceOhm": 50, "velocityFactor": 0.8, "attenuation": {"k1": 1, "k2": 0.01}, "ratings": {"averagePowerW": 300, "maxOperatingC": %s}}""";
        String run = RUN.formatted("").replace("\"cableKey\": \"rg-58\"", "\"cable\": " + cable);
        JsonNode line = api.post("/api/assessments/profile", run.formatted("80"))
                .expect(200)
                .json()
                .get("lines")
                .get(0);
        assertThat(line.get("ratedPowerW").asDouble()).isCloseTo(300, within(1e-9));
        assertThat(line.get("voltageMargin").isNull()).isTrue();
        JsonNode problem =
                api.post("/api/assessments/profile", run.formatted("35")).expectProblem(422);
        assertThat(problem.get("errors").get(0).get("path").asString()).isEqualTo("run[1].cable.ratings.maxOperatingC");
    }

    @Test
    void oneBandAndSomePowerAreNeeded(Api api) {
        String twice = RUN.formatted("")
                .replace("\"bands\": [", "\"bands\": [{\"frequencyMHz\": 7, \"load\": {\"swr\": 1}}, ");
        assertThat(api.post("/api/assessments/profile", twice)
                        .expectProblem(422)
                        .get("detail")
                        .asString())
                .contains("exactly one band, not 2");
        assertThat(api.post("/api/assessments/profile", RUN.formatted("").replace("\"powerW\": 400, ", ""))
                        .expectProblem(422)
                        .get("detail")
                        .asString())
                .contains("without power");
    }
}
