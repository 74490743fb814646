package org.eskiz.server.web;

import jakarta.servlet.AsyncContext;
import jakarta.servlet.AsyncEvent;
import jakarta.servlet.AsyncListener;
import jakarta.servlet.Filter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ReadListener;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletInputStream;
import jakarta.servlet.ServletRequest;
import jakarta.servlet.ServletResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletRequestWrapper;
import jakarta.servlet.http.HttpServletResponse;
import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.util.List;
import java.util.Locale;
import java.util.concurrent.atomic.AtomicLong;
import org.springframework.http.HttpStatus;
import org.springframework.http.InvalidMediaTypeException;
import org.springframework.http.MediaType;

/**
 * Reads bodies before anything is done with them: of the kind and size that a route takes, and as the connection brings them,
 * so that a slow one holds no thread. What is not of that kind or size is refused before a byte of it is read.
 */
final class BodyFilter implements Filter {

    /** A body of the usual size comes within this over any network that is worth working on. */
    private static final long WITHIN_MS = 20_000;

    /** What was refused is taken off the line for so long, so that whoever sends it hears why. */
    private static final long DISCARDED_FOR_MS = 5_000;

    /** Of all bodies that are on their way together. */
    private static final long MOST_BYTES_ON_THE_WAY = 64L << 20;

    private static final String READ = BodyFilter.class.getName();
    private static final int CHUNK = 8192;

    private final List<BodyLimit> limits;
    private final Problems problems;
    private final AtomicLong onTheWay = new AtomicLong();

    BodyFilter(List<BodyLimit> limits, Problems problems) {
        this.limits = limits;
        this.problems = problems;
    }

    /** A body, or why there is none. */
    private record Read(byte[] body, HttpStatus refused, String why) {}

    static boolean hasBody(HttpServletRequest request) {
        return request.getContentLengthLong() > 0 || request.getHeader("Transfer-Encoding") != null;
    }

    @Override
    public void doFilter(ServletRequest asked, ServletResponse answer, FilterChain chain)
            throws IOException, ServletException {
        HttpServletRequest request = (HttpServletRequest) asked;
        HttpServletResponse response = (HttpServletResponse) answer;
        Read read = (Read) request.getAttribute(READ);
        if (read != null) {
            goOn(request, response, chain, read);
        } else if (!hasBody(request)) {
            chain.doFilter(request, response);
        } else {
            begin(request, response, chain);
        }
    }

    private void goOn(HttpServletRequest request, HttpServletResponse response, FilterChain chain, Read read)
            throws IOException, ServletException {
        if (read.refused() == null) {
            chain.doFilter(new WithBody(request, read.body()), response);
        } else {
            problems.refuse(request, response, read.refused(), read.why());
        }
    }

    private void begin(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        BodyLimit limit = limit(request.getRequestURI());
        long announced = request.getContentLengthLong();
        if (!isOf(limit, request)) {
            refuseAndDiscard(
                    request,
                    response,
                    HttpStatus.UNSUPPORTED_MEDIA_TYPE,
                    "a body must be " + limit.contentType() + " here; it was not read");
        } else if (announced > limit.mostBytes()) {
            refuseAndDiscard(request, response, HttpStatus.CONTENT_TOO_LARGE, tooLarge(limit));
        } else if (announced >= 0 && request.getInputStream().available() >= announced) {
            byte[] body = request.getInputStream().readNBytes((int) announced);
            chain.doFilter(new WithBody(request, body), response);
        } else {
            readAsItComes(request, limit);
        }
    }

    private BodyLimit limit(String address) {
        return limits.stream()
                .filter(l -> address.startsWith(l.pathStart()))
                .max((a, b) -> a.pathStart().length() - b.pathStart().length())
                .orElse(BodyLimit.USUAL);
    }

    private static boolean isOf(BodyLimit limit, HttpServletRequest request) {
        try {
            return request.getContentType() != null
                    && request.getRequestURI().startsWith(BodyLimit.USUAL.pathStart())
                    && MediaType.parseMediaType(limit.contentType())
                            .equalsTypeAndSubtype(MediaType.parseMediaType(request.getContentType()));
        } catch (InvalidMediaTypeException e) {
            return false;
        }
    }

    private static String tooLarge(BodyLimit limit) {
        return "the body is larger than " + limit.mostBytes() + " bytes";
    }

    private void readAsItComes(HttpServletRequest request, BodyLimit limit) throws IOException {
        AsyncContext async = request.startAsync();
        async.setTimeout(WITHIN_MS);
        Reading reading = new Reading(request, limit, async);
        async.addListener(reading);
        request.getInputStream().setReadListener(reading);
    }

