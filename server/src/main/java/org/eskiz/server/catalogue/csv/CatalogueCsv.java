package org.eskiz.server.catalogue.csv;

import java.util.ArrayList;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.eskiz.server.catalogue.BuiltInFiles;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.catalogue.CableTypeRequest;
import org.eskiz.server.catalogue.Flexing;
import org.eskiz.server.catalogue.Provenance;
import org.eskiz.server.catalogue.ReadRow;
import org.eskiz.server.web.Csv;

/**
 * Cable types as comma-separated values (RFC 4180, UTF-8), one type a record, its sheet in one cell: {@code 10:1.2 145:4.9}.
 * The columns are those of {@link #COLUMNS}; a file may have them in any order and leave some out. What came with the first
 * Eskiz is read too: {@code average_power_30mhz_w} and {@code sample_price_per_m}.
 */
public final class CatalogueCsv {

    /** Every column, in the order in which they are written. */
    public static final List<String> COLUMNS = List.of(
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
    private static final List<String> NEEDED = List.of("name", "impedance_ohm", "velocity_factor", "points");
    private static final Set<String> KNOWN =
            Stream.concat(COLUMNS.stream(), Stream.of(OLD_POWER, OLD_PRICE)).collect(Collectors.toSet());

    private CatalogueCsv() {}

    public static Stream<List<Object>> rows(Stream<CableType> types) {
        return types.map(CatalogueCsv::cells);
    }

    private static List<Object> cells(CableType type) {
        CableType.Facts f = type.facts();
        CableType.Mechanics m = f.mechanics();
        CableType.Price price = f.price();
        List<Object> cells = new ArrayList<>();
        Stream.of(
                        type.key(),
                        Csv.guarded(f.name()),
                        Csv.guarded(f.family()),
                        f.provenance(),
                        Csv.guarded(f.source().title()))
                .forEach(cells::add);
        cells.add(f.source().date());
        cells.add(f.source().mechanics());
        cells.add(f.source().ratings());
        cells.add(Csv.number(f.impedanceOhm()));
        cells.add(Csv.number(f.velocityFactor()));
        cells.add(Csv.yes(f.balanced()));
        for (Double value :
                new Double[] {m.outerDiameterMm(), m.massGPerM(), m.bendRadiusOnceMm(), m.bendRadiusRepeatedMm()}) {
            cells.add(Csv.number(value));
        }
        for (String text : new String[] {m.jacket(), m.centreConductor(), m.shield(), m.dielectric()}) {
            cells.add(Csv.guarded(text));
        }
        cells.add(Csv.number(m.minInstallC()));
        cells.add(Csv.number(m.minOperatingC()));
        cells.add(Csv.number(m.maxOperatingC()));
        cells.add(Csv.yes(m.directBurial()));
        cells.add(Csv.yes(m.sunResistant()));
        cells.add(m.flexing());
        cells.add(Csv.number(f.ratings().peakVoltageV()));
        cells.add(Csv.number(f.ratings().averagePowerW()));
        cells.add(Csv.number(f.ratings().atMHz()));
        cells.add(Csv.number(f.ratings().atC()));
        cells.add(price == null ? null : price.perM().stripTrailingZeros().toPlainString());
        cells.add(price == null ? null : price.currency());
        cells.add(price == null ? null : price.on());
        cells.add(price == null ? null : Csv.number(price.soldInM()));
        cells.add(Csv.guarded(f.note()));
        cells.add(f.points().stream()
                .map(p -> Csv.number(p.frequencyMHz()) + ":" + Csv.number(p.attenuationDbPer100m()))
                .collect(Collectors.joining(" ")));
        return cells;
    }

    /**
     * Reads a file; a record that cannot be read is told with why.
     *
     * @throws IllegalArgumentException when it is no such table at all
     */
    public static List<ReadRow<CableTypeRequest>> read(String text) {
        return CsvCells.read(text, NEEDED, KNOWN, CatalogueCsv::request);
    }

    private static CableTypeRequest request(CsvCells cells) {
        boolean hasOldPrice = cells.text("price_per_m") == null && cells.text(OLD_PRICE) != null;
        return new CableTypeRequest(
                cells.text("key"),
                null,
                cells.text("name"),
                cells.text("family"),
                cells.choice("provenance", Provenance.class, Provenance.TYPICAL),
                cells.text("source_title"),
                cells.date("source_date"),
                cells.choice("mechanics_provenance", Provenance.class, null),
                cells.choice("ratings_provenance", Provenance.class, null),
                cells.number("impedance_ohm"),
                cells.number("velocity_factor"),
                cells.yes("balanced"),
                cells.number("outer_diameter_mm"),
                cells.number("mass_g_per_m"),
                cells.number("bend_radius_once_mm"),
                cells.number("bend_radius_repeated_mm"),
                cells.text("jacket"),
                cells.text("centre_conductor"),
                cells.text("shield"),
                cells.text("dielectric"),
                cells.number("min_install_c"),
                cells.number("min_operating_c"),
                cells.number("max_operating_c"),
                cells.yes("direct_burial"),
                cells.yes("sun_resistant"),
                cells.choice("flexing", Flexing.class, null),
                cells.number("peak_voltage_v"),
                cells.number(cells.text("average_power_w") == null ? OLD_POWER : "average_power_w"),
                cells.number("rated_at_mhz"),
                cells.number("rated_at_c"),
                cells.number(hasOldPrice ? OLD_PRICE : "price_per_m"),
                hasOldPrice ? BuiltInFiles.SAMPLE_CURRENCY : cells.text("price_currency"),
                cells.date("priced_on"),
                cells.number("sold_in_m"),
                cells.text("note"),
                points(cells));
    }

    private static List<CableTypeRequest.SheetPointRequest> points(CsvCells cells) {
        String text = cells.text("points");
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
                            CsvCells.number("points", parts[0]), CsvCells.number("points", parts[1]));
                })
                .toList();
    }
}
