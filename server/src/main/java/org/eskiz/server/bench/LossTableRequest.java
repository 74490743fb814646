package org.eskiz.server.bench;

import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;

/**
 * A table as somebody copied it from another instrument.
 *
 * @param figure what its figures are; losses in dB where not said
 */
record LossTableRequest(
        @NotNull(message = "must be given") @Size(max = 500_000, message = "must be at most {max} characters")
        String text,

        Figure figure) {

    /** What another instrument shows of a cable. */
    enum Figure {
        LOSS,
        PERCENT_ARRIVING,
        PERCENT_LOST,
        /** Return loss with the far end open: half of it is the loss. */
        OPEN_RETURN_LOSS,
        /** The same with the far end shorted. */
        SHORTED_RETURN_LOSS,
        /** Both, open in the column before shorted. */
        BOTH_RETURN_LOSSES
    }
}
