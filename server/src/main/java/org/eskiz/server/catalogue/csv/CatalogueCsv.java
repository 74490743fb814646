package org.eskiz.server.catalogue.csv;

import static org.eskiz.server.catalogue.csv.Column.choice;
import static org.eskiz.server.catalogue.csv.Column.date;
import static org.eskiz.server.catalogue.csv.Column.number;
import static org.eskiz.server.catalogue.csv.Column.text;
import static org.eskiz.server.catalogue.csv.Column.yes;

import java.time.LocalDate;
import java.util.List;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.eskiz.server.catalogue.BuiltInFiles;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.catalogue.CableTypeRequest;
import org.eskiz.server.catalogue.CableTypeRequest.CablePriceRequest;
import org.eskiz.server.catalogue.CableTypeRequest.SheetPointRequest;
import org.eskiz.server.catalogue.Construction;
import org.eskiz.server.catalogue.Mechanics;
import org.eskiz.server.catalogue.Mechanics.Flexing;
import org.eskiz.server.catalogue.Price;
import org.eskiz.server.catalogue.Provenance;
import org.eskiz.server.catalogue.Ratings;
import org.eskiz.server.catalogue.Source;
import org.eskiz.server.web.Csv;

/**
 * Cable types as comma-separated values (RFC 4180, UTF-8), one type a record, its sheet in one cell: {@code 10:1.2 145:4.9}.
 * This is the one table of their columns, behind files that come in and go out, and behind those that come with Eskiz.
 */
public final class CatalogueCsv {

    private static final Column<CableType, String> KEY = new Column<>("key", null, CsvCells::text, CableType::key);
    private static final Column<CableType, String> NAME =
            text("name", t -> t.facts().name());
    private static final Column<CableType, String> FAMILY =
            text("family", t -> t.facts().family());

    private static final Column<CableType, Provenance> PROVENANCE =
            choice("provenance", Provenance.class, Provenance.TYPICAL, source(Source::provenance));
    private static final Column<CableType, String> SOURCE_TITLE = text("source_title", source(Source::sourceTitle));
    private static final Column<CableType, LocalDate> SOURCE_DATE = date("source_date", source(Source::sourceDate));
    private static final Column<CableType, Provenance> MECHANICS_PROVENANCE =
            choice("mechanics_provenance", Provenance.class, null, source(Source::mechanicsProvenance));
    private static final Column<CableType, Provenance> RATINGS_PROVENANCE =
            choice("ratings_provenance", Provenance.class, null, source(Source::ratingsProvenance));

    private static final Column<CableType, Double> WITHIN_PERCENT =
            number("within_percent", source(Source::withinPercent));

    private static final Column<CableType, Double> IMPEDANCE =
            number("impedance_ohm", made(Construction::impedanceOhm));
    private static final Column<CableType, Double> VELOCITY_FACTOR =
            number("velocity_factor", made(Construction::velocityFactor));
    private static final Column<CableType, Boolean> BALANCED = yes("balanced", made(Construction::balanced));
    private static final Column<CableType, String> JACKET = text("jacket", made(Construction::jacket));
    private static final Column<CableType, String> CENTRE_CONDUCTOR =
            text("centre_conductor", made(Construction::centreConductor));
    private static final Column<CableType, String> SHIELD = text("shield", made(Construction::shield));
    private static final Column<CableType, String> DIELECTRIC = text("dielectric", made(Construction::dielectric));
    private static final Column<CableType, Double> SHIELD_BORE =
            number("shield_bore_mm", made(Construction::shieldBoreMm));
    private static final Column<CableType, Boolean> COPPER_CLAD_STEEL =
            yes("copper_clad_steel", made(Construction::copperCladSteel));
    private static final Column<CableType, Boolean> FOLLOWS_POINTS =
            yes("follows_points", made(Construction::followsPoints));
    private static final Column<CableType, Double> WET_TIMES = number("wet_times", made(Construction::wetTimes));

