package org.eskiz.server.web;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.math.BigDecimal;
import java.util.List;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;

/**
 * Comma-separated values as they are written (RFC 4180). A text that a spreadsheet would take for a formula gets an apostrophe
 * before it.
 */
public final class Csv {

    private static final CSVFormat WRITTEN = CSVFormat.RFC4180;
    private static final String LINE_END = "\r\n";
    private static final String FORMULA = "(?s)^['=+\\-@\\t\\r].*";

    private Csv() {}

    /** A header and its rows; null is an empty cell. */
    static void write(List<String> columns, Stream<List<Object>> rows, Writer out) {
        Stream.concat(Stream.of(columns), rows).forEach(row -> {
            try {
                out.write(WRITTEN.format(row.toArray()) + LINE_END);
            } catch (IOException e) {
                throw new UncheckedIOException(e);
            }
        });
    }

    /** A text that no spreadsheet takes for a formula. */
    public static String guarded(String text) {
        return text != null && text.matches(FORMULA) ? "'" + text : text;
    }

    /** The text that was guarded. */
    public static String unguarded(String text) {
        return text.startsWith("'") && text.substring(1).matches(FORMULA) ? text.substring(1) : text;
    }

    /** Shortest that reads back the same, without an exponent. */
    public static String number(Double value) {
        return value == null
                ? null
                : new BigDecimal(value.toString()).stripTrailingZeros().toPlainString();
    }

    /** Money and the like, exactly; without zeros that say nothing. */
    public static String decimal(BigDecimal value) {
        return value == null ? null : value.stripTrailingZeros().toPlainString();
    }

    /** Yes, no, or nothing. */
    public static String yes(Boolean value) {
        return value == null ? null : value ? "yes" : "no";
    }
}
