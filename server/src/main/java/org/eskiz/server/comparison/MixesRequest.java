package org.eskiz.server.comparison;

import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;

/** A comparison whose run marks two lines or more as {@code candidate}: the best mixes are looked for. */
public record MixesRequest(
        @NotNull(message = "must be given") @Valid ComparisonRequest comparison) {}