    private static final Column<CableType, Double> OUTER_DIAMETER =
            number("outer_diameter_mm", mechanics(Mechanics::outerDiameterMm));
    private static final Column<CableType, Double> MASS = number("mass_g_per_m", mechanics(Mechanics::massGPerM));
    private static final Column<CableType, Double> BEND_RADIUS_ONCE =
            number("bend_radius_once_mm", mechanics(Mechanics::bendRadiusOnceMm));
    private static final Column<CableType, Double> BEND_RADIUS_REPEATED =
            number("bend_radius_repeated_mm", mechanics(Mechanics::bendRadiusRepeatedMm));
    private static final Column<CableType, Double> MIN_INSTALL =
            number("min_install_c", mechanics(Mechanics::minInstallC));
    private static final Column<CableType, Double> MIN_OPERATING =
            number("min_operating_c", mechanics(Mechanics::minOperatingC));
    private static final Column<CableType, Double> MAX_OPERATING =
            number("max_operating_c", mechanics(Mechanics::maxOperatingC));
    private static final Column<CableType, Boolean> DIRECT_BURIAL =
            yes("direct_burial", mechanics(Mechanics::directBurial));
    private static final Column<CableType, Boolean> SUN_RESISTANT =
            yes("sun_resistant", mechanics(Mechanics::sunResistant));
    private static final Column<CableType, Flexing> FLEXING =
            choice("flexing", Flexing.class, null, mechanics(Mechanics::flexing));

    private static final Column<CableType, Double> PEAK_VOLTAGE =
            number("peak_voltage_v", ratings(Ratings::peakVoltageV));
    private static final Column<CableType, Double> AVERAGE_POWER =
            number("average_power_w", ratings(Ratings::averagePowerW)).onceCalled("average_power_30mhz_w");
    private static final Column<CableType, Double> RATED_AT_MHZ = number("rated_at_mhz", ratings(Ratings::ratedAtMHz));
    private static final Column<CableType, Double> RATED_AT_C = number("rated_at_c", ratings(Ratings::ratedAtC));

    private static final Column<CableType, Double> PRICE = new Column<>(
            "price_per_m",
            "sample_price_per_m",
            CsvCells::number,
            price(Price::pricePerM).andThen(Csv::decimal));
    private static final Column<CableType, String> PRICE_CURRENCY =
            new Column<>("price_currency", null, CsvCells::text, price(Price::priceCurrency)::apply);
    private static final Column<CableType, LocalDate> PRICED_ON = date("priced_on", price(Price::pricedOn));
    private static final Column<CableType, Double> SOLD_IN = number("sold_in_m", price(Price::soldInM));

    private static final Column<CableType, String> NOTE =
            text("note", t -> t.facts().note());
    private static final Column<CableType, List<SheetPointRequest>> POINTS =
            new Column<>("points", null, CatalogueCsv::points, CatalogueCsv::points);

    private static final Columns<CableType> COLUMNS = Columns.of(List.of(
            KEY,
            NAME,
            FAMILY,
            PROVENANCE,
            SOURCE_TITLE,
            SOURCE_DATE,
            MECHANICS_PROVENANCE,
            RATINGS_PROVENANCE,
            WITHIN_PERCENT,
            IMPEDANCE,
            VELOCITY_FACTOR,
            BALANCED,
            OUTER_DIAMETER,
            MASS,
            BEND_RADIUS_ONCE,
            BEND_RADIUS_REPEATED,
            JACKET,
            CENTRE_CONDUCTOR,
            SHIELD,
            DIELECTRIC,
            SHIELD_BORE,
            COPPER_CLAD_STEEL,
            FOLLOWS_POINTS,
            WET_TIMES,
            MIN_INSTALL,
            MIN_OPERATING,
            MAX_OPERATING,
            DIRECT_BURIAL,
            SUN_RESISTANT,
            FLEXING,
            PEAK_VOLTAGE,
            AVERAGE_POWER,
            RATED_AT_MHZ,
            RATED_AT_C,
            PRICE,
            PRICE_CURRENCY,
            PRICED_ON,
            SOLD_IN,
            NOTE,
            POINTS));

    private CatalogueCsv() {}

    /** Names of the columns, in the order in which they are written. */
    public static List<String> header() {
        return COLUMNS.names();
    }

    public static Stream<List<Object>> rows(Stream<CableType> types) {
        return types.map(COLUMNS::cells);
    }

