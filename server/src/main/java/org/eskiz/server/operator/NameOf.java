package org.eskiz.server.operator;

/** Whose name stands on something, as a part of the statement that reads it. */
public final class NameOf {

    /** Whoever was alone here has no name yet. */
    public static final String OPERATOR = "case when o.password is not null or o.closed_at is not null then o.name end";

    /** Of a row of a table that says by {@code done_by} who added it. */
    public static final String WHO_DID_IT = "(select " + OPERATOR + " from operator o where o.id = done_by)";

    private NameOf() {}
}
