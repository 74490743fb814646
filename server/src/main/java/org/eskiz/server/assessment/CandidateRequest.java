package org.eskiz.server.assessment;

import jakarta.validation.Valid;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.http.PlainText;

/**
 * A cable to be tried: a key of the catalogue, or a cable written out under an id of the client's.
 *
 * @param id for a cable written out; it becomes the id of the row
 * @param name what the operator calls a cable written out
 */
public record CandidateRequest(
        @PlainText(max = 64) String id,
        @PlainText(max = 120) String name,
        @PlainText(max = 64) String cableKey,
        @Valid CableRequest cable) {

    /** A cable of the catalogue. */
    public static CandidateRequest ofCatalogue(CableType type) {
        return new CandidateRequest(null, null, type.key(), null);
    }
}
