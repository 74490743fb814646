package org.eskiz.server.catalogue.csv;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.DateTimeException;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.eskiz.server.problem.Days;
import org.eskiz.server.web.Csv;

/**
 * One record of a file of comma-separated values (RFC 4180, UTF-8), column by column.
 */
public record CsvCells(CSVRecord record) {

    private static final int LONGEST_NUMBER = 40;
    private static final int MOST_COLUMNS_TOLD = 20;
    private static final int SHOWN = 60;

    private static final CSVFormat READ = CSVFormat.RFC4180
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setIgnoreEmptyLines(true)
            .setTrim(true)
            .get();

    /**
     * The columns of a file.
     *
     * @throws IllegalArgumentException when it is no table at all
     */
    public static List<String> columns(String text) {
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

    /** The records of a table that is known to be one. */
    public static List<CsvCells> records(String text) {
        return parsed(text, parser -> parser.stream().map(CsvCells::new).toList());
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
        List<String> wrong =
                columns.limit(MOST_COLUMNS_TOLD).map(CsvCells::shown).toList();
        if (!wrong.isEmpty()) {
            throw new IllegalArgumentException(trouble + String.join(", ", wrong));
        }
    }

    private static String shown(String text) {
        return text.length() > SHOWN ? text.substring(0, SHOWN) + "…" : text;
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
            throw new IllegalArgumentException(String.format(
                    Locale.ROOT,
                    "%d cells, where the header has %d",
                    record.size(),
                    record.getParser().getHeaderNames().size()));
        }
    }

    /** Null where there is nothing. */
    public String text(String column) {
        if (!record.isMapped(column)
                || !record.isSet(column)
                || record.get(column).isEmpty()) {
            return null;
        }
        return Csv.unguarded(record.get(column));
    }

    public Double number(String column) {
        String text = text(column);
        return text == null ? null : number(column, text);
    }

    static Double number(String column, String text) {
        if (text.length() > LONGEST_NUMBER || !text.matches("[-+]?(\\d+\\.?\\d*|\\.\\d+)([eE][-+]?\\d+)?")) {
            throw new IllegalArgumentException("%s: \"%s\" is not a number".formatted(column, shown(text)));
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
            default ->
                throw new IllegalArgumentException("%s: \"%s\" is neither yes nor no".formatted(column, shown(text)));
        };
    }

    LocalDate date(String column) {
        String text = text(column);
        try {
            return text == null ? null : Days.requireUsual(LocalDate.parse(text));
        } catch (DateTimeException e) {
            throw new IllegalArgumentException(
                    "%s: \"%s\" is not a date such as 2026-05-01".formatted(column, shown(text)));
        }
    }

    <E extends Enum<E>> E choice(String column, Class<E> of, E otherwise) {
        String text = text(column);
        try {
            return text == null ? otherwise : Enum.valueOf(of, text.toUpperCase(Locale.ROOT));
        } catch (IllegalArgumentException e) {
            throw new IllegalArgumentException(
                    "%s: \"%s\" is none of %s".formatted(column, shown(text), List.of(of.getEnumConstants())));
        }
    }
}
