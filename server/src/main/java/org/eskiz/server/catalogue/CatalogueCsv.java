package org.eskiz.server.catalogue;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.time.format.DateTimeParseException;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Cable types as comma-separated values (RFC 4180, UTF-8), one type a record, its sheet in one cell: {@code 10:1.2 145:4.9}.
 * The columns are those of {@link #COLUMNS}; a file may have them in any order and leave some out. What came with the first
 * Eskiz is read too: {@code average_power_30mhz_w} and {@code sample_price_per_m}.
 *
 * <p>A text that a spreadsheet would take for a formula is written with an apostrophe before it, which reading takes off.
 */
final class CatalogueCsv {

    /** Every column, in the order in which they are written. */
    static final List<String> COLUMNS = List.of(
            "key",
            "name",
            "family",
            "provenance",
            "source_title",
            "source_date",
            "mechanics_provenance",
            "ratings_provenance",
            "impedance_ohm",
            "velocity_factor",
            "balanced",
            "outer_diameter_mm",
            "mass_g_per_m",
            "bend_radius_once_mm",
            "bend_radius_repeated_mm",
            "jacket",
            "centre_conductor",
            "shield",
            "dielectric",
            "min_install_c",
            "min_operating_c",
            "max_operating_c",
            "direct_burial",
            "sun_resistant",
            "flexing",
            "peak_voltage_v",
            "average_power_w",
            "rated_at_mhz",
            "rated_at_c",
            "price_per_m",
            "price_currency",
            "priced_on",
            "sold_in_m",
            "note",
            "points");

    private static final String OLD_POWER = "average_power_30mhz_w";
    private static final String OLD_PRICE = "sample_price_per_m";
    private static final Set<String> ALSO_KNOWN = Set.of(OLD_POWER, OLD_PRICE);

    private static final CSVFormat WRITTEN = CSVFormat.RFC4180;
    private static final String LINE_END = "\r\n";

    private static final CSVFormat READ = CSVFormat.RFC4180
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setIgnoreEmptyLines(true)
            .setTrim(true)
            .get();

    private CatalogueCsv() {}

    static String write(List<CableType> types) {
        Stream<String> records =
                types.stream().map(type -> WRITTEN.format(cells(type).toArray()));
        return Stream.concat(Stream.of(WRITTEN.format(COLUMNS.toArray())), records)
                .map(record -> record + LINE_END)
                .collect(Collectors.joining());
    }

    private static List<Object> cells(CableType type) {
        CableType.Facts f = type.facts();
        CableType.Mechanics m = f.mechanics();
        CableType.Price price = f.price();
        List<Object> cells = new ArrayList<>();
        Stream.of(
                        type.key(),
                        guarded(f.name()),
                        guarded(f.family()),
                        f.provenance(),
                        guarded(f.source().title()))
                .forEach(cells::add);
        cells.add(f.source().date());
        cells.add(f.source().mechanics());
        cells.add(f.source().ratings());
        cells.add(number(f.impedanceOhm()));
        cells.add(number(f.velocityFactor()));
        cells.add(yes(f.balanced()));
        for (Double value :
                new Double[] {m.outerDiameterMm(), m.massGPerM(), m.bendRadiusOnceMm(), m.bendRadiusRepeatedMm()}) {
            cells.add(number(value));
        }
        for (String text : new String[] {m.jacket(), m.centreConductor(), m.shield(), m.dielectric()}) {
            cells.add(guarded(text));
        }
        cells.add(number(m.minInstallC()));
        cells.add(number(m.minOperatingC()));
        cells.add(number(m.maxOperatingC()));
        cells.add(yes(m.directBurial()));
        cells.add(yes(m.sunResistant()));
        cells.add(m.flexing());
        cells.add(number(f.ratings().peakVoltageV()));
        cells.add(number(f.ratings().averagePowerW()));
        cells.add(number(f.ratings().atMHz()));
        cells.add(number(f.ratings().atC()));
        cells.add(price == null ? null : price.perM().stripTrailingZeros().toPlainString());
        cells.add(price == null ? null : price.currency());
        cells.add(price == null ? null : price.on());
        cells.add(price == null ? null : number(price.soldInM()));
        cells.add(guarded(f.note()));
        cells.add(f.points().stream()
                .map(p -> number(p.frequencyMHz()) + ":" + number(p.attenuationDbPer100m()))
                .collect(Collectors.joining(" ")));
        return cells;
    }

    private static String guarded(String text) {
        return text != null && text.matches("(?s)^['=+\\-@\\t\\r].*") ? "'" + text : text;
    }

    /** Shortest that reads back the same, without an exponent. */
    private static String number(Double value) {
        return value == null
                ? null
                : new BigDecimal(value.toString()).stripTrailingZeros().toPlainString();
    }

    private static String yes(Boolean value) {
        return value == null ? null : value ? "yes" : "no";
    }

    /**
     * Reads a file; a record that cannot be read is told with why.
     *
     * @throws IllegalArgumentException when it is no such table at all
     */
    static List<ReadType> read(String text) {
        try (CSVParser parser = CSVParser.parse(text.replaceFirst("^\uFEFF", ""), READ)) {
            List<String> columns = parser.getHeaderNames();
            requireColumns(columns);
            List<ReadType> read = new ArrayList<>();
            for (CSVRecord record : parser) {
                read.add(read(record, (int) parser.getCurrentLineNumber()));
            }
            return read;
        } catch (IOException | UncheckedIOException e) {
            throw new IllegalArgumentException(
                    "this is not a table: " + e.getMessage().replaceFirst("^\\S+Exception: ", ""));
        }
    }

    private static void requireColumns(List<String> columns) {
        List<String> missing = Stream.of("name", "impedance_ohm", "velocity_factor", "points")
                .filter(c -> !columns.contains(c))
                .toList();
        if (!missing.isEmpty()) {
            throw new IllegalArgumentException("the header lacks " + String.join(", ", missing));
        }
        List<String> unknown = columns.stream()
                .filter(c -> !COLUMNS.contains(c) && !ALSO_KNOWN.contains(c))
                .toList();
        if (!unknown.isEmpty()) {
            throw new IllegalArgumentException("there is no column " + String.join(", ", unknown));
        }
    }

    private static ReadType read(CSVRecord record, int line) {
        String key = cell(record, "key");
        try {
            return ReadType.of(line, key, new Cells(record).said());
        } catch (IllegalArgumentException e) {
            return ReadType.refused(line, key, cell(record, "name"), e.getMessage());
        }
    }

    /** Null where there is nothing. */
    private static String cell(CSVRecord record, String column) {
        if (!record.isMapped(column)
                || !record.isSet(column)
                || record.get(column).isEmpty()) {
            return null;
        }
        String text = record.get(column);
        return text.matches("(?s)^'['=+\\-@\\t\\r].*") ? text.substring(1) : text;
    }

    /** One record, column by column. */
    private record Cells(CSVRecord record) {

        CableTypeRequest said() {
            if (!record.isConsistent()) {
                throw new IllegalArgumentException("%d cells, where the header has %d"
                        .formatted(
                                record.size(),
                                record.getParser().getHeaderNames().size()));
            }
            boolean hasOldPrice = text("price_per_m") == null && text(OLD_PRICE) != null;
            return new CableTypeRequest(
                    text("key"),
                    null,
                    text("name"),
                    text("family"),
                    choice("provenance", Provenance.class, Provenance.TYPICAL),
                    text("source_title"),
                    date("source_date"),
                    choice("mechanics_provenance", Provenance.class, null),
                    choice("ratings_provenance", Provenance.class, null),
                    number("impedance_ohm"),
                    number("velocity_factor"),
                    yes("balanced"),
                    number("outer_diameter_mm"),
                    number("mass_g_per_m"),
                    number("bend_radius_once_mm"),
                    number("bend_radius_repeated_mm"),
                    text("jacket"),
                    text("centre_conductor"),
                    text("shield"),
                    text("dielectric"),
                    number("min_install_c"),
                    number("min_operating_c"),
                    number("max_operating_c"),
                    yes("direct_burial"),
                    yes("sun_resistant"),
                    choice("flexing", Flexing.class, null),
                    number("peak_voltage_v"),
                    number(text("average_power_w") == null ? OLD_POWER : "average_power_w"),
                    number("rated_at_mhz"),
                    number("rated_at_c"),
                    number(hasOldPrice ? OLD_PRICE : "price_per_m"),
                    hasOldPrice ? BuiltInFiles.SAMPLE_CURRENCY : text("price_currency"),
                    date("priced_on"),
                    number("sold_in_m"),
                    text("note"),
                    points());
        }

        private String text(String column) {
            return cell(record, column);
        }

        private Double number(String column) {
            String text = text(column);
            if (text == null) {
                return null;
            }
            return plain(column, text);
        }

        private static Double plain(String column, String text) {
            if (!text.matches("[-+]?(\\d+\\.?\\d*|\\.\\d+)([eE][-+]?\\d+)?")) {
                throw new IllegalArgumentException("%s: \"%s\" is not a number".formatted(column, text));
            }
            return Double.valueOf(text);
        }

        private Boolean yes(String column) {
            String text = text(column);
            if (text == null) {
                return null;
            }
            return switch (text.toLowerCase(Locale.ROOT)) {
                case "yes" -> true;
                case "no" -> false;
                default ->
                    throw new IllegalArgumentException("%s: \"%s\" is neither yes nor no".formatted(column, text));
            };
        }

        private LocalDate date(String column) {
            String text = text(column);
            try {
                return text == null ? null : LocalDate.parse(text);
            } catch (DateTimeParseException e) {
                throw new IllegalArgumentException(
                        "%s: \"%s\" is not a date such as 2026-05-01".formatted(column, text));
            }
        }

        private <E extends Enum<E>> E choice(String column, Class<E> of, E otherwise) {
            String text = text(column);
            try {
                return text == null ? otherwise : Enum.valueOf(of, text.toUpperCase(Locale.ROOT));
            } catch (IllegalArgumentException e) {
                throw new IllegalArgumentException(
                        "%s: \"%s\" is none of %s".formatted(column, text, List.of(of.getEnumConstants())));
            }
        }

        private List<CableTypeRequest.SheetPointRequest> points() {
            String text = text("points");
            if (text == null) {
                return List.of();
            }
            return Stream.of(text.split("\\s+"))
                    .map(pair -> {
                        String[] parts = pair.split(":", -1);
                        if (parts.length != 2) {
                            throw new IllegalArgumentException(
                                    "points: \"%s\" is not a pair such as 145:4.9".formatted(pair));
                        }
                        return new CableTypeRequest.SheetPointRequest(
                                plain("points", parts[0]), plain("points", parts[1]));
                    })
                    .toList();
        }
    }
}
