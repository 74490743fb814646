package org.eskiz.server.catalogue;

import java.util.List;
import java.util.UUID;
import org.eskiz.server.problem.OrNull;

/**
 * What a file would bring, or has brought.
 *
 * @param importId to take it back by; null as long as nothing is stored
 * @param rows one for each cable type and connector in the file
 */
public record CatalogueImportResponse(@OrNull UUID importId, List<ImportedRowResponse> rows) {

    /**
     * One of them.
     *
     * @param line in the file, from 1; for JSON its place in the lists, connectors after cable types
     * @param why it is refused; null otherwise
     * @param changed the fields that would say something else
     */
    public record ImportedRowResponse(
            int line,
            Part part,
            @OrNull String key,
            @OrNull String name,
            What what,
            @OrNull String why,
            List<String> changed) {}

    /** What a row is of. */
    public enum Part {
        CABLE_TYPE,
        CONNECTOR
    }

    /** What becomes of a row. */
    public enum What {
        NEW,
        CHANGED,
        SAME,
        REFUSED
    }
}
