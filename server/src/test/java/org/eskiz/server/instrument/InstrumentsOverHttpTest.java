package org.eskiz.server.instrument;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
import static org.awaitility.Awaitility.await;
import static org.eskiz.server.instrument.StandIns.ANALYSER;
import static org.eskiz.server.instrument.StandIns.HOLDER;
import static org.eskiz.server.instrument.StandIns.PATIENCE;
import static org.eskiz.server.instrument.StandIns.at;
import static org.eskiz.server.instrument.StandIns.freePort;
import static org.eskiz.server.instrument.StandIns.inBackground;
import static org.eskiz.server.instrument.StandIns.tell;
import static org.eskiz.server.instrument.StandIns.with;

import java.io.IOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.UUID;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.core.env.Environment;
import tools.jackson.databind.JsonNode;

/** Stand-ins over a real socket, driven through the real interface, with every fault that they know. */
@ExtendWith(RealServer.class)
class InstrumentsOverHttpTest {

    @BeforeEach
    void putRight() throws IOException {
        StandIns.putRight();
    }

    @Test
    void anAnalyserIsIdentifiedCalibratedSweptAndWhatItGaveIsKept(Api api) {
        JsonNode who =
                api.post("/api/instruments/identity", at(ANALYSER)).expect(200).json();
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
                            "/api/instruments/calibration", with(ANALYSER, "\"standard\": \"" + standard + "\""))
                    .expect(200)
                    .json();
            assertThat(step.get("calibrated").asBoolean()).isEqualTo(standard.equals("SAVE"));
        }
        JsonNode good = analysis(api, sweep(api, "THROUGH"), "foam-10", 20);
        assertThat(good.get("outcome").asString()).isEqualTo("AS_THE_SHEET");
        assertThat(good.get("line").get("velocityFactor").asDouble()).isCloseTo(0.85, within(0.005));

        api.post("/api/instruments/shelf", with(ANALYSER, "\"cable\": \"Kinked 27\""))
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
    void frequenciesThatCannotBeAreNamed(Api api) throws IOException {
        sweep(api, "OPEN");
        tell(ANALYSER, "SIM:FAUL ZERO");
        assertThat(api.post(
                                "/api/instruments/sweeps/result",
                                with(ANALYSER, "\"connection\": \"OPEN\", \"name\": \"x\""))
                        .expectProblem(502)
                        .get("detail")
                        .asString())
                .contains("0.0 Hz as frequency 1 of 201, which cannot be");
    }

    @Test
    void anInstrumentIsTheSameHoweverItsHostIsCalled(Api api) {
        api.post("/api/instruments/identity", at(ANALYSER)).expect(200);
        String other = at(ANALYSER)
                .replace(HOLDER.toString(), UUID.randomUUID().toString())
                .replace("127.0.0.1", "localhost");
        api.post("/api/instruments/identity", other).expect(409);
        api.post("/api/instruments/release", at(ANALYSER).replace("127.0.0.1", "localhost"))
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
        tell(ANALYSER, "SIM:FAUL " + fault);
        assertThat(api.post("/api/instruments/identity", at(ANALYSER))
                        .expect(502)
                        .json()
                        .get("detail")
                        .asString())
                .contains(told);
        tell(ANALYSER, "SIM:FAUL NONE");
        api.post("/api/instruments/identity", at(ANALYSER)).expect(200);
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
        tell(ANALYSER, "SIM:FAUL " + fault);
        assertThat(api.post(
                                "/api/instruments/sweeps/result",
                                with(ANALYSER, "\"connection\": \"OPEN\", \"name\": \"x\""))
                        .expect(502)
                        .json()
                        .get("detail")
                        .asString())
                .contains(told);
    }

    @Test
    void aSweepThatStopsHalfWayStaysThereUntilItIsBrokenOff(Api api) throws IOException {
        tell(ANALYSER, "SIM:FAUL HALF");
        begin(api, "OPEN");
        await().atMost(PATIENCE).until(() -> progress(api) == 50);
        assertThat(api.post(
                                "/api/instruments/sweeps/result",
                                with(ANALYSER, "\"connection\": \"OPEN\", \"name\": \"x\""))
                        .status())
                .isEqualTo(502);
        api.post("/api/instruments/sweeps/abort", at(ANALYSER)).expect(204);
        assertThat(progress(api)).isZero();
    }

    @Test
    void twoTabsDoNotDriveOneInstrument(Api api) {
        api.post("/api/instruments/identity", at(ANALYSER)).expect(200);
        String other = at(ANALYSER).replace(HOLDER.toString(), UUID.randomUUID().toString());
        assertThat(api.post("/api/instruments/identity", other)
                        .expect(409)
                        .json()
                        .get("detail")
                        .asString())
                .contains("another tab drives");
        // who does not hold it cannot let it go either
        api.post("/api/instruments/release", other).expect(204);
        api.post("/api/instruments/identity", other).expect(409);
        api.post("/api/instruments/release", at(ANALYSER)).expect(204);
        api.post("/api/instruments/identity", other).expect(200);
        api.post("/api/instruments/release", other).expect(204);
    }

    @ParameterizedTest
    @ValueSource(strings = {"127.0.0.1", "localhost", "::1"})
    void neitherTheServerItselfNorItsDatabaseIsAnInstrument(String host, Api api, Environment environment) {
        String url = environment.getRequiredProperty("spring.datasource.url");
        int database = Integer.parseInt(url.replaceFirst(".*:(\\d+)/.*", "$1"));
        for (int port : new int[] {api.port(), database}) {
            String asked =
                    at(ANALYSER).replace("127.0.0.1", host).replace(Integer.toString(ANALYSER), Integer.toString(port));
            assertThat(api.post("/api/instruments/identity", asked)
                            .expectProblem(422)
                            .get("detail")
                            .asString())
                    .contains("the server itself is there");
        }
    }

    @Test
    void onlyThisMachineIsReachedAndWhatIsThereMustBeAnInstrument(Api api) throws IOException {
        assertThat(api.post("/api/instruments/identity", at(ANALYSER).replace("127.0.0.1", "192.0.2.7"))
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
            inBackground(() -> {
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
        JsonNode blind = api.post("/api/instruments/shelf", "{\"instrument\": " + at(ANALYSER) + "}")
                .expect(200)
                .json();
        assertThat(blind.get("cable").asString()).isEqualTo("blind");
        JsonNode revealed = api.post("/api/instruments/shelf/reveal", at(ANALYSER))
                .expect(200)
                .json();
        assertThat(blind.get("shelf").toString()).contains(revealed.get("label").asString());
        assertThat(revealed.get("truth").asString()).isNotBlank();
        api.post("/api/instruments/shelf", with(ANALYSER, "\"cable\": \"No such\""))
                .expect(502);
    }

    private String sweep(Api api, String connection) {
        begin(api, connection);
        await().atMost(PATIENCE).until(() -> progress(api) == 100);
        JsonNode kept = api.post(
                        "/api/instruments/sweeps/result",
                        with(ANALYSER, "\"connection\": \"" + connection + "\", \"name\": \"Good/20\""))
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
                                ANALYSER,
                                "\"startMHz\": 2, \"stopMHz\": 450, \"points\": 201, \"connection\": \"" + connection
                                        + "\""))
                .expect(200);
    }

    private int progress(Api api) {
        return api.post("/api/instruments/sweeps/progress", at(ANALYSER))
                .expect(200)
                .json()
                .get("percent")
                .asInt();
    }

    private static JsonNode analysis(Api api, String file, String type, double lengthM) {
        return api.post(
                        "/api/bench/analyses",
                        "{\"method\": \"THROUGH_SWEEP\", \"cableKey\": \"%s\", \"lengthM\": %s, \"bandsMHz\": [7.1, 28.5, 145, 433], \"throughFileId\": \"%s\"}"
                                .formatted(type, lengthM, file))
                .expect(200)
                .json();
    }
}
