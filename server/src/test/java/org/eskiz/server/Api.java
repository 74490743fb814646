package org.eskiz.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.util.Optional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Talks to the server as any client would. */
public final class Api {

    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final HttpClient http = HttpClient.newHttpClient();
    private final int port;

    Api(int port) {
        this.port = port;
    }

    /** Another server on loopback. */
    public static Api at(int port) {
        return new Api(port);
    }

    public int port() {
        return port;
    }

    public Answer get(String path) {
        return send(request(path).GET());
    }

    public Answer delete(String path) {
        return send(request(path).DELETE());
    }

    public Answer post(String path, String body) {
        return send(json(path).POST(HttpRequest.BodyPublishers.ofString(body)));
    }

    public Answer put(String path, String body) {
        return send(json(path).PUT(HttpRequest.BodyPublishers.ofString(body)));
    }

    public HttpRequest.Builder request(String path) {
        return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path));
    }

    private HttpRequest.Builder json(String path) {
        return request(path).header("Content-Type", "application/json");
    }

    public Answer send(HttpRequest.Builder request) {
        try {
            HttpResponse<String> response = http.send(request.build(), HttpResponse.BodyHandlers.ofString());
            return new Answer(response);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    public static JsonNode parse(String json) {
        return JSON.readTree(json);
    }

    /** What came back. */
    public record Answer(HttpResponse<String> response) {

        public int status() {
            return response.statusCode();
        }

        public JsonNode json() {
            return parse(response.body());
        }

        public Answer expect(int status) {
            assertThat(status()).as(response.body()).isEqualTo(status);
            return this;
        }

        /** Where the next part of a list is; empty at its end. */
        public Optional<String> next() {
            return response.headers().firstValue("Link").map(link -> link.substring(1, link.indexOf('>')));
        }

        /** How long the whole of a list is. */
        public long total() {
            return response.headers().firstValueAsLong("Total-Count").orElseThrow();
        }

        /** Asserts a problem of the agreed form and returns it. */
        public JsonNode expectProblem(int status) {
            expect(status);
            assertThat(response.headers().firstValue("Content-Type")).hasValue("application/problem+json");
            assertThat(response.body()).doesNotContain("Exception").doesNotContain("org.eskiz");
            JsonNode problem = json();
            assertThat(problem.get("status").asInt()).isEqualTo(status);
            assertThat(problem.get("title").asString()).isNotBlank();
            assertThat(problem.get("detail").asString()).isNotBlank();
            return problem;
        }
    }
}
