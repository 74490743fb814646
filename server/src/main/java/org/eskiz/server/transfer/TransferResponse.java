package org.eskiz.server.transfer;

import java.util.List;
import org.eskiz.server.transfer.TransferRequest.Take;

/**
 * What a file brings, or brought.
 *
 * @param parts one for each plan, type, connector, piece, kit and test, in the order in which they are taken
 * @param sweeps how many sweeps come with the tests
 * @param taken whether it was taken, or only looked at
 */
record TransferResponse(List<PartResponse> parts, int sweeps, boolean taken) {

    /**
     * A part of a file.
     *
     * @param id by which it goes in the file
     * @param name for people
     * @param offered what may be chosen where it clashes; empty where it does not
     */
    record PartResponse(PartKind kind, String id, String name, State state, List<Take> offered) {}

    /** How a part stands to what is here. */
    enum State {
        /** It is not here yet. */
        NEW,
        /** It is here already, and says the same. */
        SAME,
        /** Something else goes by the same id, key or label here. */
        CLASH
    }
}
