package org.eskiz.server.document;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import org.eskiz.server.Api;
import org.eskiz.server.RealServer;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.extension.ExtendWith;

/** What one request may ask for, and what becomes of work that nobody waits for. */
@ExtendWith(RealServer.class)
class WorkEstimateTest {

    private static final int MOST_TRIES = 20;

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
        // a machine may be so busy that it is done before the end of the request is sent: then once more
        String status = "";
        for (int tries = 0; tries < MOST_TRIES && !status.contains(" 503"); tries++) {
            status = hungUpOn(api, ledger(20, 24, "\"reach\": true"));
        }
        assertThat(status).startsWith("HTTP/1.1 503");
    }

    /** The status line of an answer to a client that has said that nothing more will come from it, but listens to tell. */
    private static String hungUpOn(Api api, String body) throws IOException {
        try (Socket socket = new Socket(InetAddress.getLoopbackAddress(), api.port())) {
            socket.getOutputStream()
                    .write(
                            ("POST /api/comparisons HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\nContent-Length: "
                                            + body.length() + "\r\n\r\n" + body)
                                    .getBytes(StandardCharsets.US_ASCII));
            socket.shutdownOutput();
            return new BufferedReader(new InputStreamReader(socket.getInputStream(), StandardCharsets.US_ASCII))
                    .readLine();
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
