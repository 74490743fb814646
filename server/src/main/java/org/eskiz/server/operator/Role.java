package org.eskiz.server.operator;

import io.swagger.v3.oas.annotations.media.Schema;

/** What somebody may do in a workshop; each may do what those before may. */
@Schema(enumAsRef = true)
public enum Role {
    /** Reads, and computes. */
    GUEST,
    /** Makes, changes and puts away plans, cables, tests and pieces. */
    MEMBER,
    /** Looks after people and what holds for all. */
    KEEPER;

    public boolean covers(Role asked) {
        return compareTo(asked) >= 0;
    }
}
