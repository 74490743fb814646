package org.eskiz.server.catalogue.csv;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.eskiz.server.catalogue.BuiltInFiles;
import org.eskiz.server.catalogue.Connector;
import org.eskiz.server.catalogue.ConnectorRequest;
import org.eskiz.server.catalogue.ReadRow;
import org.eskiz.server.web.Csv;

/**
 * Connectors as comma-separated values, one a record, with the columns of {@link #COLUMNS}; a file may have them in any order
 * and leave some out. The cables that one fits are {@code 5-11}, in mm, or {@code any}. What came with the first Eskiz is read
 * too: {@code sample_price}.
 */
public final class ConnectorCsv {

    /** Every column, in the order in which they are written. */
    public static final List<String> COLUMNS = List.of(
            "key",
            "name",
            "impedance_ohm",
            "c1_db_per_sqrt_mhz",
            "c2_db_per_mhz2",
            "max_mhz",
            "peak_voltage_v",
            "average_power_w",
            "rated_at_mhz",
            "watertight",
            "fits_outer_diameter_mm",
            "price",
            "price_currency",
            "priced_on",
            "note");

    private static final String OLD_PRICE = "sample_price";
    private static final List<String> NEEDED =
            List.of("name", "impedance_ohm", "c1_db_per_sqrt_mhz", "max_mhz", "peak_voltage_v");
    private static final Set<String> KNOWN =
            Stream.concat(COLUMNS.stream(), Stream.of(OLD_PRICE)).collect(Collectors.toSet());

    private ConnectorCsv() {}

    /** Whether a file with these columns is one of connectors. */
    public static boolean isMeantBy(List<String> columns) {
        return columns.contains("c1_db_per_sqrt_mhz");
    }

    public static Stream<List<Object>> rows(Stream<Connector> connectors) {
        return connectors.map(ConnectorCsv::cells);
    }

    private static List<Object> cells(Connector c) {
        return new ArrayList<>(Arrays.asList(
                c.key(),
                Csv.guarded(c.name()),
                Csv.number(c.impedanceOhm()),
                Csv.number(c.c1DbPerSqrtMHz()),
                Csv.number(c.c2DbPerMHz2()),
                Csv.number(c.maxMHz()),
                Csv.number(c.peakVoltageV()),
                Csv.number(c.averagePowerW()),
                Csv.number(c.ratedAtMHz()),
                Csv.yes(c.watertight()),
                diameters(c.fitsLeastMm(), c.fitsMostMm()),
                c.price() == null ? null : c.price().stripTrailingZeros().toPlainString(),
                c.priceCurrency(),
                c.pricedOn(),
                Csv.guarded(c.note())));
    }

    private static String diameters(Double least, Double most) {
        return least == null && most == null
                ? "any"
                : "%s-%s".formatted(least == null ? "" : Csv.number(least), most == null ? "" : Csv.number(most));
    }

    /**
     * Reads a file; a record that cannot be read is told with why.
     *
     * @throws IllegalArgumentException when it is no such table at all
     */
    public static List<ReadRow<ConnectorRequest>> read(String text) {
        return CsvCells.read(text, NEEDED, KNOWN, ConnectorCsv::request);
    }

    private static ConnectorRequest request(CsvCells cells) {
        boolean hasOldPrice = cells.text("price") == null && cells.text(OLD_PRICE) != null;
        return new ConnectorRequest(
                cells.text("key"),
                null,
                cells.text("name"),
                cells.number("impedance_ohm"),
                null,
                null,
                cells.number("c1_db_per_sqrt_mhz"),
                cells.number("c2_db_per_mhz2"),
                cells.number("max_mhz"),
                cells.number("peak_voltage_v"),
                cells.number("average_power_w"),
                cells.number("rated_at_mhz"),
                cells.yes("watertight"),
                diameter(cells, 0),
                diameter(cells, 1),
                cells.number(hasOldPrice ? OLD_PRICE : "price"),
                hasOldPrice ? BuiltInFiles.SAMPLE_CURRENCY : cells.text("price_currency"),
                cells.date("priced_on"),
                cells.text("note"));
    }

    /** The least diameter (0) or the greatest (1); null for any. */
    private static Double diameter(CsvCells cells, int end) {
        String column = "fits_outer_diameter_mm";
        String text = cells.text(column);
        if (text == null || text.equals("any")) {
            return null;
        }
        String[] ends = text.split("-", -1);
        if (ends.length != 2) {
            throw new IllegalArgumentException("%s: \"%s\" is no range such as 5-11".formatted(column, text));
        }
        return ends[end].isEmpty() ? null : CsvCells.number(column, ends[end]);
    }
}
