package org.eskiz.server.web;

import java.io.IOException;
import java.io.Writer;
import java.util.Locale;
import org.apache.catalina.connector.Request;
import org.apache.catalina.connector.Response;
import org.apache.catalina.valves.ErrorReportValve;
import org.springframework.http.HttpStatus;
import org.springframework.http.MediaType;

/** What Tomcat itself refuses, such as an address that is none, is told in the same form as everything else. */
public final class ProblemReportValve extends ErrorReportValve {

    private static final int FIRST_REFUSAL = 400;

    @Override
    protected void report(Request request, Response response, Throwable thrown) {
        int code = response.getStatus();
        if (code < FIRST_REFUSAL || response.getContentWritten() > 0 || !response.setErrorReported()) {
            return;
        }
        HttpStatus known = HttpStatus.resolve(code);
        String title = known == null ? "Refused" : known.getReasonPhrase();
        String detail = code == HttpStatus.BAD_REQUEST.value()
                ? "the address or a header of this request is malformed"
                : "the request was refused before anything of it was read";
        response.setContentType(MediaType.APPLICATION_PROBLEM_JSON_VALUE);
        response.setCharacterEncoding("UTF-8");
        try (Writer writer = response.getReporter()) {
            if (writer != null) {
                writer.write(String.format(
                        Locale.ROOT, "{\"title\":\"%s\",\"status\":%d,\"detail\":\"%s\"}", title, code, detail));
                response.finishResponse();
            }
        } catch (IOException e) {
            // nobody listens any more
        }
    }
}
