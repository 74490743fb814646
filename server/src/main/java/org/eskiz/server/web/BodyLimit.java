package org.eskiz.server.web;

/**
 * A route whose bodies are of another size or kind than usual.
 *
 * @param pathStart of its address
 * @param mostBytes that a body may have
 * @param contentType that it must have
 */
public record BodyLimit(String pathStart, int mostBytes, String contentType) {

    /** A plan of 64 elements and 64 bands with a page of text in every field stays well below this. */
    public static final int USUAL_BYTES = 1 << 20;

    static final BodyLimit USUAL = new BodyLimit("/api/", USUAL_BYTES, "application/json");

    /** JSON of another size. */
    public static BodyLimit ofJson(String pathStart, int mostBytes) {
        return new BodyLimit(pathStart, mostBytes, USUAL.contentType);
    }
}
