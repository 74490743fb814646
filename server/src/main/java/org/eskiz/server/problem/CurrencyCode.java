package org.eskiz.server.problem;

import static java.lang.annotation.ElementType.FIELD;
import static java.lang.annotation.RetentionPolicy.RUNTIME;

import jakarta.validation.Constraint;
import jakarta.validation.ConstraintValidator;
import jakarta.validation.ConstraintValidatorContext;
import jakarta.validation.Payload;
import java.lang.annotation.Retention;
import java.lang.annotation.Target;
import java.util.Currency;
import java.util.Set;
import java.util.stream.Collectors;

/** The code of a currency in ISO 4217. */
@Target(FIELD)
@Retention(RUNTIME)
@Constraint(validatedBy = CurrencyCode.CodeCheck.class)
public @interface CurrencyCode {

    String message() default "must be the three letters of a currency, such as EUR, not \"${validatedValue}\"";

    Class<?>[] groups() default {};

    Class<? extends Payload>[] payload() default {};

    /** Looks a code up. */
    final class CodeCheck implements ConstraintValidator<CurrencyCode, String> {

        private static final Set<String> KNOWN = Currency.getAvailableCurrencies().stream()
                .map(Currency::getCurrencyCode)
                .collect(Collectors.toUnmodifiableSet());

        @Override
        public boolean isValid(String value, ConstraintValidatorContext context) {
            return value == null || KNOWN.contains(value);
        }
    }
}
