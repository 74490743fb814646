package org.eskiz.server.problem;

import java.util.List;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A request that could be read but cannot be: out of range, unknown reference, impossible. Answered with 422. */
public final class InvalidRequestException extends RuntimeException {

    private static final long serialVersionUID = 1;

    private final transient List<FieldFault> faults;

    /** More of them nobody mends at once. */
    public static final int MOST_TOLD = 100;

    public InvalidRequestException(List<FieldFault> faults) {
        super(told(faults).stream().map(FieldFault::message).collect(Collectors.joining("; ")));
        this.faults = told(faults);
    }

    private static List<FieldFault> told(List<FieldFault> faults) {
        if (faults.size() <= MOST_TOLD) {
            return List.copyOf(faults);
        }
        int left = faults.size() - MOST_TOLD + 1;
        return Stream.concat(
                        faults.stream().limit(MOST_TOLD - 1L),
                        Stream.of(new FieldFault("", "and %d more are wrong in the same request".formatted(left))))
                .toList();
    }

    public InvalidRequestException(String path, String message) {
        this(List.of(new FieldFault(path, message)));
    }

    public List<FieldFault> faults() {
        return faults;
    }
}
