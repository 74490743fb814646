package org.eskiz.server.document;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import org.eskiz.server.catalogue.CableType;
import org.eskiz.server.problem.CurrencyCode;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;

/**
 * A cable to be tried: a key of the catalogue, or a cable written out under an id of the client's.
 *
 * @param id for a cable written out; it becomes the id of the row
 * @param name what the operator calls a cable written out
 * @param price of a cable written out; null where it is not known
 */
public record CandidateSpec(
        @PlainText(max = 64) String id,
        @PlainText(max = 120) String name,
        @PlainText(max = 64) String cableKey,
        @Valid CableSpec cable,
        @Valid PriceRequest price) {

    /** What a cable written out costs. */
    public record PriceRequest(
            @NotNull(message = "must be given") @Within(what = "price per metre", min = 0, max = 1e6)
            Double perM,

            @NotNull(message = "must be given") @CurrencyCode
            String currency) {}

    /** A cable of the catalogue. */
    public static CandidateSpec ofCatalogue(CableType type) {
        return new CandidateSpec(null, null, type.key(), null, null);
    }
}
