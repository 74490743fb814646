package org.eskiz.server.exchange;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.stream.Stream;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Tables of attenuation in every usual form, read through the real interface. */
@ExtendWith(RealServer.class)
class SheetTextReaderTest {

    /** Every one of them says 100 MHz at 6 dB and 1000 MHz at 20 dB per 100 m. */
    static Stream<Arguments> sameTable() {
        return Stream.of(
                Arguments.of("plain", "100 6\n1000 20", "spaces"),
                Arguments.of("tabs and a header", "MHz\tdB/100 m\n100\t6.0\n1000\t20.0", "tabs"),
                Arguments.of("semicolons and decimal commas", "Frequenz MHz;dB/100m\n100;6,0\n1000;20,0", "semicolons"),
                Arguments.of("commas", "f,a\n100,6.0\n1000,20.0", "commas"),
                Arguments.of("commas with spaces", "100, 6.0\n1000, 20.0", "commas"),
                Arguments.of("spaces and decimal commas", "100   6,0\n1000   20,0", "spaces"),
                Arguments.of("gigahertz", "GHz dB/100m\n0.1 6\n1 20", "spaces"),
                Arguments.of("per 100 ft", "MHz;dB/100 ft\n100;1.8288\n1000;6.096", "semicolons"),
                Arguments.of("per metre", "MHz;dB/m\n100;0.06\n1000;0.2", "semicolons"),
                Arguments.of("per foot", "MHz;dB/ft\n100;0.018288\n1000;0.06096", "semicolons"),
                Arguments.of("units behind the numbers", "100 MHz 6 dB\n1000 MHz 20 dB", "spaces"),
                Arguments.of("one row in another unit", "100 MHz 6 dB\n1 GHz 20 dB", "spaces"),
                Arguments.of("loss before frequency", "6 dB @ 100 MHz\n20 dB @ 1000 MHz", "spaces"),
                Arguments.of("quoted decimal commas", "MHz,\"dB/100 m\"\n100,\"6,0\"\n1000,\"20,0\"", "commas"),
                Arguments.of("quoted cells", "\"100\";\"6,0\"\n\"1000\";\"20,0\"", "semicolons"),
                Arguments.of("both lengths", "MHz;dB/100 ft;dB/100 m\n100;1.8;6\n1000;6.1;20", "semicolons"),
                Arguments.of("bars", "| MHz | dB/100 m |\n| 100 | 6 |\n| 1000 | 20 |", "bars"),
                Arguments.of("a thousand by a comma beside points", "100 6.0\n1,000 20.0", "spaces"),
                Arguments.of("a thousand by a comma, told by rising frequencies", "100;6\n1,000;20", "semicolons"),
                Arguments.of("a thousand by a space", "100\t6.0\n1 000\t20.0", "tabs"),
                Arguments.of("a thousand by a space between spaces", "100 6.0\n1 000 20.0", "spaces"),
                Arguments.of("a thousand by a narrow space", "100;6,0\n1\u202F000;20,0", "semicolons"),
                Arguments.of("a thousand by a point beside commas", "100;6,0\n1.000,0;20,0", "semicolons"),
                Arguments.of("per kilometre", "MHz;dB/km\n100;60\n1000;200", "semicolons"),
                Arguments.of("per 1000 ft", "MHz;dB per 1000 ft\n100;18.288\n1000;60.96", "semicolons"),
                Arguments.of("per 30 m", "MHz;dB/30 m\n100;1.8\n1000;6.0", "semicolons"),
                Arguments.of("losses as gains, with a minus of print", "100 \u22126\n1000 \u221220", "spaces"),
                Arguments.of("a name above the heads", "Foam 10\nMHz;dB/100 m\n100;6\n1000;20", "semicolons"),
                Arguments.of("a comment and empty lines", "# typed by hand\n\n100 6\n\n1000 20\n", "spaces"));
    }

    @ParameterizedTest(name = "{0}")
    @MethodSource("sameTable")
    void everyUsualFormIsRead(String name, String text, String separator, Api api) {
        JsonNode read = read(api, text, "");
        assertThat(read.get("rows")).hasSize(2);
        row(read, 0, 100, 6);
        row(read, 1, 1000, 20);
        assertThat(read.get("understood").get("separator").asString()).isEqualTo(separator);
        assertThat(read.get("skipped")).isEmpty();
    }

    @Test
    void aTableOnItsSideIsReadFromLeftToRight(Api api) {
        String text = "MHz;100;400;1000\nRG-58;16;35;60\nFoam 10;4;8.4;14";
        JsonNode first = read(api, text, "");
        assertThat(first.get("understood").get("lying").asBoolean()).isTrue();
        assertThat(first.get("understood").get("columns"))
                .extracting(JsonNode::asString)
                .containsExactly("RG-58", "Foam 10");
        row(first, 2, 1000, 60);
        JsonNode second = read(api, text, ", \"lossColumn\": 3");
        row(second, 0, 100, 4);
        row(second, 2, 1000, 14);
    }

