package org.eskiz.server.exchange;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;
import org.eskiz.core.run.LoadTable;

/**
 * Reads a table of loads: MHz and SWR, or MHz, R and X in ohm; separated by comma, semicolon or tab; a first line of words
 * is a header and may name the unit of frequency.
 */
final class LoadTableReader {

    private static final Map<String, Double> MHZ_PER_UNIT = Map.of("hz", 1e-6, "khz", 1e-3, "mhz", 1.0, "ghz", 1e3);

    private static final Pattern UNIT = Pattern.compile("(?i)\\b([kmg]?hz)\\b");

    private final char separator;
    private final double referenceOhm;
    private double mhzPerUnit = 1;

    private LoadTableReader(char separator, double referenceOhm) {
        this.separator = separator;
        this.referenceOhm = referenceOhm;
    }

    static LoadTable read(String text, double referenceOhm) {
        char separator = text.contains("\t") ? '\t' : text.contains(";") ? ';' : ',';
        return new LoadTableReader(separator, referenceOhm).table(text);
    }

    private LoadTable table(String text) {
        List<CSVRecord> records = records(text);
        if (!records.isEmpty() && isHeader(records.get(0))) {
            unitOf(records.get(0));
            records = records.subList(1, records.size());
        }
        if (records.isEmpty()) {
            throw new LoadFileException("there is no row in this table");
        }
        return switch (records.get(0).size()) {
            case 2 -> swrs(records);
            case 3 -> impedances(records);
            default ->
                throw new LoadFileException(
                        records.get(0).getRecordNumber(),
                        String.format(
                                Locale.ROOT,
                                "%d columns; there must be 2 (MHz, SWR) or 3 (MHz, R, X)",
                                records.get(0).size()));
        };
    }

    private List<CSVRecord> records(String text) {
        CSVFormat format = CSVFormat.DEFAULT
                .builder()
                .setDelimiter(separator)
                .setIgnoreEmptyLines(true)
                .setTrim(true)
                .setCommentMarker('#')
                .get();
        try (CSVParser parser = CSVParser.parse(text.replaceFirst("^\uFEFF", ""), format)) {
            return parser.getRecords();
        } catch (IOException | UncheckedIOException | IllegalArgumentException e) {
            throw new LoadFileException("this is not a table: " + e.getMessage().replaceFirst("^\\S+Exception: ", ""));
        }
    }

    /** A first row in which nothing is a number. */
    private boolean isHeader(CSVRecord first) {
        return first.stream().noneMatch(cell -> cell.matches("[-+]?[\\d.,].*"));
    }

    private void unitOf(CSVRecord header) {
        Matcher unit = UNIT.matcher(header.get(0));
        if (unit.find()) {
            mhzPerUnit = MHZ_PER_UNIT.get(unit.group(1).toLowerCase(Locale.ROOT));
        }
    }

    private LoadTable swrs(List<CSVRecord> records) {
        List<LoadTable.SwrRow> rows = new ArrayList<>();
        for (CSVRecord r : records) {
            double swr = number(r, 1, 2);
            if (swr < 1) {
                throw at(r, "an SWR of %s; it is at least 1".formatted(r.get(1)));
            }
            rows.add(new LoadTable.SwrRow(frequency(r, 2), swr));
        }
        return LoadTable.ofSwrs(rows, referenceOhm);
    }

    private LoadTable impedances(List<CSVRecord> records) {
        List<LoadTable.ImpedanceRow> rows = new ArrayList<>();
        for (CSVRecord r : records) {
            double resistance = number(r, 1, 3);
            if (resistance <= 0) {
                throw at(r, "a resistance of %s Ω; it must be above 0".formatted(r.get(1)));
            }
            rows.add(new LoadTable.ImpedanceRow(frequency(r, 3), resistance, number(r, 2, 3)));
        }
        return LoadTable.ofImpedances(rows, referenceOhm);
    }

    private double frequency(CSVRecord record, int columns) {
        double mhz = number(record, 0, columns) * mhzPerUnit;
        if (mhz < 0.1 || mhz > 30_000) {
            throw at(
                    record,
                    "%s MHz; from 0.1 to 30000 MHz can be read, and a header may name another unit".formatted(mhz));
        }
        return mhz;
    }

    private double number(CSVRecord record, int column, int columns) {
        if (record.size() != columns) {
            throw at(
                    record,
                    String.format(Locale.ROOT, "%d columns, where the first row has %d", record.size(), columns));
        }
        String cell = separator == ',' ? record.get(column) : record.get(column).replace(',', '.');
        try {
            double value = Double.parseDouble(cell);
            if (Double.isFinite(value) && !cell.matches(".*[dDfF]$")) {
                return value;
            }
        } catch (NumberFormatException e) {
            // told below
        }
        throw at(
                record,
                "\"%s\" is not a plain number; give every frequency in one unit, named in a header if it is not MHz"
                        .formatted(record.get(column)));
    }

    private static LoadFileException at(CSVRecord record, String what) {
        return new LoadFileException(record.getRecordNumber(), what);
    }
}
