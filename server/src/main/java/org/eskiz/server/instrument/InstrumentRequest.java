package org.eskiz.server.instrument;

import jakarta.validation.constraints.NotNull;
import java.util.UUID;
import org.eskiz.server.problem.PlainText;
import org.eskiz.server.problem.Within;

/**
 * Where an instrument is, and who drives it.
 *
 * @param host this machine, or one that the settings allow
 * @param holder made by the client, one for each tab; only one at a time may drive an instrument
 */
record InstrumentRequest(
        @NotNull(message = "must be given") @PlainText(max = 253, blank = false)
        String host,

        @NotNull(message = "must be given") @Within(what = "port", min = 1, max = 65_535)
        Integer port,

        @NotNull(message = "must be given") UUID holder) {

    String address() {
        return host + ":" + port;
    }
}
