package org.eskiz.server.web;

import static org.assertj.core.api.Assertions.assertThat;

import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

@ExtendWith(RealServer.class)
class MetricsPortTest {

    @Test
    void tellsWhatThereIsToWatchAtAPortOfItsOwn(MetricsPort metrics, Api api) throws Exception {
        api.get("/api/cable-types").expect(200);
        HttpResponse<String> told = ask(metrics, "/actuator/prometheus");
        assertThat(told.statusCode()).isEqualTo(200);
        assertThat(told.body())
                .contains("http_server_requests_seconds_count{")
                .contains("uri=\"/api/cable-types\"")
                .contains("hikaricp_connections_active{")
                .contains("jvm_memory_used_bytes{")
                .contains("eskiz_computations_running ")
                .contains("eskiz_plans_followed ");
        assertThat(ask(metrics, "/actuator/env").statusCode()).isEqualTo(404);
        assertThat(api.get("/actuator/prometheus").status()).isEqualTo(404);
    }

    private static HttpResponse<String> ask(MetricsPort metrics, String path) throws Exception {
        URI at = URI.create("http://127.0.0.1:" + metrics.port().getAsInt() + path);
        return HttpClient.newHttpClient()
                .send(HttpRequest.newBuilder(at).build(), HttpResponse.BodyHandlers.ofString());
    }
}
