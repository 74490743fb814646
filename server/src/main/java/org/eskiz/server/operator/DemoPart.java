package org.eskiz.server.operator;

/** What a feature brings to the demo. */
public interface DemoPart {

    /** Stores it, within the caller's transaction. */
    void load();

    /** Removes it for good, within the caller's transaction. */
    void remove();
}
