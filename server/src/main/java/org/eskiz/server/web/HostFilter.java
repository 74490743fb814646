package org.eskiz.server.web;

import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.net.UnknownHostException;
import org.springframework.http.CacheControl;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.web.filter.OncePerRequestFilter;

/**
 * Keeps other web pages out. Any page that the operator visits could send requests to this port: the Host header must name
 * loopback or the address that the server is known by (a rebound name does neither), the Origin header, where there is one,
 * this very server. What comes from another machine without TLS is not listened to.
 */
final class HostFilter extends OncePerRequestFilter {

    private static final String CONTENT_POLICY = "default-src 'none'; script-src 'self'; style-src 'self';"
            + " font-src 'self'; img-src 'self' data:; connect-src 'self'; manifest-src 'self';"
            + " base-uri 'none'; form-action 'none'; frame-ancestors 'none'";

    private static final String WITHOUT_TLS =
            "passwords and plans are not sent in the clear: open this server by https; whoever runs it gives it a certificate"
                    + " (ESKIZ_TLS_CERTIFICATE, ESKIZ_TLS_KEY) or puts it behind a proxy that has one (ESKIZ_BEHIND_PROXY)";

    /** What a balancer asks, by whichever name it knows this machine; it says nothing but whether the server is up. */
    private static final String HEALTH = "/actuator/health/";

    private static final String NOT_KEPT = CacheControl.noStore().getHeaderValue();

    private final Problems problems;

    private final PublicAddress address;

    HostFilter(Problems problems, PublicAddress address) {
        this.problems = problems;
        this.address = address;
    }

    @Override
    protected void doFilterInternal(HttpServletRequest request, HttpServletResponse response, FilterChain chain)
            throws ServletException, IOException {
        setHeaders(request, response);
        if (request.getRequestURI().startsWith(HEALTH)) {
            chain.doFilter(request, response);
            return;
        }
        if (!address.isNamedBy(request) || !isFromHere(request)) {
            problems.refuse(
                    request,
                    response,
                    HttpStatus.FORBIDDEN,
                    address.isOpen()
                            ? "only pages of this server may ask; open it by " + address.of("")
                            : "only pages of this server may ask; open it by its loopback address");
            return;
        }
        if (!request.isSecure() && !isFromThisMachine(request)) {
            problems.refuse(request, response, HttpStatus.FORBIDDEN, WITHOUT_TLS);
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

    private boolean isFromHere(HttpServletRequest request) {
        String origin = request.getHeader(HttpHeaders.ORIGIN);
        String site = request.getHeader("Sec-Fetch-Site");
        boolean otherSite = "cross-site".equals(site) && !"navigate".equals(request.getHeader("Sec-Fetch-Mode"));
        return !otherSite && (origin == null || address.isOrigin(origin, request));
    }

    private static boolean isFromThisMachine(HttpServletRequest request) {
        try {
            return InetAddress.getByName(request.getRemoteAddr()).isLoopbackAddress();
        } catch (UnknownHostException e) {
            return false;
        }
    }
}
