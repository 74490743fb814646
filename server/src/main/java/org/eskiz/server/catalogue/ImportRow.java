package org.eskiz.server.catalogue;

import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.eskiz.server.catalogue.CatalogueImportResponse.ImportedRowResponse;
import org.eskiz.server.catalogue.CatalogueImportResponse.Part;
import org.eskiz.server.catalogue.CatalogueImportResponse.What;
import org.eskiz.server.catalogue.csv.ReadRow;

/**
 * A row of a file and what becomes of it.
 *
 * @param cableType what it says, where it is of one; null otherwise
 * @param connector what it says, where it is of one; null otherwise
 * @param stored what is stored under its key now; null for nothing
 */
record ImportRow(ImportedRowResponse response, CableTypeRequest cableType, ConnectorRequest connector, Stored stored) {

    /** What a catalogue has under a key. */
    private interface Lookup {
        Optional<Stored> find(String key);
    }

    /**
     * What is stored under a key.
     *
     * @param content as whoever would store it says it
     */
    record Stored(Record content, boolean builtIn, int revision) {}

    static List<ImportRow> of(CatalogueFileReader rows, Catalogue catalogue) {
        Set<String> types = new HashSet<>();
        Set<String> connectors = new HashSet<>();
        return Stream.concat(
                        rows.cableTypes().stream().map(r -> cableType(r, types, catalogue)),
                        rows.connectors().stream().map(r -> connector(r, connectors, catalogue)))
                .toList();
    }

    int line() {
        return response.line();
    }

    String key() {
        return response.key();
    }

    What what() {
        return response.what();
    }

    private static ImportRow cableType(ReadRow<CableTypeRequest> row, Set<String> seen, Catalogue catalogue) {
        Lookup stored = key -> catalogue.cableType(key).map(t -> new Stored(t.facts(), t.builtIn(), t.revision()));
        String why = row.why() == null ? OwnCableService.faultIn(row.request()).orElse(null) : row.why();
        Record read = why == null ? OwnCableService.facts(row.request()) : null;
        return judged(Part.CABLE_TYPE, row, why, read, seen, stored);
    }

    private static ImportRow connector(ReadRow<ConnectorRequest> row, Set<String> seen, Catalogue catalogue) {
        Lookup stored =
                key -> catalogue.connector(key).map(c -> new Stored(ConnectorRequest.of(c), c.builtIn(), c.revision()));
        String why =
                row.why() == null ? OwnConnectorService.faultIn(row.request()).orElse(null) : row.why();
        Record read = why == null ? OwnConnectorService.asStored(row.request()) : null;
        return judged(Part.CONNECTOR, row, why, read, seen, stored);
    }

    private static ImportRow judged(
            Part part, ReadRow<?> row, String fault, Record read, Set<String> seen, Lookup lookup) {
        boolean isTwice = row.key() != null && !seen.add(row.key());
        String why = isTwice ? "the key \"" + row.key() + "\" is there twice" : fault;
        if (why != null) {
            return row(part, row, What.REFUSED, why, List.of(), null);
        }
        Stored stored = row.key() == null ? null : lookup.find(row.key()).orElse(null);
        if (stored == null) {
            return row(part, row, What.NEW, null, List.of(), null);
        }
        List<String> changed = Differences.between(stored.content, read);
        if (changed.isEmpty()) {
            return row(part, row, What.SAME, null, changed, stored);
        }
        return stored.builtIn
                ? row(
                        part,
                        row,
                        What.REFUSED,
                        "\"" + row.key() + "\" came with Eskiz and stays as it is; give it another key",
                        List.of(),
                        stored)
                : row(part, row, What.CHANGED, null, changed, stored);
    }

    private static ImportRow row(
            Part part, ReadRow<?> row, What what, String why, List<String> changed, Stored stored) {
        return new ImportRow(
                new ImportedRowResponse(row.line(), part, row.key(), row.name(), what, why, changed),
                row.request() instanceof CableTypeRequest type ? type : null,
                row.request() instanceof ConnectorRequest connector ? connector : null,
                stored);
    }
}
