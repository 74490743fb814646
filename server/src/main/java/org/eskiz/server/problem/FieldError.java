package org.eskiz.server.problem;

/**
 * One field at fault.
 *
 * @param path as a client would write it: {@code run[2].lengthM}; empty for the request as a whole
 * @param message what was found and what is allowed
 */
public record FieldError(String path, String message) {}
