package org.eskiz.server.instrument;

import static org.awaitility.Awaitility.await;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.ConnectException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.UUID;
import org.eskiz.instruments.AnalyserProgram;
import org.eskiz.instruments.WattmeterProgram;

/** The stand-ins that ship with Eskiz, switched on once for all tests, at ports of their own. */
final class StandIns {

    /** Longer than any stand-in needs on a busy machine; nothing waits as long. */
    static final Duration PATIENCE = Duration.ofMinutes(2);

    static final UUID HOLDER = UUID.randomUUID();

    static final int ANALYSER = switchedOn(AnalyserProgram::main);
    static final int WATTMETER = switchedOn(WattmeterProgram::main);

    private StandIns() {}

    /** Without a fault, nothing keyed or calibrated, and the good cable at their ports. */
    static void putRight() throws IOException {
        tell(ANALYSER, "SIM:FAUL NONE;*RST;SIM:CABL \"Good 20\"");
        tell(WATTMETER, "SIM:FAUL NONE;*RST;SIM:CABL \"Good 20\"");
    }

    static String at(int port) {
        return "{\"host\": \"127.0.0.1\", \"port\": %d, \"holder\": \"%s\"}".formatted(port, HOLDER);
    }

    static String with(int port, String more) {
        return "{\"instrument\": " + at(port) + ", " + more + "}";
    }

    static void tell(int port, String commands) throws IOException {
        ask(port, commands + ";SYST:ERR?");
    }

    static String ask(int port, String command) throws IOException {
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

    static int freePort() throws IOException {
        try (ServerSocket free = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return free.getLocalPort();
        }
    }

    private static void awaitPort(int port) {
        await().pollInSameThread()
                .atMost(PATIENCE)
                .ignoreException(ConnectException.class)
                .until(() -> {
                    new Socket(InetAddress.getLoopbackAddress(), port).close();
                    return true;
                });
    }

    private interface Program {
        void run(String[] arguments) throws IOException;
    }

    private static int switchedOn(Program program) {
        try {
            int port = freePort();
            inBackground(new Running(program, port));
            awaitPort(port);
            return port;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    interface Task {
        void run() throws IOException;
    }

    static void inBackground(Task task) {
        Thread thread = new Thread(new Background(task));
        thread.setDaemon(true);
        thread.start();
    }

    // records and no lambdas: a lambda of this class would wait until it is loaded, and that waits for the stand-ins

    private record Running(Program program, int port) implements Task {
        @Override
        public void run() throws IOException {
            program.run(new String[] {Integer.toString(port)});
        }
    }

    private record Background(Task task) implements Runnable {
        @Override
        public void run() {
            try {
                task.run();
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        }
    }
}
