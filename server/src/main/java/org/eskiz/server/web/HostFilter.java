package org.eskiz.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.URI;
import java.util.Set;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Keeps other web pages out. Without sign-in, any page that the operator visits could send requests to this port: the
 * Host header must name loopback (a rebound name does not), the Origin header, where there is one, this very server.
 */
final class HostFilter extends OncePerRequestFilter {

    private static final Set<String> LOOPBACK = Set.of("127.0.0.1", "localhost", "[::1]");

    private static final String CONTENT_POLICY = "default-src 'none'; script-src 'self'; style-src 'self';"
            + " font-src 'self'; img-src 'self' data:; connect-src 'self'; manifest-src 'self';"
            + " base-uri 'none'; form-action 'none'; frame-ancestors 'none'";

    private static final String NOT_KEPT = CacheControl.noStore().getHeaderValue();

    private final Problems problems;

    HostFilter(Problems problems) {
        this.problems = problems;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        setHeaders(request, response);
        if (!LOOPBACK.contains(request.getServerName()) || !isFromHere(request)) {
            problems.refuse(
                    request,
                    response,
                    HttpStatus.FORBIDDEN,
                    "only pages of this server may ask; open it by its loopback address");
            return;
        }
        chain.doFilter(request, response);
    }

    private static void setHeaders(HttpServletRequest request, HttpServletResponse response) {
        response.setHeader("Content-Security-Policy", CONTENT_POLICY);
        response.setHeader("X-Content-Type-Options", "nosniff");
        response.setHeader("Referrer-Policy", "no-referrer");
        response.setHeader("Cross-Origin-Resource-Policy", "same-origin");
        response.setHeader("Cross-Origin-Opener-Policy", "same-origin");
        if (request.getRequestURI().startsWith("/api")) {
            response.setHeader(HttpHeaders.CACHE_CONTROL, NOT_KEPT);
        }
    }

    private static boolean isFromHere(HttpServletRequest request) {
        String origin = request.getHeader(HttpHeaders.ORIGIN);
        String site = request.getHeader("Sec-Fetch-Site");
        boolean otherSite = "cross-site".equals(site) && !"navigate".equals(request.getHeader("Sec-Fetch-Mode"));
        return !otherSite && (origin == null || isThisServer(origin, request));
    }

    private static boolean isThisServer(String origin, HttpServletRequest request) {
        try {
            URI uri = URI.create(origin);
            return request.getScheme().equals(uri.getScheme())
                    && request.getServerName().equals(uri.getHost())
                    && request.getServerPort() == port(uri);
        } catch (IllegalArgumentException e) {
            return false;
        }
    }

    /** A browser leaves out the port that its scheme has anyway. */
    private static int port(URI origin) {
        if (origin.getPort() >= 0) {
            return origin.getPort();
        }
        return "https".equals(origin.getScheme()) ? 443 : 80;
    }
}
