package org.eskiz.server.operator;

import org.jspecify.annotations.Nullable;

/** Settings as they are kept: those of fact with the workshop, those of taste with the operator. */
interface StoredSettings {

    /** Counts up with every change of either. */
    long getVersion();

    @Nullable
    String getFacts();

    @Nullable
    String getTaste();
}
