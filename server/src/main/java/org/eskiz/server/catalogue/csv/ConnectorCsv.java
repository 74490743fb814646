package org.eskiz.server.catalogue.csv;

import static org.eskiz.server.catalogue.csv.Column.date;
import static org.eskiz.server.catalogue.csv.Column.number;
import static org.eskiz.server.catalogue.csv.Column.text;
import static org.eskiz.server.catalogue.csv.Column.yes;

import java.time.LocalDate;
import java.util.List;
import java.util.stream.Stream;
import org.eskiz.core.cable.AveragePower;
import org.eskiz.server.catalogue.BuiltInFiles;
import org.eskiz.server.catalogue.Connector;
import org.eskiz.server.catalogue.ConnectorRequest;
import org.eskiz.server.web.Csv;

/**
 * Connectors as comma-separated values, one a record; the cables that one fits are {@code 5-11}, in mm, or {@code any}. This
 * is the one table of their columns, behind files that come in and go out, and behind those that come with Eskiz.
 */
public final class ConnectorCsv {

    private static final Column<Connector, String> KEY = new Column<>("key", null, CsvCells::text, Connector::key);
    private static final Column<Connector, String> NAME = text("name", Connector::name);
    private static final Column<Connector, Double> IMPEDANCE = number("impedance_ohm", Connector::impedanceOhm);
    private static final Column<Connector, Double> C1 = number("c1_db_per_sqrt_mhz", Connector::c1DbPerSqrtMHz);
    private static final Column<Connector, Double> C2 = number("c2_db_per_mhz2", Connector::c2DbPerMHz2);
    private static final Column<Connector, Double> BUMP_OHM = number("bump_ohm", Connector::bumpOhm);
    private static final Column<Connector, Double> BUMP_MM = number("bump_mm", Connector::bumpMm);
    private static final Column<Connector, Double> MAX = number("max_mhz", Connector::maxMHz);
    private static final Column<Connector, Double> PEAK_VOLTAGE = number("peak_voltage_v", Connector::peakVoltageV);
    private static final Column<Connector, Double> AVERAGE_POWER =
            number("average_power_w", Connector::averagePowerW).onceCalled("average_power_30mhz_w");
    private static final Column<Connector, Double> RATED_AT = number("rated_at_mhz", Connector::ratedAtMHz);
    private static final Column<Connector, Boolean> WATERTIGHT = yes("watertight", Connector::watertight);
    private static final Column<Connector, Range> FITS =
            new Column<>("fits_outer_diameter_mm", null, ConnectorCsv::range, ConnectorCsv::range);
    private static final Column<Connector, Double> PRICE =
            new Column<>("price", "sample_price", CsvCells::number, c -> Csv.decimal(c.price()));
    private static final Column<Connector, String> PRICE_CURRENCY =
            new Column<>("price_currency", null, CsvCells::text, Connector::priceCurrency);
    private static final Column<Connector, LocalDate> PRICED_ON = date("priced_on", Connector::pricedOn);
    private static final Column<Connector, String> NOTE = text("note", Connector::note);

    private static final Columns<Connector> COLUMNS = Columns.of(List.of(
                    KEY,
                    NAME,
                    IMPEDANCE,
                    C1,
                    C2,
                    BUMP_OHM,
                    BUMP_MM,
                    MAX,
                    PEAK_VOLTAGE,
                    AVERAGE_POWER,
                    RATED_AT,
                    WATERTIGHT,
                    FITS,
                    PRICE,
                    PRICE_CURRENCY,
                    PRICED_ON,
                    NOTE))
            .needing("name", "c1_db_per_sqrt_mhz", "max_mhz", "peak_voltage_v");

    /** Outer diameters of cables, mm; null for no bound. */
    private record Range(Double leastMm, Double mostMm) {}

    private ConnectorCsv() {}

    /** Whether a file with these columns is one of connectors. */
    public static boolean isMeantBy(List<String> columns) {
        return columns.contains(C1.name());
    }

    /** Names of the columns, in the order in which they are written. */
    public static List<String> header() {
        return COLUMNS.names();
    }

    public static Stream<List<Object>> rows(Stream<Connector> connectors) {
        return connectors.map(COLUMNS::cells);
    }

    /**
     * Reads a file; a record that cannot be read is told with why.
     *
     * @throws IllegalArgumentException when it is no such table at all
     */
    public static List<ReadRow<ConnectorRequest>> read(String text) {
        return COLUMNS.read(text, ConnectorCsv::request);
    }

    private static ConnectorRequest request(CsvCells cells) {
        Range fits = FITS.in(cells);
        return new ConnectorRequest(
                KEY.in(cells),
                null,
                NAME.in(cells),
                IMPEDANCE.in(cells),
                null,
                null,
                C1.in(cells),
                C2.in(cells),
                BUMP_OHM.in(cells),
                BUMP_MM.in(cells),
                MAX.in(cells),
                PEAK_VOLTAGE.in(cells),
                AVERAGE_POWER.in(cells),
                AVERAGE_POWER.isOld(cells) ? Double.valueOf(AveragePower.USUAL_FREQUENCY_MHZ) : RATED_AT.in(cells),
                WATERTIGHT.in(cells),
                fits.leastMm,
                fits.mostMm,
                PRICE.in(cells),
                PRICE.isOld(cells) ? BuiltInFiles.SAMPLE_CURRENCY : PRICE_CURRENCY.in(cells),
                PRICED_ON.in(cells),
                NOTE.in(cells));
    }

    private static Range range(CsvCells cells, String column) {
        String text = cells.text(column);
        if (text == null || text.equals("any")) {
            return new Range(null, null);
        }
        String[] ends = text.split("-", -1);
        if (ends.length != 2) {
            throw new IllegalArgumentException("%s: \"%s\" is no range such as 5-11".formatted(column, text));
        }
        return new Range(end(column, ends[0]), end(column, ends[1]));
    }

    private static Double end(String column, String text) {
        return text.isEmpty() ? null : CsvCells.number(column, text);
    }

    private static String range(Connector c) {
        Double least = c.fitsLeastMm();
        Double most = c.fitsMostMm();
        return least == null && most == null
                ? "any"
                : "%s-%s".formatted(least == null ? "" : Csv.number(least), most == null ? "" : Csv.number(most));
    }
}
