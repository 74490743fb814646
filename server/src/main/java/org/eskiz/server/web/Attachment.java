package org.eskiz.server.web;

import java.nio.charset.StandardCharsets;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/** An answer that a browser keeps as a file. */
public final class Attachment {

    private Attachment() {}

    /**
     * A text as a file.
     *
     * @param name of the file, in any script; what a file system might take for a path is not in it
     */
    public static ResponseEntity<String> of(String name, MediaType type, String text) {
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename(name.replaceAll("[^\\p{L}\\p{N}. _-]", "-"), StandardCharsets.UTF_8)
                                .build()
                                .toString())
                .contentType(type)
                .body(text);
    }
}
