package org.eskiz.server.instrument;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.eskiz.instruments.AnalyserProgram;
import org.eskiz.instruments.WattmeterProgram;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** Stand-ins over a real socket, driven through the real interface, with every fault that they know. */
@ExtendWith(RealServer.class)
class InstrumentsOverHttpTest {

    private static int analyser;
    private static int wattmeter;

    private static final UUID HOLDER = UUID.randomUUID();

    @BeforeAll
    static void switchOn() throws IOException {
        analyser = freePort();
        wattmeter = freePort();
        run(() -> AnalyserProgram.main(new String[] {Integer.toString(analyser)}));
        run(() -> WattmeterProgram.main(new String[] {Integer.toString(wattmeter)}));
        awaitPort(analyser);
        awaitPort(wattmeter);
    }

    @BeforeEach
    void putRight() throws IOException {
        tell(analyser, "SIM:FAUL NONE;*RST;SIM:CABL \"Good 20\"");
        tell(wattmeter, "SIM:FAUL NONE;*RST;SIM:CABL \"Good 20\"");
    }

    @Test
    void anAnalyserIsIdentifiedCalibratedSweptAndWhatItGaveIsKept(Api api) {
        JsonNode who =
                api.post("/api/instruments/identity", at(analyser)).expect(200).json();
        assertThat(who.get("kind").asString()).isEqualTo("ANALYSER");
        assertThat(who.get("calibrated").asBoolean()).isFalse();
        assertThat(who.get("shelf").size()).isGreaterThanOrEqualTo(6);

        // without a calibration it is seen that there is none
        assertThat(analysis(api, sweep(api, "THROUGH"), "foam-10", 20)
                        .get("findings")
                        .toString())
                .contains("SWEEP_GAINS");

        for (String standard : new String[] {"OPEN", "SHORT", "LOAD", "THRU", "SAVE"}) {
            JsonNode step = api.post(
                            "/api/instruments/calibration", with(analyser, "\"standard\": \"" + standard + "\""))
                    .expect(200)
                    .json();
            assertThat(step.get("calibrated").asBoolean()).isEqualTo(standard.equals("SAVE"));
        }
        JsonNode good = analysis(api, sweep(api, "THROUGH"), "foam-10", 20);
        assertThat(good.get("outcome").asString()).isEqualTo("AS_THE_SHEET");
        assertThat(good.get("line").get("velocityFactor").asDouble()).isCloseTo(0.85, within(0.005));

        api.post("/api/instruments/shelf", with(analyser, "\"cable\": \"Kinked 27\""))
                .expect(200);
        String looked = sweep(api, "LOAD");
        JsonNode along = api.post(
                        "/api/bench/distances",
                        "{\"fileId\": \"" + looked + "\", \"cableKey\": \"foam-7\", \"lengthM\": 27}")
                .expect(200)
                .json();
        assertThat(along.get("peaks").toString()).contains("CHANGE");
        assertThat(along.get("peaks").valueStream().map(p -> p.get("distanceM").asDouble()))
                .anySatisfy(d -> assertThat(d)
                        .isCloseTo(11, within(along.get("resolutionM").asDouble())));
    }

