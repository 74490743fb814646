package org.eskiz.server.catalogue;

import java.util.List;
import java.util.UUID;
import org.eskiz.server.http.OrNull;

/**
 * What a file would bring, or has brought.
 *
 * @param importId to take it back by; null as long as nothing is stored
 * @param rows one for each type in the file
 */
public record CatalogueImportResponse(@OrNull UUID importId, List<ImportedTypeResponse> rows) {

    /**
     * One type.
     *
     * @param line in the file, from 1; for JSON its place in the list
     * @param why it is refused; null otherwise
     * @param changed the fields that would say something else
     */
    public record ImportedTypeResponse(
            int line,
            @OrNull String key,
            @OrNull String name,
            What what,
            @OrNull String why,
            List<String> changed) {}

    /** What becomes of a type. */
    public enum What {
        NEW,
        CHANGED,
        SAME,
        REFUSED
    }
}
