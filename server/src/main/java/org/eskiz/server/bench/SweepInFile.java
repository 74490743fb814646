package org.eskiz.server.bench;

import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import org.eskiz.server.problem.PlainText;

/**
 * A sweep in a file, as the instrument wrote it.
 *
 * @param id by which tests refer to it
 * @param text in the Touchstone format
 */
public record SweepInFile(
        @NotNull(message = "must be given") UUID id,

        @NotNull(message = "must be given") @PlainText(max = 255, blank = false)
        String fileName,

        @NotNull(message = "must be given") String text) {}
