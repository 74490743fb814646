package org.eskiz.core.kit;

/**
 * What a piece ends in, or what a radio or an antenna offers.
 *
 * @param connector key of the kind of connector
 * @param gender plug or socket
 */
public record End(String connector, Gender gender) {

    /** Which half of a pair. */
    public enum Gender {
        PLUG,
        SOCKET;

        /** What mates with it. */
        public Gender opposite() {
            return this == PLUG ? SOCKET : PLUG;
        }
    }

    /** Whether two ends mate as they are. */
    public boolean mates(End other) {
        return connector.equals(other.connector) && gender == other.gender.opposite();
    }

    /** What mates with it. */
    public End counterpart() {
        return new End(connector, gender.opposite());
    }
}
