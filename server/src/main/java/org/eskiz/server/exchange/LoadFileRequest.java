package org.eskiz.server.exchange;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;

/**
 * A file that tells what an antenna is, and where it is to be read.
 *
 * @param fileName as the operator has it; one that ends in {@code .s1p} is a sweep, any other a table
 * @param text what is in it
 * @param frequenciesMHz where it is to be read
 * @param referenceOhm of a table; a sweep states its own; default 50
 */
public record LoadFileRequest(
        @NotNull(message = "must be given") @PlainText(max = 255)
        String fileName,

        @NotNull(message = "must be given") @PlainText(max = 1_000_000)
        String text,

        @NotNull(message = "must be given") @Size(min = 1, max = 64, message = "must be 1 to 64 frequencies")
        List<
                        @NotNull(message = "must be a frequency, not null")
                        @Within(what = "frequency in MHz", min = 0.1, max = 30_000) Double>
                frequenciesMHz,

        @Within(what = "reference in ohm", min = 1, max = 2000)
        Double referenceOhm) {}
