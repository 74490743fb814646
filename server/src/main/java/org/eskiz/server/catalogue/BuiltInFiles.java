package org.eskiz.server.catalogue;

import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;

/** Reads the cable types and connectors that come with the application. */
public final class BuiltInFiles {

    /**
     * Counts up with every change of the files, so that of two programs on one database the newer one's figures stand. A test
     * knows the files by their digest, and which edition they are.
     */
    static final int EDITION = 1;

    /** Currency of the sample prices. */
    public static final String SAMPLE_CURRENCY = "EUR";

    /** Day the sample prices were made up. */
    private static final LocalDate SAMPLE_DAY = LocalDate.of(2026, 11, 1);

    private static final CSVFormat FORMAT = CSVFormat.RFC4180
            .builder()
            .setHeader()
            .setSkipHeaderRecord(true)
            .setNullString("")
            .get();

    private BuiltInFiles() {}

    /** Revisions by key, in the order of the file; without type, number and moment. */
    static Map<String, CableTypeRevisionEntity> cableTypes() {
        Map<String, List<AttenuationPointValue>> points = records("attenuation.csv").stream()
                .collect(Collectors.groupingBy(
                        r -> r.get("cable_key"), Collectors.mapping(BuiltInFiles::point, Collectors.toList())));
        return records("cable-types.csv").stream()
                .collect(Collectors.toMap(
                        r -> r.get("key"),
                        r -> cableType(r, points.get(r.get("key"))),
                        (a, b) -> a,
                        java.util.LinkedHashMap::new));
    }

    static List<ConnectorEntity> connectors() {
        return records("connectors.csv").stream().map(BuiltInFiles::connector).toList();
    }

    private static List<CSVRecord> records(String file) {
        try (Reader in = new InputStreamReader(
                BuiltInFiles.class.getResourceAsStream("/catalogue/" + file), StandardCharsets.UTF_8)) {
            return FORMAT.parse(in).getRecords();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static AttenuationPointValue point(CSVRecord r) {
        return new AttenuationPointValue(number(r, "frequency_mhz"), number(r, "attenuation_db_per_100m"));
    }

    private static CableTypeRevisionEntity cableType(CSVRecord r, List<AttenuationPointValue> points) {
        CableTypeRevisionEntity type = new CableTypeRevisionEntity();
        type.name = r.get("name");
        type.family = r.get("family");
        type.provenance = Provenance.TYPICAL;
        type.impedanceOhm = number(r, "impedance_ohm");
        type.velocityFactor = number(r, "velocity_factor");
        type.balanced = yes(r, "balanced");
        type.outerDiameterMm = number(r, "outer_diameter_mm");
        type.massGPerM = number(r, "mass_g_per_m");
        type.bendRadiusOnceMm = number(r, "bend_radius_once_mm");
        type.bendRadiusRepeatedMm = number(r, "bend_radius_repeated_mm");
        type.jacket = r.get("jacket");
        type.centreConductor = r.get("centre_conductor");
        type.shield = r.get("shield");
        type.dielectric = r.get("dielectric");
        type.minInstallC = number(r, "min_install_c");
        type.minOperatingC = number(r, "min_operating_c");
        type.maxOperatingC = number(r, "max_operating_c");
        type.directBurial = yes(r, "direct_burial");
        type.sunResistant = yes(r, "sun_resistant");
        type.flexing = Flexing.valueOf(r.get("flexing").toUpperCase(Locale.ROOT));
        type.peakVoltageV = number(r, "peak_voltage_v");
        type.averagePowerW = number(r, "average_power_30mhz_w");
        type.pricePerM = new BigDecimal(r.get("sample_price_per_m"));
        type.priceCurrency = SAMPLE_CURRENCY;
        type.priceIsSample = true;
        type.pricedOn = SAMPLE_DAY;
        type.note = r.get("note");
        type.points.addAll(points);
        return type;
    }

    private static ConnectorEntity connector(CSVRecord r) {
        ConnectorEntity connector = new ConnectorEntity();
        connector.id = UUID.randomUUID();
        connector.key = r.get("key");
        connector.position = (int) r.getRecordNumber();
        connector.name = r.get("name");
        connector.impedanceOhm = number(r, "impedance_ohm");
        connector.c1DbPerSqrtMHz = number(r, "c1_db_per_sqrt_mhz");
        connector.c2DbPerMHz2 = number(r, "c2_db_per_mhz2");
        connector.maxMHz = number(r, "max_mhz");
        connector.peakVoltageV = number(r, "peak_voltage_v");
        connector.watertight = yes(r, "watertight");
        setDiameters(connector, r.get("fits_outer_diameter_mm"));
        connector.price = new BigDecimal(r.get("sample_price"));
        connector.priceCurrency = SAMPLE_CURRENCY;
        connector.pricedOn = SAMPLE_DAY;
        connector.note = r.get("note");
        return connector;
    }

    /** {@code 5-11} is a range; {@code any} is no bound. */
    private static void setDiameters(ConnectorEntity connector, String text) {
        if (!text.equals("any")) {
            String[] bounds = text.split("-", 2);
            connector.fitsLeastMm = Double.valueOf(bounds[0]);
            connector.fitsMostMm = Double.valueOf(bounds[1]);
        }
    }

    private static double number(CSVRecord r, String column) {
        return Double.parseDouble(r.get(column));
    }

    private static boolean yes(CSVRecord r, String column) {
        return r.get(column).equals("yes");
    }

    /** Gives a revision read from the files its place in a type's history. */
    static CableTypeRevisionEntity placed(
            CableTypeRevisionEntity revision, CableTypeEntity type, int number, Instant at) {
        revision.id = UUID.randomUUID();
        revision.type = type;
        revision.number = number;
        revision.createdAt = at;
        return revision;
    }
}
