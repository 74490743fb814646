package org.eskiz.server.document;

import jakarta.validation.constraints.NotNull;
import org.eskiz.server.problem.CurrencyCode;
import org.eskiz.server.problem.Within;

/** An amount of money. */
public record MoneySpec(
        @NotNull(message = "must be given") @Within(what = "amount", min = 0, max = 1e6)
        Double amount,

        @NotNull(message = "must be given") @CurrencyCode String currency) {}
