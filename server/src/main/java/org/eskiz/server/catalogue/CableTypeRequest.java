package org.eskiz.server.catalogue;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.List;
import org.eskiz.core.cable.AttenuationPoint;
import org.eskiz.server.problem.CurrencyCode;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;

/**
 * What an operator says of a cable type of their own; null where it is not known. On the wire its groups are one flat object.
 *
 * @param key by which it will be known, when it is new; null to have one made of its name
 * @param revision the one that was changed; not for a new type
 * @param points rows of the data sheet
 */
public record CableTypeRequest(
        @PlainText(max = 64) String key,
        Integer revision,

        @NotNull(message = "must be given") @PlainText(max = 120, blank = false)
        String name,

        @PlainText(max = 120) String family,
        @Valid @JsonUnwrapped Source source,
        @Valid @JsonUnwrapped Construction construction,
        @Valid @JsonUnwrapped Mechanics mechanics,
        @Valid @JsonUnwrapped Ratings ratings,
        @Valid @JsonUnwrapped CablePriceRequest price,
        @PlainText(max = 2000) String note,

        @NotNull(message = "must be given") @Size(min = 1, max = 200, message = "must be 1 to 200 points")
        List<@Valid @NotNull(message = "must be a point, not null") SheetPointRequest> points) {

    /** What is stored of a type, as somebody would have to say it. */
    public static CableTypeRequest of(CableType type) {
        CableType.Facts f = type.facts();
        return new CableTypeRequest(
                type.key(),
                null,
                f.name(),
                f.family(),
                f.source(),
                f.construction(),
                f.mechanics(),
                f.ratings(),
                CablePriceRequest.of(f.price()),
                f.note(),
                f.points().stream().map(SheetPointRequest::of).toList());
    }

    /** The same with the rows of a data sheet that stands elsewhere. */
    CableTypeRequest withPoints(List<SheetPointRequest> rows) {
        return new CableTypeRequest(
                key, revision, name, family, source, construction, mechanics, ratings, price, note, rows);
    }

    /** What a metre costs; a price and its currency go together. */
    public record CablePriceRequest(
            @Within(what = "price per metre", min = 0, max = 1e6)
            Double pricePerM,

            @CurrencyCode String priceCurrency,
            LocalDate pricedOn,

            @Within(what = "length it is sold in, in m", min = 0.1, max = 10_000)
            Double soldInM) {

        /** Nobody knows it. */
        public static final CablePriceRequest UNKNOWN = new CablePriceRequest(null, null, null, null);

        static CablePriceRequest of(Price price) {
            return price == null
                    ? UNKNOWN
                    : new CablePriceRequest(
                            price.pricePerM().doubleValue(), price.priceCurrency(), price.pricedOn(), price.soldInM());
        }

        Price price() {
            return new Price(
                    pricePerM == null ? null : BigDecimal.valueOf(pricePerM), priceCurrency, false, pricedOn, soldInM);
        }
    }

    /** One row of a data sheet. */
    public record SheetPointRequest(
            @NotNull(message = "must be given") @Within(what = "frequency in MHz", min = 0.1, max = 30_000)
            Double frequencyMHz,

            @NotNull(message = "must be given") @Within(what = "attenuation in dB per 100 m", min = 1e-6, max = 1e5)
            Double attenuationDbPer100m) {

        static SheetPointRequest of(AttenuationPoint point) {
            return new SheetPointRequest(point.frequencyMHz(), point.attenuationDbPer100m());
        }
    }
}
