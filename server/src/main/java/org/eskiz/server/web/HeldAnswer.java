package org.eskiz.server.web;

import jakarta.servlet.ServletOutputStream;
import jakarta.servlet.WriteListener;
import jakarta.servlet.http.HttpServletResponse;
import jakarta.servlet.http.HttpServletResponseWrapper;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.InputStream;
import java.io.OutputStreamWriter;
import java.io.PrintWriter;
import java.nio.charset.Charset;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.nio.file.StandardOpenOption;
import org.springframework.http.HttpHeaders;

/**
 * An answer that is held until it is whole: in memory, or in a file of the temporary folder when it is long. Whoever writes it
 * never waits for the client, and holds nothing meanwhile.
 */
final class HeldAnswer extends HttpServletResponseWrapper implements AutoCloseable {

    private static final int MOST_IN_MEMORY = 1 << 20;

    private final Memory memory = new Memory();
    private final Output output = new Output();
    private PrintWriter writer;
    private java.io.OutputStream spilled;
    private Path file;
    private long length;

    HeldAnswer(HttpServletResponse response) {
        super(response);
    }

    long length() {
        return length;
    }

    /** What was written, whole. */
    InputStream content() throws IOException {
        if (writer != null) {
            writer.flush();
        }
        if (file == null) {
            return memory.content();
        }
        spilled.close();
        return Files.newInputStream(file, StandardOpenOption.DELETE_ON_CLOSE);
    }

    /** Forgets it. */
    @Override
    public void close() throws IOException {
        if (spilled != null) {
            spilled.close();
        }
        if (file != null) {
            Files.deleteIfExists(file);
        }
    }

    @Override
    public ServletOutputStream getOutputStream() {
        return output;
    }

    @Override
    public PrintWriter getWriter() {
        if (writer == null) {
            String encoding = getCharacterEncoding();
            writer = new PrintWriter(new OutputStreamWriter(
                    output, encoding == null ? StandardCharsets.UTF_8 : Charset.forName(encoding)));
        }
        return writer;
    }

    @Override
    public void flushBuffer() {
        if (writer != null) {
            writer.flush();
        }
    }

    @Override
    public void setContentLength(int announced) {
        // told when it is whole
    }

    @Override
    public void setContentLengthLong(long announced) {
        // told when it is whole
    }

    @Override
    public void setHeader(String name, String value) {
        if (!HttpHeaders.CONTENT_LENGTH.equalsIgnoreCase(name)) {
            super.setHeader(name, value);
        }
    }

    @Override
    public void addHeader(String name, String value) {
        if (!HttpHeaders.CONTENT_LENGTH.equalsIgnoreCase(name)) {
            super.addHeader(name, value);
        }
    }

    @Override
    public void reset() {
        super.reset();
        resetBuffer();
    }

    @Override
    public void resetBuffer() {
        if (file != null) {
            throw new IllegalStateException("a long answer cannot be begun again");
        }
        writer = null;
        memory.reset();
        length = 0;
    }

    /** What was written to it can be read without a copy. */
    private static final class Memory extends ByteArrayOutputStream {

        InputStream content() {
            return new ByteArrayInputStream(buf, 0, count);
        }
    }

    private final class Output extends ServletOutputStream {

        @Override
        public void write(int b) throws IOException {
            write(new byte[] {(byte) b}, 0, 1);
        }

        @Override
        public void write(byte[] bytes, int offset, int count) throws IOException {
            if (file == null && length + count > MOST_IN_MEMORY) {
                file = Files.createTempFile("eskiz-answer-", ".part");
                spilled = Files.newOutputStream(file);
                memory.writeTo(spilled);
                memory.reset();
            }
            (file == null ? memory : spilled).write(bytes, offset, count);
            length += count;
        }

        @Override
        public boolean isReady() {
            return true;
        }

        @Override
        public void setWriteListener(WriteListener listener) {
            throw new IllegalStateException("an answer that is held is always ready");
        }
    }
}
