package org.eskiz.server.http;

import java.util.List;
import java.util.stream.Collectors;

/** A request that could be read but cannot be: out of range, unknown reference, impossible. Answered with 422. */
public final class InvalidRequestException extends RuntimeException {

    private static final long serialVersionUID = 1;

    private final transient List<FieldFault> faults;

    public InvalidRequestException(List<FieldFault> faults) {
        super(faults.stream().map(FieldFault::message).collect(Collectors.joining("; ")));
        this.faults = List.copyOf(faults);
    }

    public InvalidRequestException(String path, String message) {
        this(List.of(new FieldFault(path, message)));
    }

    public List<FieldFault> faults() {
        return faults;
    }
}
