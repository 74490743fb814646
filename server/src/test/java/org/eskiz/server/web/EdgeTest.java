package org.eskiz.server.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.mock.web.MockFilterChain;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** What comes in before any controller has it, and what goes out. */
@ExtendWith(RealServer.class)
class EdgeTest {

    /** So that a test that hangs ends; no answer here takes anything like it. */
    private static final int PATIENCE_MS = 60_000;

    private static final String ASSESSMENT =
            "{\"radio\": {\"powerW\": 100}, \"run\": [{\"kind\": \"DEVICE\", \"lossDb\": 1}], \"bands\": [{\"frequencyMHz\": 14, \"load\": {\"swr\": 1}}]}";

    @ParameterizedTest
    @CsvSource({
        "application/x-www-form-urlencoded, 1000, 415",
        "multipart/form-data; boundary=x, 1000, 415",
        "text/plain, 1000, 415",
        "nonsense, 1000, 415",
        "application/json, 2000000, 413"
    })
    void whatIsRefusedIsRefusedBeforeAByteOfItHasCome(String type, int announced, int status, Api api)
            throws IOException {
        try (Socket socket = connected(api)) {
            send(socket, head("POST", "/api/assessments", type, announced));
            assertThat(firstAnswer(socket))
                    .startsWith("HTTP/1.1 " + status)
                    .contains("application/problem+json")
                    .contains("Connection: close");
        }
    }

    @Test
    void aBodyInPiecesIsReadAsItComesAndOneThatAnnouncesLessThanItIsIsCut(Api api) throws IOException {
        try (Socket socket = connected(api)) {
            send(socket, head("POST", "/api/assessments", "application/json", ASSESSMENT.length()));
            for (char c : ASSESSMENT.toCharArray()) {
                send(socket, String.valueOf(c));
            }
            assertThat(firstAnswer(socket)).startsWith("HTTP/1.1 200").contains("\"totalLossDb\":1");
        }
        try (Socket socket = connected(api)) {
            send(
                    socket,
                    "POST /api/assessments HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nTransfer-Encoding: chunked\r\n\r\n");
            String chunk = "8000\r\n" + " ".repeat(0x8000) + "\r\n";
            for (int i = 0; i < 40; i++) {
                send(socket, chunk);
            }
            assertThat(firstAnswer(socket)).startsWith("HTTP/1.1 413");
        }
    }

    @Test
    void twoHundredSlowBodiesKeepNobodyElseWaiting(Api api) throws IOException {
        List<Socket> slow = new ArrayList<>();
        try {
            for (int i = 0; i < 200; i++) {
                Socket socket = connected(api);
                slow.add(socket);
                send(socket, head("POST", "/api/assessments", "application/json", ASSESSMENT.length()));
                send(socket, ASSESSMENT.substring(0, 20));
            }
            for (int i = 0; i < 20; i++) {
                api.post("/api/assessments", ASSESSMENT).expect(200);
                api.get("/api/settings").expect(200);
            }
            send(slow.get(199), ASSESSMENT.substring(20));
            assertThat(firstAnswer(slow.get(199))).startsWith("HTTP/1.1 200");
        } finally {
            for (Socket socket : slow) {
                socket.close();
            }
        }
    }

