package org.eskiz.server.instrument;

import static org.assertj.core.api.Assertions.assertThat;
import static org.eskiz.server.instrument.StandIns.HOLDER;
import static org.eskiz.server.instrument.StandIns.WATTMETER;
import static org.eskiz.server.instrument.StandIns.ask;
import static org.eskiz.server.instrument.StandIns.at;
import static org.eskiz.server.instrument.StandIns.tell;
import static org.eskiz.server.instrument.StandIns.with;

import java.io.IOException;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.eskiz.server.operator.WorkshopService;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** A radio that is keyed through the stand-in, and let go whatever becomes of the reading. */
@ExtendWith(RealServer.class)
class TransmitterOverHttpTest {

    @BeforeEach
    void putRight() throws IOException {
        StandIns.putRight();
    }

    @Test
    void aWattmeterIsKeyedReadAndLetGo(Api api) throws IOException {
        assertThat(api.post("/api/instruments/identity", at(WATTMETER))
                        .expect(200)
                        .json()
                        .get("kind")
                        .asString())
                .isEqualTo("WATTMETER");
        String direct = reading(api, "DIRECT");
        String through = reading(api, "CABLE");
        assertThat(direct).matches("9\\d\\.\\d-\\d+\\.\\d");
        JsonNode test = api.post(
                        "/api/bench/analyses",
                        "{\"method\": \"WATTMETER\", \"cableKey\": \"foam-10\", \"lengthM\": 20, \"readings\": [{\"frequencyMHz\": 145, \"baseline\": \"%s\", \"through\": \"%s\"}]}"
                                .formatted(direct, through))
                .expect(200)
                .json();
        assertThat(test.get("outcome").asString()).isEqualTo("AS_THE_SHEET");
        assertThat(ask(WATTMETER, "OUTP?")).isEqualTo("0");
    }

    /** Whatever becomes of a reading, the transmitter is off behind it, or somebody is told to switch it off. */
    @ParameterizedTest
    @CsvSource({
        "NONE, 200, false",
        "NAN, 502, false",
        "NEGATIVE, 502, false",
        "COMPLAINING, 502, false",
        "SILENT, 502, true",
        "CUT, 502, true",
        "GARBAGE, 502, true",
        "ENDLESS, 502, true"
    })
    void theTransmitterIsLetGoInEveryEnding(String fault, int status, boolean isUnconfirmed, Api api)
            throws IOException {
        tell(WATTMETER, "SIM:FAUL " + fault);
        String keyed = with(WATTMETER, "\"frequencyMHz\": 145, \"powerW\": 100, \"path\": \"DIRECT\"");
        JsonNode answer =
                api.post("/api/instruments/readings", keyed).expect(status).json();
        tell(WATTMETER, "SIM:FAUL NONE");
        assertThat(ask(WATTMETER, "OUTP?")).isEqualTo("0");
        if (status == 200) {
            assertThat(answer.get("transmitterOff").asBoolean()).isTrue();
        } else if (isUnconfirmed) {
            // the line failed before the key, or behind it and then nobody knows
            assertThat(answer.get("detail").asString())
                    .matches("(?s).*(switch it off by hand|no text|in time|does not end|broke off).*");
        } else {
            assertThat(answer.get("detail").asString()).endsWith("; the transmitter is off, and says so");
        }
        reading(api, "DIRECT");
        assertThat(api.get("/api/instruments/keyed").json().get("addresses")).isEmpty();
    }

    @Test
    void aKeyThatDoesNotLetGoIsSaidSoUntilItDoes(Api api, Transmitter transmitter) throws IOException {
        tell(WATTMETER, "SIM:FAUL STUCK");
        JsonNode answer = api.post(
                        "/api/instruments/readings",
                        with(WATTMETER, "\"frequencyMHz\": 145, \"powerW\": 100, \"path\": \"DIRECT\""))
                .expect(502)
                .json();
        assertThat(answer.get("code").asString()).isEqualTo("TRANSMITTER_MAY_BE_KEYED");
        assertThat(answer.get("detail").asString()).contains("switch it off by hand, at the radio");
        assertThat(api.get("/api/instruments/keyed")
                        .json()
                        .get("addresses")
                        .get(0)
                        .asString())
                .isEqualTo("127.0.0.1:" + WATTMETER);
        transmitter.switchOffWhatWasLeft();
        assertThat(api.get("/api/instruments/keyed").json().get("addresses")).hasSize(1);
        tell(WATTMETER, "SIM:FAUL NONE");
        transmitter.switchOffWhatWasLeft();
        assertThat(api.get("/api/instruments/keyed").json().get("addresses")).isEmpty();
    }

    /** A warning in the middle of every reading would soon be read by nobody. */
    @Test
    void aRadioThatIsBeingReadIsNoneThatWasLeftKeyed(
            Transmitter transmitter, JdbcTemplate sql, WorkshopService workshops) {
        var to = new InstrumentRequest("127.0.0.1", WATTMETER, HOLDER);
        workshops.byItself(() -> assertThat(transmitter.<Integer>whileKeyed(to, 2000, new String[0], connection -> {
                    assertThat(sql.queryForObject("select count(*) from keyed_transmitter", Integer.class))
                            .isEqualTo(1);
                    return transmitter.maybeKeyed().size();
                }))
                .isZero());
    }

    @Test
    void aServerThatStartsSwitchesOffWhatAKilledOneLeftKeyed(Transmitter transmitter, JdbcTemplate sql)
            throws IOException {
        tell(WATTMETER, "OUTP ON");
        sql.update(
                "insert into keyed_transmitter values (?, '127.0.0.1', ?, now())", "127.0.0.1:" + WATTMETER, WATTMETER);
        transmitter.switchOffWhatWasLeft();
        assertThat(ask(WATTMETER, "OUTP?")).isEqualTo("0");
        assertThat(transmitter.maybeKeyed()).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "Good 20\\nOUTP ON",
                "Good 20\\r\\nOUTP ON",
                "Good 20\\\";OUTP ON;SIM:CABL \\\"Good 20",
                "x;OUTP ON",
                "x' OUTP ON",
                "caf\u00e9",
                "x\\u0007"
            })
    void nothingTypedCanCarryASecondCommand(String cable, Api api) throws IOException {
        api.post("/api/instruments/shelf", with(WATTMETER, "\"cable\": \"" + cable + "\""))
                .expectProblem(422);
        assertThat(ask(WATTMETER, "OUTP?")).isEqualTo("0");
    }

    private String reading(Api api, String path) {
        return reading(api, path, 200);
    }

    private String reading(Api api, String path, int status) {
        JsonNode answer = api.post(
                        "/api/instruments/readings",
                        with(WATTMETER, "\"frequencyMHz\": 145, \"powerW\": 100, \"path\": \"" + path + "\""))
                .expect(status)
                .json();
        return answer.get(status == 200 ? "text" : "detail").asString();
    }
}
