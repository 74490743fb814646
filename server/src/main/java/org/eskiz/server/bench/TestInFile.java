package org.eskiz.server.bench;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Set;
import java.util.UUID;

/**
 * A test in a file, as it was noted; what it came to is worked out anew.
 *
 * @param noted with its id
 * @param madeTypes keys of cable types that were made of it; null for none
 */
public record TestInFile(
        @NotNull(message = "must be given") @Valid BenchTestRequest noted,

        @Size(max = 50, message = "must be at most {max} keys")
        List<@NotNull(message = "must be a key, not null") String> madeTypes) {

    /** The same where its piece is not in the file. */
    public TestInFile withPieceAmong(Set<UUID> pieces) {
        return noted.pieceId() == null || pieces.contains(noted.pieceId())
                ? this
                : new TestInFile(noted.withoutPiece(), madeTypes);
    }
}
