package org.eskiz.server.web;

import jakarta.servlet.AsyncContext;
import jakarta.servlet.AsyncEvent;
import jakarta.servlet.AsyncListener;
import jakarta.servlet.Filter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletOutputStream;
import jakarta.servlet.ServletRequest;
import jakarta.servlet.ServletResponse;
import jakarta.servlet.WriteListener;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import org.springframework.http.HttpMethod;

/**
 * Writes answers as their clients take them, so that a slow reader holds no thread: what is short enough for the connection's
 * own buffers goes out at once, the rest when the connection is ready for it.
 */
final class AnswerFilter implements Filter {

    /** Every connection takes as much without waiting. */
    private static final int AT_ONCE = 8 << 10;

    /** Slower than this, in bytes for each millisecond, is given up, after a while that everybody has. */
    private static final int LEAST_BYTES_A_MS = 20;

    private static final long WHILE_MS = 30_000;

    private static final int CHUNK = 16 << 10;

    /** What is told as it happens is not held back. */
    private static final String EVENTS = "/events";

    @Override
    public void doFilter(ServletRequest asked, ServletResponse answer, FilterChain chain)
            throws IOException, ServletException {
        HttpServletRequest request = (HttpServletRequest) asked;
        HttpServletResponse response = (HttpServletResponse) answer;
        if (HttpMethod.HEAD.matches(request.getMethod())
                || request.getRequestURI().endsWith(EVENTS)) {
            chain.doFilter(request, response);
            return;
        }
        HeldAnswer held = new HeldAnswer(response);
        boolean isHandedOn = false;
        try {
            chain.doFilter(request, held);
            InputStream content = held.content();
            if (response.isCommitted() || held.length() == 0) {
                content.close();
            } else {
                response.setContentLengthLong(held.length());
                isHandedOn = write(request, response, content, held.length());
            }
        } finally {
            if (!isHandedOn) {
                held.close();
            }
        }
    }

    /** @return whether somebody else goes on with it */
    private static boolean write(
            HttpServletRequest request, HttpServletResponse response, InputStream content, long length)
            throws IOException {
        if (length <= AT_ONCE) {
            try (content) {
                content.transferTo(response.getOutputStream());
            }
            return false;
        }
        AsyncContext async = request.startAsync();
        async.setTimeout(WHILE_MS + length / LEAST_BYTES_A_MS);
        Writing writing = new Writing(request, response.getOutputStream(), content, async);
        async.addListener(writing);
        response.getOutputStream().setWriteListener(writing);
        return true;
    }

    private static final class Writing implements WriteListener, AsyncListener {

        private final HttpServletRequest request;
        private final ServletOutputStream out;
        private final InputStream content;
        private final AsyncContext async;
        private final byte[] chunk = new byte[CHUNK];

        Writing(HttpServletRequest request, ServletOutputStream out, InputStream content, AsyncContext async) {
            this.request = request;
            this.out = out;
            this.content = content;
            this.async = async;
        }

        @Override
        public void onWritePossible() throws IOException {
            while (out.isReady()) {
                int n = content.read(chunk);
                if (n < 0) {
                    async.complete();
                    return;
                }
                out.write(chunk, 0, n);
            }
        }

        @Override
        public void onError(Throwable gone) {
            async.complete();
        }

        @Override
        public void onTimeout(AsyncEvent event) {
            Connection.of(request).ifPresent(Connection::cut);
            async.complete();
        }

        @Override
        public void onComplete(AsyncEvent event) throws IOException {
            content.close();
        }

        @Override
        public void onError(AsyncEvent event) {
            // told by the writing itself
        }

        @Override
        public void onStartAsync(AsyncEvent event) {
            // nothing begins another round
        }
    }
}
