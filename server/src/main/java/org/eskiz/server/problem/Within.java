package org.eskiz.server.problem;

import static java.lang.annotation.ElementType.FIELD;
import static java.lang.annotation.ElementType.TYPE_USE;
import static java.lang.annotation.RetentionPolicy.RUNTIME;

import jakarta.validation.Constraint;
import jakarta.validation.ConstraintValidator;
import jakarta.validation.ConstraintValidatorContext;
import jakarta.validation.Payload;
import java.lang.annotation.Retention;
import java.lang.annotation.Target;

/** A number between two bounds, both allowed; nothing is said of a number that is not there. */
@Target({FIELD, TYPE_USE})
@Retention(RUNTIME)
@Constraint(validatedBy = Within.NumberWithin.class)
public @interface Within {

    /** What the number is, in words, with its unit: {@code length in m}. */
    String what();

    double min();

    double max();

    String message() default "";

    Class<?>[] groups() default {};

    Class<? extends Payload>[] payload() default {};

    /** Says what was found and what is allowed. */
    final class NumberWithin implements ConstraintValidator<Within, Number> {

        private Within bounds;

        @Override
        public void initialize(Within annotation) {
            bounds = annotation;
        }

        @Override
        public boolean isValid(Number value, ConstraintValidatorContext context) {
            if (value == null || (value.doubleValue() >= bounds.min() && value.doubleValue() <= bounds.max())) {
                return true;
            }
            context.disableDefaultConstraintViolation();
            context.buildConstraintViolationWithTemplate("%s must be from %s to %s, not %s"
                            .formatted(bounds.what(), plain(bounds.min()), plain(bounds.max()), plain(value)))
                    .addConstraintViolation();
            return false;
        }

        /** 10000 rather than 10000.0 or 1.0E4. */
        private static String plain(Number value) {
            double d = value.doubleValue();
            return d == Math.rint(d) && Math.abs(d) < 1e15 ? Long.toString((long) d) : value.toString();
        }
    }
}
