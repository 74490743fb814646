package org.eskiz.server.locker;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.math.BigDecimal;
import java.time.LocalDate;
import java.util.UUID;
import org.eskiz.core.bench.EarlierOutings;
import org.eskiz.core.kit.End;
import org.eskiz.server.catalogue.Catalogue;
import org.eskiz.server.problem.CurrencyCode;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.ValidationErrors;
import org.eskiz.server.problem.Within;
import org.jspecify.annotations.Nullable;

/**
 * A piece as its owner describes it.
 *
 * @param id made by the client; for a new piece only
 * @param version that a change starts from; for a change only
 * @param label what is written on it; one piece alone has it
 * @param cableKey its type; null where nobody knows
 * @param lengthM of it
 * @param near one end; null where not known
 * @param far the other
 * @param boughtOn null where not known
 * @param price what it cost; null where not known
 * @param keptAt where it lies when it is not out
 * @param earlier outings that were not noted one by one; null for none
 */
public record PieceRequest(
        UUID id,

        @Within(what = "version", min = 0, max = Long.MAX_VALUE)
        Long version,

        @NotNull(message = "must be given") @PlainText(max = 80, blank = false)
        String label,

        @PlainText(max = 64) String cableKey,

        @NotNull(message = "must be given") @Within(what = "length in m", min = 0.01, max = 10_000)
        Double lengthM,

        @Valid EndRequest near,
        @Valid EndRequest far,
        LocalDate boughtOn,
        @Within(what = "price", min = 0, max = 1e6) BigDecimal price,
        @CurrencyCode String priceCurrency,
        @PlainText(max = 200) String keptAt,
        @PlainText(max = 4000) String note,
        @Valid EarlierOutingsRequest earlier) {

    /** 9.60 and 9.6 are one price. */
    public PieceRequest {
        price = price == null ? null : price.stripTrailingZeros();
        price = price != null && price.scale() < 0 ? price.setScale(0) : price;
    }

    /**
     * Outings so far, by number.
     *
     * @param hard of them, on which it was wet, frozen or trodden on; null for none
     * @param from first day of the span in which they were
     * @param until its last day
     */
    public record EarlierOutingsRequest(
            @NotNull(message = "must be given") @Within(what = "number of outings", min = 1, max = 10_000)
            Integer outings,

            @Within(what = "number of hard outings", min = 0, max = 10_000)
            Integer hardOutings,

            @NotNull(message = "must be given") LocalDate from,
            @NotNull(message = "must be given") LocalDate until) {

        static EarlierOutingsRequest of(EarlierOutings earlier) {
            return new EarlierOutingsRequest(earlier.count(), earlier.hard(), earlier.from(), earlier.until());
        }

        EarlierOutings earlierOutings() {
            return new EarlierOutings(outings, hardOutings == null ? 0 : hardOutings, from, until);
        }
    }

    /** What a piece ends in, or what a radio or an antenna offers. */
    public record EndRequest(
            @NotNull(message = "must be given") @PlainText(max = 64)
            String connectorKey,

            @NotNull(message = "must be given") End.Gender gender) {

        /** Adds an error where the catalogue does not know the connector of an end that was given. */
        public static void requireKnown(
                @Nullable EndRequest end, String path, Catalogue catalogue, ValidationErrors errors) {
            if (end != null
                    && end.connectorKey() != null
                    && catalogue.connector(end.connectorKey()).isEmpty()) {
                errors.add(path + ".connectorKey", "there is no connector \"" + end.connectorKey() + "\"");
            }
        }

        public End end() {
            return new End(connectorKey, gender);
        }
    }
}
