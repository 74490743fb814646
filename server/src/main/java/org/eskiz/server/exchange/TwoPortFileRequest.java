package org.eskiz.server.exchange;

import jakarta.validation.constraints.NotNull;
import org.eskiz.server.problem.PlainText;

/**
 * A two-port sweep of a device.
 *
 * @param fileName as the operator has it
 * @param text what is in it: Touchstone
 */
public record TwoPortFileRequest(
        @NotNull(message = "must be given") @PlainText(max = 255)
        String fileName,

        @NotNull(message = "must be given") @PlainText(max = 8_000_000)
        String text) {}
