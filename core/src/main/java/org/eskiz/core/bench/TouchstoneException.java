package org.eskiz.core.bench;

import java.util.Locale;

/** A text that is no sweep, with the line where it stops being one. */
public final class TouchstoneException extends IllegalArgumentException {

    private static final long serialVersionUID = 1;

    private final int line;

    TouchstoneException(int line, String message) {
        super(String.format(Locale.ROOT, "line %d: %s", line, message));
        this.line = line;
    }

    /** In the text, from 1. */
    public int line() {
        return line;
    }
}