    @Test
    void aWattmeterIsKeyedReadAndLetGo(Api api) throws IOException {
        assertThat(api.post("/api/instruments/identity", at(wattmeter))
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
        assertThat(ask(wattmeter, "OUTP?")).isEqualTo("0");
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
        tell(wattmeter, "SIM:FAUL " + fault);
        String keyed = with(wattmeter, "\"frequencyMHz\": 145, \"powerW\": 100, \"path\": \"DIRECT\"");
        JsonNode answer =
                api.post("/api/instruments/readings", keyed).expect(status).json();
        tell(wattmeter, "SIM:FAUL NONE");
        assertThat(ask(wattmeter, "OUTP?")).isEqualTo("0");
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
        tell(wattmeter, "SIM:FAUL STUCK");
        JsonNode answer = api.post(
                        "/api/instruments/readings",
                        with(wattmeter, "\"frequencyMHz\": 145, \"powerW\": 100, \"path\": \"DIRECT\""))
                .expect(502)
                .json();
        assertThat(answer.get("code").asString()).isEqualTo("TRANSMITTER_MAY_BE_KEYED");
        assertThat(answer.get("detail").asString()).contains("switch it off by hand, at the radio");
        assertThat(api.get("/api/instruments/keyed")
                        .json()
                        .get("addresses")
                        .get(0)
                        .asString())
                .isEqualTo("127.0.0.1:" + wattmeter);
        transmitter.switchOffWhatWasLeft();
        assertThat(api.get("/api/instruments/keyed").json().get("addresses")).hasSize(1);
        tell(wattmeter, "SIM:FAUL NONE");
        transmitter.switchOffWhatWasLeft();
        assertThat(api.get("/api/instruments/keyed").json().get("addresses")).isEmpty();
    }

    /** A warning in the middle of every reading would soon be read by nobody. */
    @Test
    void aRadioThatIsBeingReadIsNoneThatWasLeftKeyed(Transmitter transmitter, JdbcTemplate sql) {
        var to = new InstrumentRequest("127.0.0.1", wattmeter, HOLDER);
        int warnings = transmitter.whileKeyed(to, 2000, new String[0], connection -> {
            assertThat(sql.queryForObject("select count(*) from keyed_transmitter", Integer.class))
                    .isEqualTo(1);
            return transmitter.maybeKeyed().size();
        });
        assertThat(warnings).isZero();
    }

    @Test
    void aServerThatStartsSwitchesOffWhatAKilledOneLeftKeyed(Transmitter transmitter, JdbcTemplate sql)
            throws IOException {
        tell(wattmeter, "OUTP ON");
        sql.update(
                "insert into keyed_transmitter values (?, '127.0.0.1', ?, now())", "127.0.0.1:" + wattmeter, wattmeter);
        transmitter.switchOffWhatWasLeft();
        assertThat(ask(wattmeter, "OUTP?")).isEqualTo("0");
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
        api.post("/api/instruments/shelf", with(wattmeter, "\"cable\": \"" + cable + "\""))
                .expectProblem(422);
        assertThat(ask(wattmeter, "OUTP?")).isEqualTo("0");
    }

    @Test
    void frequenciesThatCannotBeAreNamed(Api api) throws IOException {
        sweep(api, "OPEN");
        tell(analyser, "SIM:FAUL ZERO");
        assertThat(api.post(
                                "/api/instruments/sweeps/result",
                                with(analyser, "\"connection\": \"OPEN\", \"name\": \"x\""))
                        .expectProblem(502)
                        .get("detail")
                        .asString())
                .contains("0.0 Hz as frequency 1 of 201, which cannot be");
    }

    @Test
    void anInstrumentIsTheSameHoweverItsHostIsCalled(Api api) {
        api.post("/api/instruments/identity", at(analyser)).expect(200);
        String other = at(analyser)
                .replace(HOLDER.toString(), UUID.randomUUID().toString())
                .replace("127.0.0.1", "localhost");
        api.post("/api/instruments/identity", other).expect(409);
        api.post("/api/instruments/release", at(analyser).replace("127.0.0.1", "localhost"))
                .expect(204);
        api.post("/api/instruments/identity", other).expect(200);
        api.post("/api/instruments/release", other).expect(204);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "REFUSED|broke off in the middle",
                "CUT|broke off in the middle",
                "GARBAGE|is no",
                "ENDLESS|does not end",
                "SILENT|does not answer in time"
            })
    void aFaultOfTheLineIsNamedInTimeAndTheInstrumentGoesOn(String fault, String told, Api api) throws IOException {
        tell(analyser, "SIM:FAUL " + fault);
        assertThat(api.post("/api/instruments/identity", at(analyser))
                        .expect(502)
                        .json()
                        .get("detail")
                        .asString())
                .contains(told);
        tell(analyser, "SIM:FAUL NONE");
        api.post("/api/instruments/identity", at(analyser)).expect(200);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "SHORTBLOCK|sends a block of",
                "LONGBLOCK|announces a block of 900000000 bytes; at most 4194304 are read",
                "NAN|which is no number"
            })
    void dataThatCannotBeAreNamedAndNothingIsKept(String fault, String told, Api api) throws IOException {
        sweep(api, "OPEN");
        tell(analyser, "SIM:FAUL " + fault);
        assertThat(api.post(
                                "/api/instruments/sweeps/result",
                                with(analyser, "\"connection\": \"OPEN\", \"name\": \"x\""))
                        .expect(502)
                        .json()
                        .get("detail")
                        .asString())
                .contains(told);
    }

    @Test
    void aSweepThatStopsHalfWayStaysThereUntilItIsBrokenOff(Api api) throws IOException, InterruptedException {
        tell(analyser, "SIM:FAUL HALF");
        begin(api, "OPEN");
        Thread.sleep(900);
        assertThat(progress(api)).isEqualTo(50);
        assertThat(api.post(
                                "/api/instruments/sweeps/result",
                                with(analyser, "\"connection\": \"OPEN\", \"name\": \"x\""))
                        .status())
                .isEqualTo(502);
        api.post("/api/instruments/sweeps/abort", at(analyser)).expect(204);
        assertThat(progress(api)).isZero();
    }

    @Test
    void twoTabsDoNotDriveOneInstrument(Api api) {
        api.post("/api/instruments/identity", at(analyser)).expect(200);
        String other = at(analyser).replace(HOLDER.toString(), UUID.randomUUID().toString());
        assertThat(api.post("/api/instruments/identity", other)
                        .expect(409)
                        .json()
                        .get("detail")
                        .asString())
                .contains("another tab drives");
        // who does not hold it cannot let it go either
        api.post("/api/instruments/release", other).expect(204);
        api.post("/api/instruments/identity", other).expect(409);
        api.post("/api/instruments/release", at(analyser)).expect(204);
        api.post("/api/instruments/identity", other).expect(200);
        api.post("/api/instruments/release", other).expect(204);
    }

    @Test
    void onlyThisMachineIsReachedAndWhatIsThereMustBeAnInstrument(Api api) throws IOException {
        assertThat(api.post("/api/instruments/identity", at(analyser).replace("127.0.0.1", "192.0.2.7"))
                        .expect(422)
                        .json()
                        .get("detail")
                        .asString())
                .contains("is not this machine");
        assertThat(api.post("/api/instruments/identity", at(freePort()))
                        .expect(502)
                        .json()
                        .get("detail")
                        .asString())
                .contains("nobody answers at 127.0.0.1");
        try (ServerSocket web = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            run(() -> {
                try (Socket visitor = web.accept()) {
                    visitor.getOutputStream().write("HTTP/1.1 400 Bad Request\n".getBytes(StandardCharsets.US_ASCII));
                    visitor.getInputStream().read();
                }
            });
            assertThat(api.post("/api/instruments/identity", at(web.getLocalPort()))
                            .expect(502)
                            .json()
                            .get("detail")
                            .asString())
                    .contains("is no instrument");
        }
    }

    @Test
    void aBlindTestHidesThePieceUntilItIsAskedFor(Api api) {
        JsonNode blind = api.post("/api/instruments/shelf", "{\"instrument\": " + at(analyser) + "}")
                .expect(200)
                .json();
        assertThat(blind.get("cable").asString()).isEqualTo("blind");
        JsonNode revealed = api.post("/api/instruments/shelf/reveal", at(analyser))
                .expect(200)
                .json();
        assertThat(blind.get("shelf").toString()).contains(revealed.get("label").asString());
        assertThat(revealed.get("truth").asString()).isNotBlank();
        api.post("/api/instruments/shelf", with(analyser, "\"cable\": \"No such\""))
                .expect(502);
    }

    private String sweep(Api api, String connection) {
        begin(api, connection);
        for (int i = 0; i < 100 && progress(api) < 100; i++) {
            pause();
        }
        JsonNode kept = api.post(
                        "/api/instruments/sweeps/result",
                        with(analyser, "\"connection\": \"" + connection + "\", \"name\": \"Good/20\""))
                .expect(201)
                .json();
        assertThat(kept.get("points").asInt()).isEqualTo(201);
        assertThat(kept.get("ports").asInt()).isEqualTo(connection.equals("THROUGH") ? 2 : 1);
        assertThat(kept.get("fileName").asString()).startsWith("Good_20.s");
        return kept.get("id").asString();
    }

    private void begin(Api api, String connection) {
        api.post(
                        "/api/instruments/sweeps",
                        with(
                                analyser,
                                "\"startMHz\": 2, \"stopMHz\": 450, \"points\": 201, \"connection\": \"" + connection
                                        + "\""))
                .expect(200);
    }

    private int progress(Api api) {
        return api.post("/api/instruments/sweeps/progress", at(analyser))
                .expect(200)
                .json()
                .get("percent")
                .asInt();
    }

    private String reading(Api api, String path) {
        return reading(api, path, 200);
    }

    private String reading(Api api, String path, int status) {
        JsonNode answer = api.post(
                        "/api/instruments/readings",
                        with(wattmeter, "\"frequencyMHz\": 145, \"powerW\": 100, \"path\": \"" + path + "\""))
                .expect(status)
                .json();
        return answer.get(status == 200 ? "text" : "detail").asString();
    }

    private static JsonNode analysis(Api api, String file, String type, double lengthM) {
        return api.post(
                        "/api/bench/analyses",
                        "{\"method\": \"THROUGH_SWEEP\", \"cableKey\": \"%s\", \"lengthM\": %s, \"bandsMHz\": [7.1, 28.5, 145, 433], \"throughFileId\": \"%s\"}"
                                .formatted(type, lengthM, file))
                .expect(200)
                .json();
    }

    private static String at(int port) {
        return "{\"host\": \"127.0.0.1\", \"port\": %d, \"holder\": \"%s\"}".formatted(port, HOLDER);
    }

    private static String with(int port, String more) {
        return "{\"instrument\": " + at(port) + ", " + more + "}";
    }

    private static void tell(int port, String commands) throws IOException {
        ask(port, commands + ";SYST:ERR?");
    }

    private static String ask(int port, String command) throws IOException {
        // the stand-in's own commands are answered whatever fault it has
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), port)) {
            socket.setSoTimeout(1000);
            socket.getOutputStream().write((command + "\n").getBytes(StandardCharsets.US_ASCII));
            byte[] answer = new byte[200];
            int n = socket.getInputStream().read(answer);
            return n < 0 ? "" : new String(answer, 0, n, StandardCharsets.US_ASCII).strip();
        } catch (SocketTimeoutException e) {
            return "";
        }
    }

    private static void pause() {
        try {
            Thread.sleep(40);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private static int freePort() throws IOException {
        try (ServerSocket free = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return free.getLocalPort();
        }
    }

    private static void awaitPort(int port) {
        for (int i = 0; i < 100; i++) {
            try {
                new Socket(InetAddress.getLoopbackAddress(), port).close();
                return;
            } catch (IOException e) {
                pause();
            }
        }
        throw new IllegalStateException("the stand-in at " + port + " does not come up");
    }

    private interface Program {
        void run() throws IOException;
    }

    private static void run(Program program) {
        Thread thread = new Thread(() -> {
            try {
                program.run();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
        thread.setDaemon(true);
        thread.start();
    }
}
