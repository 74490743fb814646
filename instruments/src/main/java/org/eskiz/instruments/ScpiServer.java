package org.eskiz.instruments;

import java.io.BufferedInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.Locale;
import java.util.Random;

/** An instrument at a port of this machine. Commands are lines; several may stand in one, apart by semicolons. */
final class ScpiServer implements AutoCloseable {

    private static final int LONGEST_LINE = 4096;
    private static final long SLOW_MS = 2500;
    private static final int ENDLESS_BYTES = 64 << 20;

    private final Instrument instrument;
    private final ServerSocket listening;

    ScpiServer(Instrument instrument, int port) throws IOException {
        this.instrument = instrument;
        this.listening = new ServerSocket(port, 8, InetAddress.getLoopbackAddress());
    }

    int port() {
        return listening.getLocalPort();
    }

    /** Serves until it is closed, each connection on a thread of its own. */
    void serve() {
        while (!listening.isClosed()) {
            try {
                Socket connection = listening.accept();
                Thread thread = new Thread(() -> talk(connection), "connection");
                thread.setDaemon(true);
                thread.start();
            } catch (IOException e) {
                // closed, or a visitor who was gone before he came in
            }
        }
    }

    @Override
    public void close() throws IOException {
        listening.close();
    }

    private void talk(Socket connection) {
        try (connection) {
            InputStream in = new BufferedInputStream(connection.getInputStream());
            OutputStream out = connection.getOutputStream();
            for (String line = line(in); line != null; line = line(in)) {
                for (String command : line.split(";")) {
                    boolean asksForFaults =
                            command.strip().toUpperCase(Locale.ROOT).startsWith("SIM");
                    if (instrument.fault() == Fault.REFUSED && !asksForFaults) {
                        return;
                    }
                    byte[] answer = instrument.handle(command);
                    if (answer != null) {
                        send(answer, out, asksForFaults);
                    }
                }
            }
        } catch (IOException e) {
            // the other end has gone
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
        }
    }

    private void send(byte[] answer, OutputStream out, boolean faultless) throws IOException, InterruptedException {
        switch (faultless ? Fault.NONE : instrument.fault()) {
            case SLOW -> {
                Thread.sleep(SLOW_MS);
                out.write(answer);
            }
            case CUT -> {
                out.write(answer, 0, answer.length / 2);
                out.flush();
                throw new IOException("cut off, as asked for");
            }
            case GARBAGE -> {
                byte[] garbage = new byte[64];
                new Random().nextBytes(garbage);
                garbage[63] = '\n';
                out.write(garbage);
            }
            case SILENT -> {
                // as asked for
            }
            case ENDLESS -> {
                byte[] more = new byte[8192];
                Arrays.fill(more, (byte) '7');
                for (int sent = 0; sent < ENDLESS_BYTES; sent += more.length) {
                    out.write(more);
                }
            }
            default -> out.write(answer);
        }
        out.flush();
    }

    /** Null at the end. */
    private static String line(InputStream in) throws IOException {
        byte[] line = new byte[LONGEST_LINE];
        int n = 0;
        for (int b = in.read(); b >= 0; b = in.read()) {
            if (b == '\n') {
                return new String(line, 0, n, StandardCharsets.US_ASCII);
            }
            if (n == LONGEST_LINE) {
                throw new IOException("a command of more than " + LONGEST_LINE + " characters");
            }
            line[n++] = (byte) b;
        }
        return null;
    }
}
