package org.eskiz.server.catalogue;

import io.swagger.v3.oas.annotations.media.Schema;
import jakarta.persistence.Column;
import jakarta.persistence.Embeddable;
import java.math.BigDecimal;
import java.math.RoundingMode;
import java.time.LocalDate;
import org.eskiz.server.operator.Settings;
import org.hibernate.annotations.JdbcTypeCode;
import org.hibernate.type.SqlTypes;
import org.jspecify.annotations.Nullable;

/**
 * What a metre costs.
 *
 * @param pricePerM decimal with four places, in the currency; null where nobody knows it
 * @param priceCurrency ISO 4217
 * @param priceIsSample whether it is an invented price to try things with
 * @param pricedOn day of the price; null where not known
 * @param soldInM whole lengths it is sold in, a reel or cut lengths; null for by the metre
 */
@Embeddable
public record Price(
        @Schema(description = "decimal; null where not known") @Nullable @Column(name = "price_per_m")
        BigDecimal pricePerM,

        @Nullable @JdbcTypeCode(SqlTypes.CHAR) @Column(length = 3)
        String priceCurrency,

        @Schema(description = "an invented price to try things with")
        boolean priceIsSample,

        @Nullable LocalDate pricedOn,

        @Schema(description = "whole lengths it is sold in; null for by the metre")
        @Nullable
        @Column(name = "sold_in_m")
        Double soldInM) {

    /** As the database keeps it. */
    private static final int PLACES = 4;

    /** Nobody knows it. */
    public static final Price UNKNOWN = new Price(null, null, false, null, null);

    public Price {
        pricePerM = pricePerM == null ? null : pricePerM.setScale(PLACES, RoundingMode.HALF_UP);
    }

    public boolean hasFigure() {
        return pricePerM != null;
    }

    /** A sample is in whatever currency the operator has, for it is invented; every other price stays what it is. */
    Price shownIn(String currency) {
        return priceIsSample ? new Price(pricePerM, currency, true, pricedOn, soldInM) : this;
    }

    /** The operator's own price in its place. */
    Price replacedBy(Settings.OwnPrice own) {
        return new Price(
                BigDecimal.valueOf(own.amount()),
                own.currency(),
                false,
                own.pricedOn(),
                own.soldInM() == null ? soldInM : own.soldInM());
    }

    /** The same, said to be invented on a day. */
    Price asSampleOf(LocalDate day) {
        return new Price(pricePerM, priceCurrency, true, day, soldInM);
    }
}
