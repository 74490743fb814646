package org.eskiz.server.transfer;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.UUID;
import org.eskiz.server.problem.PlainText;

/**
 * A file to be looked at, or taken.
 *
 * @param text of the file; or else
 * @param uploadId by which its parts were sent
 * @param choices one for each part that clashes; for taking only
 */
record TransferRequest(
        String text,
        UUID uploadId,

        @Size(max = 100_000, message = "must be at most {max} choices")
        List<@NotNull(message = "must be a choice, not null") @Valid ChoiceRequest> choices) {

    /** What becomes of a part that clashes. */
    record ChoiceRequest(
            @NotNull(message = "must be given") PartKind kind,

            @NotNull(message = "must be given") @PlainText(max = 80)
            String id,

            @NotNull(message = "must be given") Take take) {}

    /** Whose word stands. */
    enum Take {
        /** What is here stays; the file's is left out, and what refers to it refers to mine. */
        MINE,
        /** What the file says stands in place of mine. */
        THEIRS,
        /** Mine stays, and theirs comes in under a name of its own. */
        BOTH
    }
}
