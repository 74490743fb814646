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
import java.util.Locale;
import java.util.OptionalInt;

/** Text that can be stored and shown as it is: capped in length, without NUL and without halves of characters. */
@Target({FIELD, TYPE_USE})
@Retention(RUNTIME)
@Constraint(validatedBy = PlainText.TextCheck.class)
public @interface PlainText {

    /** Most characters. */
    int max();

    /** Whether empty or blank text is allowed. */
    boolean blank() default true;

    String message() default "";

    Class<?>[] groups() default {};

    Class<? extends Payload>[] payload() default {};

    /** Says what is wrong with a text. */
    final class TextCheck implements ConstraintValidator<PlainText, String> {

        private PlainText rules;

        @Override
        public void initialize(PlainText annotation) {
            rules = annotation;
        }

        @Override
        public boolean isValid(String value, ConstraintValidatorContext context) {
            String complaint = value == null ? "" : complaint(value);
            if (!complaint.isEmpty()) {
                context.disableDefaultConstraintViolation();
                context.buildConstraintViolationWithTemplate(complaint).addConstraintViolation();
            }
            return complaint.isEmpty();
        }

        private String complaint(String value) {
            if (!rules.blank() && value.isBlank()) {
                return "must not be empty";
            }
            if (value.length() > rules.max()) {
                return String.format(Locale.ROOT, "must be at most %d characters, not %d", rules.max(), value.length());
            }
            OptionalInt unstorable = value.codePoints()
                    .filter(c -> c == 0 || (c >= Character.MIN_SURROGATE && c <= Character.MAX_SURROGATE))
                    .findFirst();
            return unstorable.isEmpty() ? "" : "must not contain the character U+%04X".formatted(unstorable.getAsInt());
        }
    }
}
