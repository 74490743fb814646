package org.eskiz.core.choice;

import java.math.BigDecimal;
import java.util.Currency;
import java.util.Optional;

/**
 * An amount in one currency; currencies are never converted.
 *
 * @param amount decimal, as priced
 * @param currency ISO 4217
 */
public record Money(BigDecimal amount, Currency currency) {

    /** Nothing, in a currency. */
    static Money none(Currency currency) {
        return new Money(BigDecimal.ZERO, currency);
    }

    /** So many times this. */
    public Money times(double factor) {
        return new Money(amount.multiply(BigDecimal.valueOf(factor)), currency);
    }

    /** The sum; empty when the currencies differ. */
    public Optional<Money> plus(Money other) {
        return currency.equals(other.currency)
                ? Optional.of(new Money(amount.add(other.amount), currency))
                : Optional.empty();
    }
}
