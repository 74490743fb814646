package org.eskiz.server.document;

import static org.assertj.core.api.Assertions.assertThat;
import static org.awaitility.Awaitility.await;

import ch.qos.logback.classic.Logger;
import ch.qos.logback.classic.spi.ILoggingEvent;
import ch.qos.logback.core.read.ListAppender;
import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;
import org.slf4j.LoggerFactory;

/** What one request may ask for, and what becomes of work that nobody waits for. */
@ExtendWith(RealServer.class)
class WorkEstimateTest {

    @Test
    void aLedgerThatAsksForTooMuchIsToldWhatWouldDo(Api api) {
        assertThat(api.post("/api/comparisons", ledger(60, 64, "\"reach\": true"))
                        .expectProblem(422)
                        .get("detail")
                        .asString())
                .matches(
                        "this asks for \\d+ million steps of work, and one request may ask for 60: with this run and these bands, at most \\d+ rows instead of \\d+");
        api.post("/api/comparisons", ledger(5, 12, "\"reach\": true")).expect(200);
    }

    @Test
    void soIsWhatWouldChangeIt(Api api) {
        String many = "{\"comparison\": " + ledger(62, 64, "\"preference\": \"LEAST_COST\"");
        api.post("/api/comparisons/changes", many + ", \"rowId\": \"rg-58\", \"band\": 0}")
                .expectProblem(422);
    }

    @Test
    void workThatNobodyWaitsForIsLeft(Api api) throws IOException {
        Logger log = (Logger) LoggerFactory.getLogger("org.eskiz.server.web.RequestLogFilter");
        ListAppender<ILoggingEvent> lines = new ListAppender<>();
        lines.start();
        log.addAppender(lines);
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), api.port())) {
            String body = ledger(20, 24, "\"reach\": true");
            socket.getOutputStream()
                    .write(
                            ("POST /api/comparisons HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nContent-Length: "
                                            + body.length() + "\r\n\r\n" + body)
                                    .getBytes(StandardCharsets.US_ASCII));
        }
        try {
            // other tests write here, too, and while it is read
            await().atMost(Duration.ofMinutes(5))
                    .ignoreExceptions()
                    .until(() -> lines.list.stream()
                            .anyMatch(
                                    l -> l.getFormattedMessage().contains("refused with 503: POST /api/comparisons")));
        } finally {
            log.detachAppender(lines);
        }
    }

    private static String ledger(int lines, int bands, String more) {
        return "{" + run(lines) + ", " + bands(bands)
                + ", \"requirements\": [{\"kind\": \"LEAST_PERCENT\", \"percent\": 1}, {\"kind\": \"LEAST_POWER_MARGIN\", \"margin\": 0.1}], "
                + more + "}";
    }

    private static String run(int lines) {
        return "\"radio\": {\"powerW\": 100}, \"run\": ["
                + "{\"kind\": \"LINE\", \"cableKey\": \"rg-58\", \"lengthM\": 0.1}, ".repeat(lines - 1)
                + "{\"kind\": \"LINE\", \"cableKey\": \"rg-58\", \"lengthM\": 1, \"candidate\": true}]";
    }

    private static String bands(int count) {
        String band = "{\"frequencyMHz\": 145, \"load\": {\"swr\": 2}}";
        return "\"bands\": [" + (band + ", ").repeat(count - 1) + band + "]";
    }
}
