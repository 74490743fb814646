package org.eskiz.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

@ExtendWith(RealServer.class)
class LoadFilesTest {

    @Test
    void aTableOfImpedancesIsReadBetweenItsRows(Api api) {
        JsonNode answer = read(api, "wire.csv", "MHz,R,X\n7.0,40,-30\n7.2,60,40\n", 7.0, 7.1, 14.2);
        assertThat(answer.get("rows").asInt()).isEqualTo(2);
        JsonNode first = answer.get("loads").get(0);
        assertThat(first.get("resistanceOhm").asDouble()).isCloseTo(40, within(1e-9));
        assertThat(first.get("reactanceOhm").asDouble()).isCloseTo(-30, within(1e-9));
        JsonNode beyond = answer.get("loads").get(2);
        assertThat(beyond.get("resistanceOhm").isNull()).isTrue();
        assertThat(beyond.get("whyNot").asString()).isEqualTo("the file covers 7.0 to 7.2 MHz, not 14.2 MHz");
    }

    @Test
    void semicolonsTakeDecimalCommasAndAHeaderNamesTheUnit(Api api) {
        JsonNode load = read(api, "swr.csv", "frequency in kHz;SWR\n7000;1,5\n7200;3\n", 7.0)
                .get("loads")
                .get(0);
        assertThat(load.get("swr").asDouble()).isCloseTo(1.5, within(1e-12));
        assertThat(load.get("referenceOhm").asDouble()).isEqualTo(50);
    }

    @ParameterizedTest
    @CsvSource({
        "RI, 0.3 -0.4",
        "MA, 0.5 -53.13010235415598",
        "DB, -6.020599913279624 -53.13010235415598",
    })
    void aSweepIsReadInEveryFormat(String format, String point) {
        var table = LoadFileService.onePort("! made up\n# kHz S " + format + " R 75\n7000 " + point + " ! here\n");
        var load = (org.eskiz.core.run.Load.Impedance) table.at(7.0).orElseThrow();
        // (1 + rho)/(1 - rho) with rho = 0.3 - 0.4j
        assertThat(load.resistanceOhm()).isCloseTo(75 * 0.75 / 0.65, within(1e-9));
        assertThat(load.reactanceOhm()).isCloseTo(75 * -0.8 / 0.65, within(1e-9));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "a.csv | | there is no row",
                "a.csv | MHz,SWR | there is no row",
                "a.csv | 7,1,2,3 | 4 columns; there must be 2 (MHz, SWR) or 3 (MHz, R, X)",
                "a.csv | 7,1.5~7.1,40,2 | line 2: 3 columns, where the first row has 2",
                "a.csv | 7,0.5 | an SWR of 0.5; it is at least 1",
                "a.csv | 7,0,3 | a resistance of 0",
                "a.csv | 7.1 MHz,1.5 | not a plain number",
                "a.csv | 7,1.5~7200 kHz,2 | line 2: \"7200 kHz\" is not a plain number",
                "a.csv | 7100,1.5~99999,2 | 99999.0 MHz; from 0.1 to 30000 MHz",
                "a.csv | 7,NaN | not a plain number",
                "a.csv | 7,\"1.5 | not a table",
                "a.s1p | # MHz S RI R 50 | no point",
                "a.s1p | # MHz S RI R 50~7 0.1 | 2 numbers, where a sweep of one port has 3",
                "a.s1p | 7 0 0 0 0 0 0 0 0 | two-port sweep",
                "a.s1p | # MHz S XY R 50~7 0 0 | line 1: \"XY\" is not understood",
                "a.s1p | 7 0 0~7 0 0 | line 2: 7000.0 MHz stands in line 1 already",
                "a.s1p | 7 0 nan | \"nan\" is not a number",
                "a.s1p | [Version] 3.0 | version 3.0 of the format",
            })
    void whatIsWrongIsNamedWithItsLine(String name, String text, String told, Api api) {
        JsonNode problem = api.post("/api/loads", body(name, text == null ? "" : text.replace("~", "\n"), 7.0))
                .expectProblem(422);
        assertThat(problem.get("errors").get(0).get("path").asString()).isEqualTo("text");
        assertThat(problem.get("detail").asString()).contains(told);
    }

    @Test
    void aReflectionThatCannotBeIsToldForItsFrequencyAlone(Api api) {
        JsonNode loads = read(api, "a.s1p", "# MHz S RI R 50\n7 1.2 0\n8 0.1 0\n", 7.0, 8.0)
                .get("loads");
        assertThat(loads.get(0).get("whyNot").asString()).contains("must stay below 1");
        assertThat(loads.get(1).get("whyNot").isNull()).isTrue();
    }

    private static JsonNode read(Api api, String name, String text, double... frequencies) {
        return api.post("/api/loads", body(name, text, frequencies)).expect(200).json();
    }

    private static String body(String name, String text, double... frequencies) {
        ObjectNode body = JsonMapper.builder().build().createObjectNode();
        body.put("fileName", name).put("text", text);
        var array = body.putArray("frequenciesMHz");
        for (double f : frequencies) {
            array.add(f);
        }
        return body.toString();
    }
}