    @Test
    void ofSeveralCablesSideBySideOneIsChosenByItsHeading(Api api) {
        String text = "MHz;RG-58;RG-213;Foam 10\n100;16;7;4\n1000;60;26;14";
        JsonNode read = read(api, text, "");
        assertThat(read.get("understood").get("columns"))
                .extracting(JsonNode::asString)
                .containsExactly("RG-58", "RG-213", "Foam 10");
        row(read, 1, 1000, 60);
        row(read(api, text, ", \"lossColumn\": 4"), 1, 1000, 14);
    }

    @Test
    void columnsThatStandTheOtherWayRoundAreSwappedWhenAsked(Api api) {
        JsonNode swapped = read(api, "6 100\n20 1000", ", \"swapped\": true");
        row(swapped, 0, 100, 6);
        row(swapped, 1, 1000, 20);
    }

    @Test
    void linesOfWordsAreToldApartFromRowsThatWereNotUnderstood(Api api) {
        JsonNode read = read(api, "100 6\nsee the notes below\n200\n1000 20", "");
        assertThat(read.get("skipped").get(0).get("isRow").asBoolean()).isFalse();
        assertThat(read.get("skipped").get(1).get("isRow").asBoolean()).isTrue();
    }

    @Test
    void aLossIsNeverAThousandTimesAnother(Api api) {
        row(read(api, "100;1,250\n1000;4,500", ""), 0, 100, 1.25);
        row(read(api, "100 1.250\n1000 4.500", ""), 1, 1000, 4.5);
        row(read(api, "MHz;dB/100 m\n900;12,5\n1000;13.25", ""), 1, 1000, 13.25);
    }

    @Test
    void whatTheOperatorSaysStandsAboveTheHeader(Api api) {
        JsonNode read = read(api, "MHz;dB/100 m\n100;1.8288\n1000;6.096", ", \"lossPer\": \"PER_100_FT\"");
        row(read, 0, 100, 6);
        assertThat(read.get("understood").get("lossPer").asString()).isEqualTo("PER_100_FT");
    }

    @Test
    void aLineThatSaysNothingIsSkippedWithItsNumberAndWhy(Api api) {
        JsonNode read = read(api, "100 6\nnothing here\n200\n100 7\n0 3\n1000 20", "");
        assertThat(read.get("rows")).hasSize(2);
        assertThat(read.get("skipped").valueStream().map(s -> s.get("line").asInt()))
                .containsExactly(2, 3, 4, 5);
        assertThat(read.get("skipped").get(2).get("why").asString()).contains("twice");
        assertThat(read.get("rows").get(1).get("line").asInt()).isEqualTo(6);
    }

    @Test
    void slipsAreFoundBeforeAnythingIsStored(Api api) {
        String cable = ", \"impedanceOhm\": 50, \"velocityFactor\": 0.85, \"outerDiameterMm\": 10.3";
        assertThat(slips(read(api, "6 100\n20 1000\n2 10", cable))).containsExactly("COLUMNS_SWAPPED");
        assertThat(slips(read(api, "100 1.3\n1000 4.5", cable))).containsExactly("PER_100_FT");
        assertThat(slips(read(api, "100 6\n200 5\n1000 20", cable))).contains("FALLING");
        assertThat(slips(read(api, "100 4.3\n1000 15", cable))).isEmpty();
    }

    @Test
    void whatIsNoTableIsRefusedInWords(Api api) {
        for (String text : new String[] {"", "no numbers at all", "\u0000\u0001binary", "5"}) {
            JsonNode problem =
                    api.post("/api/sheets", body(text, "")).expect(422).json();
            assertThat(problem.get("detail").asString()).isNotBlank();
        }
        StringBuilder huge = new StringBuilder();
        for (int i = 1; i <= 100_000; i++) {
            huge.append(i).append(" 1\n");
        }
        assertThat(api.post("/api/sheets", body(huge.toString(), ""))
                        .expect(422)
                        .json()
                        .toString())
                .contains("more than 200 rows");
    }

    private static void row(JsonNode read, int index, double mhz, double db) {
        JsonNode row = read.get("rows").get(index);
        assertThat(row.get("frequencyMHz").asDouble()).isCloseTo(mhz, within(1e-9 * mhz));
        assertThat(row.get("attenuationDbPer100m").asDouble()).isCloseTo(db, within(1e-9 * db));
    }

    private static Stream<String> slips(JsonNode read) {
        return read.get("findings").valueStream().map(f -> f.get("slip").asString());
    }

    private static JsonNode read(Api api, String text, String more) {
        return api.post("/api/sheets", body(text, more)).expect(200).json();
    }

    private static String body(String text, String more) {
        return "{\"text\": " + JsonMapper.shared().writeValueAsString(text) + more + "}";
    }
}
