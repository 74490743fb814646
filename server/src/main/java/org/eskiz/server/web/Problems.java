package org.eskiz.server.web;

import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import org.eskiz.server.problem.RequestId;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;
import org.springframework.http.ProblemDetail;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** Tells what is wrong with a request before any controller has it, in the same form as afterwards (RFC 9457). */
@Component
public class Problems {

    private final JsonMapper json;

    Problems(JsonMapper json) {
        this.json = json;
    }

    /** Answers, and ends the connection where there is more of the request than anybody will read. */
    public void refuse(HttpServletRequest request, HttpServletResponse response, HttpStatus status, String detail)
            throws IOException {
        refuse(request, response, status, status.getReasonPhrase(), detail);
    }

    /** The same under a title of its own, by which a program knows it. */
    public void refuse(
            HttpServletRequest request, HttpServletResponse response, HttpStatus status, String title, String detail)
            throws IOException {
        byte[] body = json.writeValueAsBytes(problem(status, title, detail));
        response.setStatus(status.value());
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setContentLength(body.length);
        if (BodyFilter.hasBody(request)) {
            response.setHeader("Connection", "close");
        }
        response.getOutputStream().write(body);
        response.flushBuffer();
    }

    private static ProblemDetail problem(HttpStatus status, String title, String detail) {
        ProblemDetail problem = ProblemDetail.forStatusAndDetail(status, detail);
        problem.setTitle(title);
        RequestId.current().ifPresent(id -> problem.setProperty(RequestId.NAME, id));
        return problem;
    }
}