    @Test
    void neitherDoTwoHundredSlowReaders(Api api) throws IOException {
        List<Socket> slow = new ArrayList<>();
        try {
            for (int i = 0; i < 200; i++) {
                Socket socket = new Socket();
                socket.setReceiveBufferSize(2048);
                socket.connect(new InetSocketAddress(InetAddress.getLoopbackAddress(), api.port()));
                slow.add(socket);
                send(socket, "GET /api/cable-types HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n".repeat(4));
            }
            for (int i = 0; i < 20; i++) {
                api.post("/api/assessments", ASSESSMENT).expect(200);
                assertThat(api.get("/api/cable-types").expect(200).json()).hasSizeGreaterThan(20);
            }
        } finally {
            for (Socket socket : slow) {
                socket.close();
            }
        }
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "/api/plans/%00",
                "/api/plans/%zz",
                "/api/../etc/passwd%",
                "/api/plans/[x]",
                "/api/cable-types/%C0%AF",
                "/api/plans/\\..\\x"
            })
    void aMalformedAddressIsAProblemLikeAnyOther(String address, Api api) throws IOException {
        try (Socket socket = connected(api)) {
            send(socket, "GET " + address + " HTTP/1.1\r\nHost: 127.0.0.1\r\nConnection: close\r\n\r\n");
            String answer = new String(socket.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            assertThat(answer)
                    .startsWith("HTTP/1.1 4")
                    .contains("application/problem+json")
                    .doesNotContain("<html")
                    .doesNotContain("Tomcat");
        }
    }

    @Test
    void thePageOfErrorsIsNoPage(Api api) {
        assertThat(api.get("/error").expectProblem(404).get("detail").asString())
                .isEqualTo("there is no such page");
        api.send(api.request("/api/nothing").GET()).expectProblem(404);
    }

    @Test
    void everyProblemCarriesTheIdThatIsInTheLog(Api api) {
        Api.Answer refused = api.get("/api/plans/" + java.util.UUID.randomUUID());
        JsonNode problem = refused.expectProblem(404);
        assertThat(problem.get("requestId").asString())
                .isEqualTo(
                        refused.response().headers().firstValue("X-Request-Id").orElseThrow());
    }

    @Test
    void answersAreNotKeptAndFilesThatChangeTheirNameAreKeptForGood(Api api) {
        assertThat(cacheControl(api.get("/api/plans"))).isEqualTo("no-store");
        assertThat(api.get("/").expect(200).response().body()).contains("<div id=\"root\">");
        Api.Answer page = api.get("/plans/anything");
        assertThat(cacheControl(page.expect(200))).isEqualTo("no-cache");
        String script = page.response().body().replaceAll("(?s).*?src=\"(/assets/[^\"]+)\".*", "$1");
        assertThat(cacheControl(api.get(script).expect(200)))
                .contains("max-age=31536000")
                .contains("immutable");
        api.get("/assets/none.js").expect(404);
    }

    private static String cacheControl(Api.Answer answer) {
        return answer.response().headers().firstValue("Cache-Control").orElse("");
    }

    @ParameterizedTest
    @CsvSource({
        "http, 80, http://127.0.0.1, 200",
        "http, 80, http://127.0.0.1:80, 200",
        "https, 443, https://127.0.0.1, 200",
        "http, 8080, http://127.0.0.1, 403",
        "http, 80, https://127.0.0.1, 403",
        "http, 80, http://127.0.0.1.example, 403"
    })
    void aBrowserLeavesOutThePortThatItsSchemeHasAnyway(String scheme, int port, String origin, int status)
            throws Exception {
        var request = new MockHttpServletRequest("POST", "/api/plans");
        request.setScheme(scheme);
        request.setServerName("127.0.0.1");
        request.setServerPort(port);
        request.addHeader("Origin", origin);
        var response = new MockHttpServletResponse();
        filter("").doFilter(request, response, new MockFilterChain());
        assertThat(response.getStatus()).isEqualTo(status);
    }

    private static HostFilter filter(String address) {
        return new HostFilter(new Problems(JsonMapper.builder().build()), new PublicAddress(address));
    }

    @ParameterizedTest
    @CsvSource({
        "https, club.example, 192.0.2.7, https://club.example:8443, 200",
        "https, CLUB.example, 192.0.2.7, https://club.example:8443, 200",
        "https, other.example, 192.0.2.7, https://club.example:8443, 403",
        "https, club.example, 192.0.2.7, https://other.example, 403",
        "https, club.example, 192.0.2.7, https://club.example:9999, 403",
        "http, club.example, 192.0.2.7, https://club.example:8443, 403",
        "http, 127.0.0.1, 127.0.0.1, http://127.0.0.1:8443, 200"
    })
    void anOpenServerAnswersToItsNameAndByTlsOnly(String scheme, String host, String from, String origin, int status)
            throws Exception {
        var request = new MockHttpServletRequest("POST", "/api/plans");
        request.setScheme(scheme);
        request.setServerName(host);
        request.setServerPort(8443);
        request.setRemoteAddr(from);
        request.addHeader("Origin", origin);
        var response = new MockHttpServletResponse();
        filter("https://club.example:8443").doFilter(request, response, new MockFilterChain());
        assertThat(response.getStatus()).isEqualTo(status);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"club.example", "https://club.example/eskiz", "ftp://club.example", "https://", "https:// club"})
    void anAddressIsASchemeANameAndAPort(String address) {
        assertThatThrownBy(() -> new PublicAddress(address)).hasMessageContaining("must be like https://club.example");
    }

    @Test
    void nothingThatSpringCanBeToldOpensIt() throws Exception {
        var factory = new TomcatServletWebServerFactory();
        factory.setAddress(InetAddress.getByName("0.0.0.0"));
        listening("127.0.0.1", "", "").customize(factory);
        assertThat(factory.getAddress().isLoopbackAddress()).isTrue();
        assertThatThrownBy(() -> listening("0.0.0.0", "", "").customize(factory))
                .hasMessageContaining("must be loopback")
                .hasMessageContaining("./eskiz open");
        assertThatThrownBy(() ->
                        listening("0.0.0.0", "https://club.example", "cert.pem").customize(factory))
                .hasMessageContaining("go together");
        listening("0.0.0.0", "https://club.example", "").customize(factory);
        assertThat(factory.getAddress().isAnyLocalAddress()).isTrue();
    }

    private static WebServerFactoryCustomizer<TomcatServletWebServerFactory> listening(
            String bind, String address, String certificate) {
        return new WebServer().listening(new PublicAddress(address), bind, certificate, "", "");
    }

    @Test
    void aHundredFaultsAreToldAndHowManyMoreThereAre(Api api) {
        String bad = "{\"frequencyMHz\": -1, \"attenuationDbPer100m\": -1}";
        JsonNode errors = api.post("/api/fits", "{\"points\": [" + (bad + ",").repeat(149) + bad + "]}")
                .expectProblem(422)
                .get("errors");
        assertThat(errors).hasSize(100);
        assertThat(errors.get(99).get("message").asString()).isEqualTo("and 201 more are wrong in the same request");
    }

    @Test
    void aLongAnswerComesWholeThroughAndHeadHasNone(Api api) {
        String whole = api.get("/api/cable-types").expect(200).response().body();
        assertThat(whole).startsWith("[{").endsWith("}]").hasSizeGreaterThan(16_000);
        assertThat(api.send(api.request("/api/cable-types").method("HEAD", HttpRequest.BodyPublishers.noBody()))
                        .response()
                        .body())
                .isEmpty();
    }

    private static Socket connected(Api api) throws IOException {
        Socket socket = new Socket(InetAddress.getLoopbackAddress(), api.port());
        socket.setSoTimeout(PATIENCE_MS);
        return socket;
    }

    private static String head(String method, String path, String type, int length) {
        return "%s %s HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: %s\r\nContent-Length: %d\r\n\r\n"
                .formatted(method, path, type, length);
    }

    private static void send(Socket socket, String text) throws IOException {
        socket.getOutputStream().write(text.getBytes(StandardCharsets.UTF_8));
        socket.getOutputStream().flush();
    }

    /** Up to the end of the first body that is one object. */
    private static String firstAnswer(Socket socket) throws IOException {
        InputStream in = socket.getInputStream();
        StringBuilder answer = new StringBuilder();
        int depth = 0;
        for (int b = in.read(); b >= 0; b = in.read()) {
            answer.append((char) b);
            depth += b == '{' ? 1 : b == '}' ? -1 : 0;
            if (b == '}' && depth == 0) {
                break;
            }
        }
        return answer.toString();
    }
}
