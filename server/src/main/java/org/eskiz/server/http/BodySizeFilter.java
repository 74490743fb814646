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

    private final HandlerExceptionResolver handlerExceptionResolver;

    BodySizeFilter(HandlerExceptionResolver handlerExceptionResolver) {
        this.handlerExceptionResolver = handlerExceptionResolver;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        if (request.getContentLengthLong() > MOST_BYTES) {
            handlerExceptionResolver.resolveException(request, response, null, new TooLargeException());
            return;
        }
        chain.doFilter(new Capped(request), response);
    }

    private static final class Capped extends HttpServletRequestWrapper {

        Capped(HttpServletRequest request) {
            super(request);
        }

        @Override
        public ServletInputStream getInputStream() throws IOException {
            return new CappedStream(super.getInputStream());
        }
    }

    private static final class CappedStream extends ServletInputStream {

        private final ServletInputStream in;
        private int read;

        CappedStream(ServletInputStream in) {
            this.in = in;
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
            if (read > MOST_BYTES) {
                throw new TooLargeException();
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