    /**
     * Reads a file; a record that cannot be read is told with why.
     *
     * @throws IllegalArgumentException when it is no such table at all
     */
    public static List<ReadRow<CableTypeRequest>> read(String text) {
        return COLUMNS.needing("name", "impedance_ohm", "velocity_factor", "points")
                .read(text, CatalogueCsv::request);
    }

    /** Reads a file whose types have their sheets elsewhere. */
    public static List<ReadRow<CableTypeRequest>> readWithoutSheets(String text) {
        return COLUMNS.read(text, CatalogueCsv::request);
    }

    private static CableTypeRequest request(CsvCells cells) {
        return new CableTypeRequest(
                KEY.in(cells),
                null,
                NAME.in(cells),
                FAMILY.in(cells),
                new Source(
                        PROVENANCE.in(cells),
                        SOURCE_TITLE.in(cells),
                        SOURCE_DATE.in(cells),
                        MECHANICS_PROVENANCE.in(cells),
                        RATINGS_PROVENANCE.in(cells),
                        WITHIN_PERCENT.in(cells)),
                new Construction(
                        IMPEDANCE.in(cells),
                        VELOCITY_FACTOR.in(cells),
                        BALANCED.in(cells),
                        JACKET.in(cells),
                        CENTRE_CONDUCTOR.in(cells),
                        SHIELD.in(cells),
                        DIELECTRIC.in(cells),
                        SHIELD_BORE.in(cells),
                        COPPER_CLAD_STEEL.in(cells),
                        FOLLOWS_POINTS.in(cells),
                        WET_TIMES.in(cells)),
                new Mechanics(
                        OUTER_DIAMETER.in(cells),
                        MASS.in(cells),
                        BEND_RADIUS_ONCE.in(cells),
                        BEND_RADIUS_REPEATED.in(cells),
                        MIN_INSTALL.in(cells),
                        MIN_OPERATING.in(cells),
                        MAX_OPERATING.in(cells),
                        DIRECT_BURIAL.in(cells),
                        SUN_RESISTANT.in(cells),
                        FLEXING.in(cells)),
                new Ratings(
                        PEAK_VOLTAGE.in(cells), AVERAGE_POWER.in(cells), RATED_AT_MHZ.in(cells), RATED_AT_C.in(cells)),
                new CablePriceRequest(
                        PRICE.in(cells),
                        PRICE.isOld(cells) ? BuiltInFiles.SAMPLE_CURRENCY : PRICE_CURRENCY.in(cells),
                        PRICED_ON.in(cells),
                        SOLD_IN.in(cells)),
                NOTE.in(cells),
                POINTS.in(cells));
    }

    private static List<SheetPointRequest> points(CsvCells cells, String column) {
        String text = cells.text(column);
        if (text == null) {
            return List.of();
        }
        return Stream.of(text.split("\\s+"))
                .map(pair -> {
                    String[] parts = pair.split(":", -1);
                    if (parts.length != 2) {
                        throw new IllegalArgumentException(
                                "%s: \"%s\" is not a pair such as 145:4.9".formatted(column, pair));
                    }
                    return new SheetPointRequest(CsvCells.number(column, parts[0]), CsvCells.number(column, parts[1]));
                })
                .toList();
    }

    private static String points(CableType type) {
        return type.facts().points().stream()
                .map(p -> Csv.number(p.frequencyMHz()) + ":" + Csv.number(p.attenuationDbPer100m()))
                .collect(Collectors.joining(" "));
    }

    private static <T> Function<CableType, T> source(Function<Source, T> of) {
        return type -> of.apply(type.facts().source());
    }

    private static <T> Function<CableType, T> made(Function<Construction, T> of) {
        return type -> of.apply(type.facts().construction());
    }

    private static <T> Function<CableType, T> mechanics(Function<Mechanics, T> of) {
        return type -> of.apply(type.facts().mechanics());
    }

    private static <T> Function<CableType, T> ratings(Function<Ratings, T> of) {
        return type -> of.apply(type.facts().ratings());
    }

    private static <T> Function<CableType, T> price(Function<Price, T> of) {
        return type ->
                type.facts().price() == null ? null : of.apply(type.facts().price());
    }
}
