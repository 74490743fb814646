package org.eskiz.server.web;

import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.stream.Stream;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;

/** An answer that a browser keeps as a file. */
public final class Attachment {

    private Attachment() {}

    /** A table as a file (RFC 4180), row by row. */
    public static void csv(HttpServletResponse response, String name, List<String> columns, Stream<List<Object>> rows)
            throws IOException {
        begin(response, name, new MediaType("text", "csv", StandardCharsets.UTF_8));
        Csv.write(columns, rows, response.getWriter());
    }

    /** A text as a file. */
    public static void text(HttpServletResponse response, String name, MediaType type, String text) throws IOException {
        begin(response, name, type);
        response.getWriter().write(text);
    }

    /**
     * Begins an answer that is a file.
     *
     * @param name of the file, in any script; what a file system might take for a path is not in it
     */
    public static void begin(HttpServletResponse response, String name, MediaType type) {
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename(name.replaceAll("[^\\p{L}\\p{N}. _-]", "-"), StandardCharsets.UTF_8)
                        .build()
                        .toString());
        response.setContentType(type.toString());
    }
}
