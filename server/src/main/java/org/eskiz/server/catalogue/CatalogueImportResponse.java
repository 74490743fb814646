package org.eskiz.server.catalogue;

import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What a file would bring, or has brought.
 *
 * @param importId to take it back by; null as long as nothing is stored
 * @param rows one for each cable type and connector in the file
 */
public record CatalogueImportResponse(@Nullable UUID importId, List<ImportedRowResponse> rows) {

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
            @Nullable String key,
            @Nullable String name,
            What what,
            @Nullable String why,
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
