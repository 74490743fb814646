package org.eskiz.server.problem;

import com.fasterxml.jackson.annotation.JsonUnwrapped;
import jakarta.validation.ConstraintViolation;
import jakarta.validation.Validation;
import jakarta.validation.Validator;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.function.Supplier;

/** Collects everything that is wrong with a request, so that it can be told at once. */
public final class ValidationErrors {

    private static final Validator VALIDATOR =
            Validation.buildDefaultValidatorFactory().getValidator();

    private final List<FieldError> found;
    private final String prefix;

    private ValidationErrors(List<FieldError> found, String prefix) {
        this.found = found;
        this.prefix = prefix;
    }

    /** Starts with what the declared constraints of a request say. */
    public static ValidationErrors in(Object request) {
        return new ValidationErrors(new ArrayList<>(), "").check(request, "");
    }

    /** Starts with nothing. */
    public static ValidationErrors none() {
        return new ValidationErrors(new ArrayList<>(), "");
    }

    /** Adds what the constraints of a part say, its paths below a prefix. */
    public ValidationErrors check(Object part, String path) {
        VALIDATOR.validate(part).stream()
                .sorted(Comparator.comparing(
                        (ConstraintViolation<?> v) -> v.getPropertyPath().toString()))
                .forEach(v -> add(join(path, pathOnTheWire(v)), v.getMessage()));
        return this;
    }

    /** A group that is flat on the wire has no name there. */
    private static String pathOnTheWire(ConstraintViolation<?> violation) {
        String path = violation.getPropertyPath().toString();
        Object root = violation.getRootBean();
        return Arrays.stream(root.getClass().getDeclaredFields())
                .filter(f -> f.isAnnotationPresent(JsonUnwrapped.class) && path.startsWith(f.getName() + "."))
                .findFirst()
                .map(f -> path.substring(f.getName().length() + 1))
                .orElse(path);
    }

    /** The same collection for a part of the request: what is added there stands under its path. */
    public ValidationErrors below(String part) {
        return new ValidationErrors(found, join(prefix, part));
    }

    /** Adds one fault. */
    public void add(String path, String message) {
        found.add(new FieldError(join(prefix, path), message));
    }

    /** Runs a step that may refuse a value, and adds the refusal under a path; null when it refused. */
    public <T> T trying(String path, Supplier<T> step) {
        try {
            return step.get();
        } catch (IllegalArgumentException e) {
            add(path, e.getMessage());
            return null;
        }
    }

    /** Whether nothing is wrong so far. */
    public boolean isEmpty() {
        return found.isEmpty();
    }

    /** Throws when anything was found. */
    public void throwIfAny() {
        if (!found.isEmpty()) {
            throw new InvalidRequestException(found);
        }
    }

    private static String join(String prefix, String path) {
        return prefix.isEmpty() || path.isEmpty() ? prefix + path : prefix + "." + path;
    }
}