    private void refuseAndDiscard(
            HttpServletRequest request, HttpServletResponse response, HttpStatus status, String why)
            throws IOException {
        problems.refuse(request, response, status, why);
        AsyncContext async = request.startAsync();
        async.setTimeout(DISCARDED_FOR_MS);
        Discarding discarding = new Discarding(request, async);
        async.addListener(discarding);
        request.getInputStream().setReadListener(discarding);
    }

    /** What reading and discarding have in common: they take what is there, and end in time. */
    private abstract static class Taking implements ReadListener, AsyncListener {

        private final HttpServletRequest request;
        final AsyncContext async;
        private final byte[] chunk = new byte[CHUNK];

        Taking(HttpServletRequest request, AsyncContext async) {
            this.request = request;
            this.async = async;
        }

        /** @return whether more is wanted */
        abstract boolean take(byte[] bytes, int length);

        HttpServletRequest request() {
            return request;
        }

        @Override
        public void onDataAvailable() throws IOException {
            ServletInputStream in = request.getInputStream();
            while (in.isReady()) {
                int n = in.read(chunk);
                if (n < 0 || !take(chunk, n)) {
                    return;
                }
            }
        }

        @Override
        public void onError(Throwable gone) {
            async.complete();
        }

        @Override
        public void onError(AsyncEvent event) {
            // told by the reading itself
        }

        @Override
        public void onStartAsync(AsyncEvent event) {
            // an answer that is written as it is taken begins a round of its own
        }
    }

    private final class Reading extends Taking {

        private final BodyLimit limit;
        private final ByteArrayOutputStream body = new ByteArrayOutputStream();
        private long counted;

        Reading(HttpServletRequest request, BodyLimit limit, AsyncContext async) {
            super(request, async);
            this.limit = limit;
        }

        @Override
        boolean take(byte[] bytes, int length) {
            counted += length;
            boolean isTooMuch = onTheWay.addAndGet(length) > MOST_BYTES_ON_THE_WAY;
            if (counted > limit.mostBytes()) {
                end(new Read(null, HttpStatus.CONTENT_TOO_LARGE, tooLarge(limit)));
                return false;
            }
            if (isTooMuch) {
                end(new Read(
                        null, HttpStatus.SERVICE_UNAVAILABLE, "too much is being sent at once; try again in a moment"));
                return false;
            }
            body.write(bytes, 0, length);
            return true;
        }

        @Override
        public void onAllDataRead() {
            end(new Read(body.toByteArray(), null, null));
        }

        @Override
        public void onTimeout(AsyncEvent event) {
            end(new Read(
                    null,
                    HttpStatus.REQUEST_TIMEOUT,
                    String.format(Locale.ROOT, "the body did not come within %d s", WITHIN_MS / 1000)));
        }

        @Override
        public void onError(Throwable gone) {
            giveBack();
            super.onError(gone);
        }

        @Override
        public void onComplete(AsyncEvent event) {
            giveBack();
        }

        private void end(Read read) {
            if (request().getAttribute(READ) == null) {
                request().setAttribute(READ, read);
                giveBack();
                async.dispatch();
            }
        }

        private void giveBack() {
            onTheWay.addAndGet(-counted);
            counted = 0;
        }
    }

    private static final class Discarding extends Taking {

        Discarding(HttpServletRequest request, AsyncContext async) {
            super(request, async);
        }

        @Override
        boolean take(byte[] bytes, int length) {
            return true;
        }

        @Override
        public void onAllDataRead() {
            async.complete();
        }

        @Override
        public void onTimeout(AsyncEvent event) {
            Connection.of(request()).ifPresent(Connection::cut);
            async.complete();
        }

        @Override
        public void onComplete(AsyncEvent event) {
            // nothing was kept
        }
    }

    /** A request whose body was read already. */
    private static final class WithBody extends HttpServletRequestWrapper {

        private final byte[] body;

        WithBody(HttpServletRequest request, byte[] body) {
            super(request);
            this.body = body;
        }

        @Override
        public ServletInputStream getInputStream() {
            return new Held(body);
        }
    }

    private static final class Held extends ServletInputStream {

        private final ByteArrayInputStream in;

        Held(byte[] body) {
            this.in = new ByteArrayInputStream(body);
        }

        @Override
        public int read() {
            return in.read();
        }

        @Override
        public int read(byte[] buffer, int offset, int length) {
            return in.read(buffer, offset, length);
        }

        @Override
        public boolean isFinished() {
            return in.available() == 0;
        }

        @Override
        public boolean isReady() {
            return true;
        }

        @Override
        public void setReadListener(ReadListener listener) {
            throw new IllegalStateException("the body was read already");
        }
    }
}
