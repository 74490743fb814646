package org.eskiz.server.problem;

import java.util.List;
import java.util.Locale;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A request that could be read but cannot be: out of range, unknown reference, impossible. Answered with 422. */
public final class InvalidRequestException extends RuntimeException {

    private static final long serialVersionUID = 1;

    private final transient List<FieldError> errors;

    /** More of them nobody mends at once. */
    public static final int MOST_TOLD = 100;

    public InvalidRequestException(List<FieldError> errors) {
        super(told(errors).stream().map(FieldError::message).collect(Collectors.joining("; ")));
        this.errors = told(errors);
    }

    private static List<FieldError> told(List<FieldError> errors) {
        if (errors.size() <= MOST_TOLD) {
            return List.copyOf(errors);
        }
        int left = errors.size() - MOST_TOLD + 1;
        return Stream.concat(
                        errors.stream().limit(MOST_TOLD - 1L),
                        Stream.of(new FieldError(
                                "", String.format(Locale.ROOT, "and %d more are wrong in the same request", left))))
                .toList();
    }

    public InvalidRequestException(String path, String message) {
        this(List.of(new FieldError(path, message)));
    }

    public List<FieldError> errors() {
        return errors;
    }
}
