package org.eskiz.server.web;

import jakarta.servlet.Filter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletRequest;
import jakarta.servlet.ServletResponse;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.security.SecureRandom;
import java.util.HexFormat;
import org.eskiz.server.problem.RequestId;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.web.servlet.HandlerMapping;

/**
 * Gives each request an id, which its answer and every line of the log about it carry, and writes one line about each that
 * was refused. A line has the route and never what was asked or said: that belongs to the operator.
 */
final class RequestLogFilter implements Filter {

    static final String HEADER = "X-Request-Id";

    private static final Logger LOG = LoggerFactory.getLogger(RequestLogFilter.class);

    private static final int ID_BYTES = 6;
    private static final int FIRST_REFUSAL = 400;

    private final SecureRandom random = new SecureRandom();

    @Override
    public void doFilter(ServletRequest asked, ServletResponse answer, FilterChain chain)
            throws IOException, ServletException {
        HttpServletRequest request = (HttpServletRequest) asked;
        HttpServletResponse response = (HttpServletResponse) answer;
        String id = (String) request.getAttribute(HEADER);
        if (id == null) {
            byte[] bytes = new byte[ID_BYTES];
            random.nextBytes(bytes);
            id = HexFormat.of().formatHex(bytes);
            request.setAttribute(HEADER, id);
            response.setHeader(HEADER, id);
        }
        RequestId.begin(id);
        try {
            chain.doFilter(request, response);
            if (response.getStatus() >= FIRST_REFUSAL) {
                LOG.info("refused with {}: {} {}", response.getStatus(), request.getMethod(), route(request));
            }
        } finally {
            RequestId.end();
        }
    }

    private static Object route(HttpServletRequest request) {
        Object pattern = request.getAttribute(HandlerMapping.BEST_MATCHING_PATTERN_ATTRIBUTE);
        return pattern == null ? "(no route)" : pattern;
    }
}
