package org.eskiz.server.web;

import java.io.ByteArrayInputStream;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.OutputStream;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.zip.Deflater;
import java.util.zip.GZIPInputStream;
import java.util.zip.GZIPOutputStream;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;

/**
 * An answer in JSON, packed by gzip at the level that costs least: usual packing takes longer than many an answer.
 *
 * @param gzip the packed bytes
 */
public record Packed(byte[] gzip) {

    private static final String GZIP = "gzip";

    private static final Pattern REFUSED = Pattern.compile(";q=0(\\.0*)?$");

    /** Packs some bytes. */
    public static Packed of(byte[] plain) {
        var packed = new ByteArrayOutputStream(plain.length / 6);
        try (OutputStream out = new FastGzip(packed)) {
            out.write(plain);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        return new Packed(packed.toByteArray());
    }

    /**
     * As it goes to a client.
     *
     * @param accepted what the client says of encodings; null for nothing
     */
    public ResponseEntity<byte[]> answer(String accepted) {
        ResponseEntity.BodyBuilder answer = ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_JSON)
                .header(HttpHeaders.VARY, HttpHeaders.ACCEPT_ENCODING);
        return isTaken(accepted)
                ? answer.header(HttpHeaders.CONTENT_ENCODING, GZIP).body(gzip)
                : answer.body(plain());
    }

    /** A weight of nothing refuses what it stands at (RFC 9110, 12.5.3). */
    private static boolean isTaken(String accepted) {
        return accepted != null
                && Arrays.stream(accepted.toLowerCase(Locale.ROOT).split(","))
                        .map(one -> one.replace(" ", ""))
                        .anyMatch(one -> one.equals(GZIP)
                                || one.startsWith(GZIP + ";")
                                        && !REFUSED.matcher(one).find());
    }

    private byte[] plain() {
        try (var in = new GZIPInputStream(new ByteArrayInputStream(gzip))) {
            return in.readAllBytes();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static final class FastGzip extends GZIPOutputStream {

        FastGzip(OutputStream out) throws IOException {
            super(out, 8 << 10);
            def.setLevel(Deflater.BEST_SPEED);
        }
    }
}
