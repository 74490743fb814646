package org.eskiz.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.net.Socket;
import java.net.http.HttpRequest;
import java.nio.charset.StandardCharsets;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What a page from elsewhere tries, and what it gets. */
@ExtendWith(RealServer.class)
class LoopbackTest {

    @Test
    void anotherOriginIsTurnedAway(Api api) {
        api.send(api.request("/api/plans")
                        .header("Origin", "http://elsewhere.example")
                        .GET())
                .expectProblem(403);
        api.send(api.request("/api/plans")
                        .header("Origin", "http://127.0.0.1:1")
                        .GET())
                .expectProblem(403);
        api.send(api.request("/api/plans").header("Origin", "null").GET()).expectProblem(403);
    }

    @Test
    void itsOwnPageMayAsk(Api api) {
        api.send(api.request("/api/plans")
                        .header("Origin", "http://127.0.0.1:" + api.port())
                        .GET())
                .expect(200);
    }

    @Test
    void aPageElsewhereCannotAskWithoutAnOriginEither(Api api) {
        api.send(api.request("/api/plans")
                        .header("Sec-Fetch-Site", "cross-site")
                        .header("Sec-Fetch-Mode", "no-cors")
                        .GET())
                .expectProblem(403);
    }

    @Test
    void aReboundNameIsTurnedAway(Api api) throws IOException {
        assertThat(raw(api, "GET /api/plans HTTP/1.0\r\nHost: elsewhere.example\r\n\r\n"))
                .startsWith("HTTP/1.1 403");
        assertThat(raw(api, "GET /api/plans HTTP/1.0\r\nHost: localhost\r\n\r\n"))
                .startsWith("HTTP/1.1 200");
    }

    @Test
    void noPreflightIsAnswered(Api api) {
        var answer = api.send(api.request("/api/plans")
                .header("Origin", "http://elsewhere.example")
                .header("Access-Control-Request-Method", "PUT")
                .method("OPTIONS", HttpRequest.BodyPublishers.noBody()));
        assertThat(answer.status()).isEqualTo(403);
        assertThat(answer.response().headers().map().keySet()).noneMatch(h -> h.startsWith("access-control-allow"));
    }

    @Test
    void everyAnswerCarriesItsPolicy(Api api) {
        var headers = api.get("/").expect(200).response().headers();
        assertThat(headers.firstValue("Content-Security-Policy").orElseThrow())
                .contains("default-src 'none'")
                .doesNotContain("unsafe");
        assertThat(headers.firstValue("X-Content-Type-Options")).hasValue("nosniff");
    }

    private static String raw(Api api, String request) throws IOException {
        try (Socket socket = new Socket("127.0.0.1", api.port());
                InputStream in = socket.getInputStream()) {
            socket.getOutputStream().write(request.getBytes(StandardCharsets.US_ASCII));
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        }
    }
}
