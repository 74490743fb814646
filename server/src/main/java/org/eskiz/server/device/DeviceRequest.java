package org.eskiz.server.device;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import org.eskiz.server.document.RunElement;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;
import org.jspecify.annotations.Nullable;

/**
 * A device of the operator's own.
 *
 * @param id made by the client; for a new one only
 * @param version that a change starts from; for a change only
 * @param element as it stands in a run: a device, a preamplifier, a fork or a transformer
 */
public record DeviceRequest(
        @Nullable UUID id,

        @Nullable @Within(what = "version", min = 0, max = Long.MAX_VALUE)
        Long version,

        @NotNull(message = "must be given") @PlainText(max = 120, blank = false)
        String name,

        @NotNull(message = "must be given") @Valid RunElement element) {}
