package org.eskiz.server.web;

import com.sun.net.httpserver.HttpExchange;
import com.sun.net.httpserver.HttpServer;
import io.micrometer.prometheusmetrics.PrometheusMeterRegistry;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.nio.charset.StandardCharsets;
import java.util.OptionalInt;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.context.SmartLifecycle;
import org.springframework.stereotype.Component;

/**
 * What there is to watch, at a port of its own that only this machine reaches: it says who asks how often, which is nobody
 * else's business. Without {@code ESKIZ_METRICS_PORT} there is none.
 */
@Component
class MetricsPort implements SmartLifecycle {

    private static final String PATH = "/actuator/prometheus";

    private final PrometheusMeterRegistry metrics;
    private final String port;
    private @Nullable HttpServer server;

    MetricsPort(PrometheusMeterRegistry metrics, @Value("${eskiz.metrics-port}") String port) {
        this.metrics = metrics;
        this.port = port;
    }

    /** Where it listens. */
    OptionalInt port() {
        return server == null
                ? OptionalInt.empty()
                : OptionalInt.of(server.getAddress().getPort());
    }

    private void answer(HttpExchange exchange) throws IOException {
        try (exchange) {
            String host = exchange.getRequestHeaders().getFirst("Host");
            // a page that a browser on this machine has open may have been given a name for this address
            boolean isAsked = host != null && host.matches("(127\\.0\\.0\\.1|localhost)(:\\d+)?");
            if (!isAsked || !PATH.equals(exchange.getRequestURI().getPath())) {
                exchange.sendResponseHeaders(404, -1);
                return;
            }
            byte[] text = metrics.scrape().getBytes(StandardCharsets.UTF_8);
            exchange.getResponseHeaders().set("Content-Type", "text/plain; version=0.0.4; charset=utf-8");
            exchange.sendResponseHeaders(200, text.length);
            exchange.getResponseBody().write(text);
        }
    }

    @Override
    public void start() {
        if (port.isBlank()) {
            return;
        }
        try {
            HttpServer begun = HttpServer.create(
                    new InetSocketAddress(InetAddress.getLoopbackAddress(), Integer.parseInt(port.strip())), 0);
            begun.createContext("/", this::answer);
            begun.start();
            server = begun;
        } catch (NumberFormatException e) {
            throw new IllegalStateException("ESKIZ_METRICS_PORT must be a port, not \"" + port + "\"", e);
        } catch (IOException e) {
            throw new UncheckedIOException("ESKIZ_METRICS_PORT " + port + " cannot be listened at", e);
        }
    }

    @Override
    public void stop() {
        if (server != null) {
            server.stop(0);
            server = null;
        }
    }

    @Override
    public boolean isRunning() {
        return server != null;
    }
}
