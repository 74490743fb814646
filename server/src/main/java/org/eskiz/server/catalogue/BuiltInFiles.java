package org.eskiz.server.catalogue;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.eskiz.server.catalogue.CableTypeRequest.SheetPointRequest;
import org.eskiz.server.catalogue.csv.CatalogueCsv;
import org.eskiz.server.catalogue.csv.ConnectorCsv;
import org.eskiz.server.catalogue.csv.CsvCells;
import org.eskiz.server.catalogue.csv.ReadRow;

/** Reads the cable types and connectors that come with the application: tables like those that an operator brings in. */
public final class BuiltInFiles {

    /**
     * Counts up with every change of the files, so that of two programs on one database the newer one's figures stand. A test
     * knows the files by their digest, and which edition they are.
     */
    static final int EDITION = 2;

    /** Currency of the sample prices. */
    public static final String SAMPLE_CURRENCY = "EUR";

    /** Day the sample prices were made up. */
    private static final LocalDate SAMPLE_DAY = LocalDate.of(2026, 11, 1);

    private BuiltInFiles() {}

    /** A type and its key. */
    record BuiltInType(String key, CableTypeRevisionEntity revision) {}

    /** In the order of the file; without type, number and moment. */
    static List<BuiltInType> cableTypes() {
        Map<String, List<SheetPointRequest>> sheets = CsvCells.records(text("attenuation.csv")).stream()
                .collect(Collectors.groupingBy(
                        r -> r.text("cable_key"), Collectors.mapping(BuiltInFiles::point, Collectors.toList())));
        return CatalogueCsv.readWithoutSheets(text("cable-types.csv")).stream()
                .map(BuiltInFiles::whole)
                .map(request -> new BuiltInType(request.key(), revision(request.withPoints(sheets.get(request.key())))))
                .toList();
    }

    static List<ConnectorEntity> connectors() {
        List<ReadRow<ConnectorRequest>> rows = ConnectorCsv.read(text("connectors.csv"));
        return IntStream.range(0, rows.size())
                .mapToObj(i -> connector(whole(rows.get(i)), i + 1))
                .toList();
    }

    private static CableTypeRevisionEntity revision(CableTypeRequest request) {
        CableTypeRevisionEntity revision = CableTypeRevisionEntity.of(request);
        revision.price = revision.price.asSampleOf(SAMPLE_DAY);
        return revision;
    }

    private static ConnectorEntity connector(ConnectorRequest request, int position) {
        ConnectorEntity connector = OwnConnectorService.entity(request);
        connector.id = UUID.randomUUID();
        connector.key = request.key();
        connector.position = position;
        connector.pricedOn = SAMPLE_DAY;
        return connector;
    }

    private static SheetPointRequest point(CsvCells cells) {
        return new SheetPointRequest(cells.number("frequency_mhz"), cells.number("attenuation_db_per_100m"));
    }

    private static <T> T whole(ReadRow<T> row) {
        if (row.why() != null) {
            throw new IllegalStateException("line %d: %s".formatted(row.line(), row.why()));
        }
        return row.request();
    }

    private static String text(String file) {
        try (InputStream in = BuiltInFiles.class.getResourceAsStream("/catalogue/" + file)) {
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
