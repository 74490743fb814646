package org.eskiz.server.catalogue;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * One record of a file of comma-separated values (RFC 4180, UTF-8), column by column.
 *
 * <p>A text that a spreadsheet would take for a formula is written with an apostrophe before it, which reading takes off.
 */
record CsvCells(CSVRecord record) {

    private static final CSVFormat WRITTEN = CSVFormat.RFC4180;
    private static final String LINE_END = "\r\n";

    private static final CSVFormat READ = CSVFormat.RFC4180
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setIgnoreEmptyLines(true)
            .setTrim(true)
            .get();

    static String table(List<String> columns, Stream<List<Object>> rows) {
        return Stream.concat(Stream.of(columns), rows)
                .map(row -> WRITTEN.format(row.toArray()) + LINE_END)
                .collect(Collectors.joining());
    }

    static String guarded(String text) {
        return text != null && text.matches("(?s)^['=+\\-@\\t\\r].*") ? "'" + text : text;
    }

    /** Shortest that reads back the same, without an exponent. */
    static String written(Double value) {
        return value == null
                ? null
                : new BigDecimal(value.toString()).stripTrailingZeros().toPlainString();
    }

    static String written(Boolean value) {
        return value == null ? null : value ? "yes" : "no";
    }

    /**
     * The columns of a file.
     *
     * @throws IllegalArgumentException when it is no table at all
     */
    static List<String> columns(String text) {
        return parsed(text, CSVParser::getHeaderNames);
    }

    /**
     * Reads a file; a record that cannot be read is told with why.
     *
     * @param needed columns that must be there
     * @param known columns that may be there
     * @throws IllegalArgumentException when it is no such table at all
     */
    static <T> List<ReadRow<T>> read(
            String text, Collection<String> needed, Collection<String> known, Function<CsvCells, T> reading) {
        return parsed(text, parser -> {
            List<String> columns = parser.getHeaderNames();
            requireNone("the header lacks ", needed.stream().filter(c -> !columns.contains(c)));
            requireNone("there is no column ", columns.stream().filter(c -> !known.contains(c)));
            List<ReadRow<T>> rows = new ArrayList<>();
            for (CSVRecord record : parser) {
                rows.add(row(new CsvCells(record), (int) parser.getCurrentLineNumber(), reading));
            }
            return rows;
        });
    }

    private static <T> T parsed(String text, Function<CSVParser, T> reading) {
        try (CSVParser parser = CSVParser.parse(text.replaceFirst("^\uFEFF", ""), READ)) {
            return reading.apply(parser);
        } catch (IOException | UncheckedIOException e) {
            throw new IllegalArgumentException(
                    "this is not a table: " + e.getMessage().replaceFirst("^\\S+Exception: ", ""));
        }
    }

    private static void requireNone(String trouble, Stream<String> columns) {
        List<String> wrong = columns.toList();
        if (!wrong.isEmpty()) {
            throw new IllegalArgumentException(trouble + String.join(", ", wrong));
        }
    }

    private static <T> ReadRow<T> row(CsvCells cells, int line, Function<CsvCells, T> reading) {
        String key = cells.text("key");
        try {
            cells.requireWhole();
            return new ReadRow<>(line, key, cells.text("name"), reading.apply(cells), null);
        } catch (IllegalArgumentException e) {
            return ReadRow.refused(line, key, cells.text("name"), e.getMessage());
        }
    }

    private void requireWhole() {
        if (!record.isConsistent()) {
            throw new IllegalArgumentException("%d cells, where the header has %d"
                    .formatted(
                            record.size(), record.getParser().getHeaderNames().size()));
        }
    }

    /** Null where there is nothing. */
    String text(String column) {
        if (!record.isMapped(column)
                || !record.isSet(column)
                || record.get(column).isEmpty()) {
            return null;
        }
        String text = record.get(column);
        return text.matches("(?s)^'['=+\\-@\\t\\r].*") ? text.substring(1) : text;
    }

    Double number(String column) {
        String text = text(column);
        return text == null ? null : number(column, text);
    }

    static Double number(String column, String text) {
        if (!text.matches("[-+]?(\\d+\\.?\\d*|\\.\\d+)([eE][-+]?\\d+)?")) {
            throw new IllegalArgumentException("%s: \"%s\" is not a number".formatted(column, text));
        }
        return Double.valueOf(text);
    }

    Boolean yes(String column) {
        String text = text(column);
        if (text == null) {
            return null;
        }
        return switch (text.toLowerCase(Locale.ROOT)) {
            case "yes" -> true;
            case "no" -> false;
            default -> throw new IllegalArgumentException("%s: \"%s\" is neither yes nor no".formatted(column, text));
        };
    }

    LocalDate date(String column) {
        String text = text(column);
        try {
            return text == null ? null : LocalDate.parse(text);
        } catch (DateTimeParseException e) {
            throw new IllegalArgumentException("%s: \"%s\" is not a date such as 2026-05-01".formatted(column, text));
        }
    }

    <E extends Enum<E>> E choice(String column, Class<E> of, E otherwise) {
        String text = text(column);
        try {
            return text == null ? otherwise : Enum.valueOf(of, text.toUpperCase(Locale.ROOT));
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException(
                    "%s: \"%s\" is none of %s".formatted(column, text, List.of(of.getEnumConstants())));
        }
    }
}
