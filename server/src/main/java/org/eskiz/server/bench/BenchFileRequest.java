package org.eskiz.server.bench;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import org.eskiz.server.problem.PlainText;

/** A sweep as an instrument wrote it: Touchstone, version 1. */
record BenchFileRequest(
        @NotNull(message = "must be given") @PlainText(max = 255)
        String fileName,

        @NotNull(message = "must be given") @Size(max = 4_194_304, message = "must be at most {max} characters")
        String text) {}
