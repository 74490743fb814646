package org.eskiz.server.http;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.springframework.core.annotation.Order;
import org.springframework.stereotype.Component;
import org.springframework.web.filter.OncePerRequestFilter;
import org.springframework.web.servlet.HandlerExceptionResolver;

/** Refuses bodies beyond a size, whether they announce it or not. */
@Component
@Order(2)
class BodySizeFilter extends OncePerRequestFilter {

    /** A plan of 64 elements and 64 bands with a page of text in every field stays well below this. */
    static final int MOST_BYTES = 1 << 20;

    /** The sweeps of an analyser are text, and fine ones long. */
    static final int MOST_BYTES_OF_A_SWEEP = 5 << 20;

    /** A whole workspace, with its sweeps. */
    static final int MOST_BYTES_OF_A_FILE = 16 << 20;

    private static final String SWEEPS = "/api/bench/files";
    private static final String FILES = "/api/transfers";

    private final HandlerExceptionResolver handlerExceptionResolver;

    BodySizeFilter(HandlerExceptionResolver handlerExceptionResolver) {
        this.handlerExceptionResolver = handlerExceptionResolver;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        int most = most(request.getRequestURI());
        if (request.getContentLengthLong() > most) {
            handlerExceptionResolver.resolveException(request, response, null, new TooLargeException(most));
            return;
        }
        chain.doFilter(new Capped(request, most), response);
    }

    private static int most(String address) {
        if (address.startsWith(FILES)) {
            return MOST_BYTES_OF_A_FILE;
        }
        return address.equals(SWEEPS) ? MOST_BYTES_OF_A_SWEEP : MOST_BYTES;
    }

    private static final class Capped extends HttpServletRequestWrapper {

        private final int most;

        Capped(HttpServletRequest request, int most) {
            super(request);
            this.most = most;
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            return new CappedStream(super.getInputStream(), most);
        }
    }

    private static final class CappedStream extends ServletInputStream {

        private final ServletInputStream in;
        private final int most;
        private int read;

        CappedStream(ServletInputStream in, int most) {
            this.in = in;
            this.most = most;
        }

        @Override
        public int read() throws IOException {
            int b = in.read();
            count(b < 0 ? 0 : 1);
            return b;
        }

        @Override
        public int read(byte[] buffer, int offset, int length) throws IOException {
            int n = in.read(buffer, offset, length);
            count(Math.max(n, 0));
            return n;
        }

        private void count(int bytes) throws TooLargeException {
            read += bytes;
            if (read > most) {
                throw new TooLargeException(most);
            }
        }

        @Override
        public boolean isFinished() {
            return in.isFinished();
        }

        @Override
        public boolean isReady() {
            return in.isReady();
        }

        @Override
        public void setReadListener(ReadListener listener) {
            in.setReadListener(listener);
        }
    }
}
