package org.eskiz.server.instrument;

import java.io.BufferedInputStream;
import java.io.EOFException;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.SocketTimeoutException;
import java.nio.ByteBuffer;
import java.nio.charset.StandardCharsets;
import java.util.Locale;
import org.eskiz.server.problem.UpstreamException;

/**
 * A conversation with an instrument: lines of ASCII, and definite-length blocks (IEEE 488.2). It is bounded: an answer has to
 * come within a time, and to end within a size.
 */
final class ScpiConnection implements AutoCloseable {

    static final int MOST_BLOCK_BYTES = 4 << 20;

    private static final int CONNECT_MS = 2000;

    /** An instrument that is at work answers within this, and goes on within this. */
    private static final int ANSWER_MS = 3000;

    private static final int LONGEST_LINE = 8192;

    private final String address;
    private final Socket socket;
    private final InputStream in;
    private final OutputStream out;
    private final long until;

    /**
     * Opens one.
     *
     * @param withinMs for the whole conversation
     * @throws UpstreamException when nobody answers there
     */
    static ScpiConnection open(String address, InetAddress host, int port, int withinMs) {
        Socket socket = new Socket();
        try {
            socket.connect(new InetSocketAddress(host, port), CONNECT_MS);
            return new ScpiConnection(address, socket, withinMs);
        } catch (IOException e) {
            close(socket);
            throw new UpstreamException(
                    "nobody answers at %s: is the instrument on, and is that its port?".formatted(address));
        }
    }

    private ScpiConnection(String address, Socket socket, int withinMs) throws IOException {
        this.address = address;
        this.socket = socket;
        this.in = new BufferedInputStream(socket.getInputStream());
        this.out = socket.getOutputStream();
        this.until = System.nanoTime() + withinMs * 1_000_000L;
    }

    /** Whether a text can stand in a command as it is: no second command, no end of a string, no end of a line. */
    static boolean isArgument(String text) {
        return text.chars().allMatch(c -> c >= ' ' && c <= '~' && c != ';' && c != '"' && c != '\'');
    }

    /**
     * Sends a command that has no answer.
     *
     * @throws IllegalArgumentException for what is not one command; that would be a fault of ours
     */
    void tell(String command) {
        if (!command.chars().allMatch(c -> c >= ' ' && c <= '~' && c != ';')) {
            throw new IllegalArgumentException("not one command: " + command);
        }
        try {
            out.write((command + "\n").getBytes(StandardCharsets.US_ASCII));
            out.flush();
        } catch (IOException e) {
            throw gone();
        }
    }

    /** Sends commands and makes sure that the instrument took them all. */
    void command(String... commands) {
        tell("*CLS");
        for (String command : commands) {
            tell(command);
        }
        String error = ask("SYST:ERR?");
        if (!error.startsWith("0") && !error.startsWith("+0")) {
            throw new UpstreamException("the instrument at %s refuses: %s".formatted(address, error));
        }
    }

    /** Asks for a line. */
    String ask(String query) {
        tell(query);
        byte[] line = new byte[LONGEST_LINE];
        int n = 0;
        for (int b = read(); b != '\n'; b = read()) {
            if (n == LONGEST_LINE) {
                throw new UpstreamException(String.format(
                        Locale.ROOT,
                        "the answer of %s to %s does not end: more than %d characters in a line",
                        address,
                        query,
                        LONGEST_LINE));
            }
            if ((b < ' ' || b > '~') && b != '\r' && b != '\t') {
                throw new UpstreamException("what %s answers to %s is no text".formatted(address, query));
            }
            line[n++] = (byte) b;
        }
        return new String(line, 0, n, StandardCharsets.US_ASCII).strip();
    }

    /**
     * Asks for a number that can only lie between two bounds.
     *
     * @param what it is, for whoever reads that it cannot be
     */
    double askNumber(String query, String what, double least, double most) {
        double value = askNumber(query);
        if (value < least || value > most) {
            throw new UpstreamException(
                    "%s answers %s %s to %s, which cannot be".formatted(address, value, what, query));
        }
        return value;
    }

    private double askNumber(String query) {
        String answer = ask(query);
        try {
            double value = Double.parseDouble(answer);
            if (Double.isFinite(value)) {
                return value;
            }
        } catch (NumberFormatException e) {
            // told below
        }
        throw new UpstreamException("%s answers \"%s\" to %s, which is no number".formatted(address, answer, query));
    }

    /**
     * Asks for a block of numbers of double precision, the highest byte first.
     *
     * @param count as many as there must be
     */
    double[] askBlock(String query, int count) {
        tell(query);
        if (read() != '#') {
            throw new UpstreamException(
                    "%s answers to %s with something that is no block of data".formatted(address, query));
        }
        int digits = read() - '0';
        int length = 0;
        for (int i = 0; i < digits; i++) {
            length = 10 * length + (read() - '0');
        }
        if (digits < 1 || digits > 9 || length < 0 || length > MOST_BLOCK_BYTES) {
            throw new UpstreamException(String.format(
                    Locale.ROOT,
                    "%s announces a block of %d bytes; at most %d are read",
                    address,
                    length,
                    MOST_BLOCK_BYTES));
        }
        if (length != 8 * count) {
            throw new UpstreamException(String.format(
                    Locale.ROOT,
                    "%s sends a block of %d bytes, where %d numbers have %d",
                    address,
                    length,
                    count,
                    8 * count));
        }
        byte[] bytes = new byte[length];
        for (int i = 0; i < length; i++) {
            bytes[i] = (byte) read();
        }
        if (read() != '\n') {
            throw new UpstreamException(String.format(
                    Locale.ROOT, "the block of %s goes on beyond the %d bytes that it announced", address, length));
        }
        double[] values = new double[count];
        ByteBuffer.wrap(bytes).asDoubleBuffer().get(values);
        for (int i = 0; i < count; i++) {
            if (!Double.isFinite(values[i])) {
                throw new UpstreamException(String.format(
                        Locale.ROOT,
                        "value %d of %d from %s is %s, which is no number",
                        i + 1,
                        count,
                        address,
                        values[i]));
            }
        }
        return values;
    }

    private int read() {
        long leftMs = (until - System.nanoTime()) / 1_000_000;
        if (leftMs <= 0) {
            throw late();
        }
        try {
            socket.setSoTimeout((int) Math.min(leftMs, ANSWER_MS));
            int b = in.read();
            if (b < 0) {
                throw new EOFException();
            }
            return b;
        } catch (SocketTimeoutException e) {
            throw late();
        } catch (IOException e) {
            throw gone();
        }
    }

    private UpstreamException late() {
        return new UpstreamException("the instrument at %s does not answer in time".formatted(address));
    }

    private UpstreamException gone() {
        return new UpstreamException("the instrument at %s broke off in the middle of an answer".formatted(address));
    }

    @Override
    public void close() {
        close(socket);
    }

    private static void close(Socket socket) {
        try {
            socket.close();
        } catch (IOException e) {
            // it is gone either way
        }
    }
}
