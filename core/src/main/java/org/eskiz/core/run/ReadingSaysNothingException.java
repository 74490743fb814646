package org.eskiz.core.run;

/** An SWR read at the radio while a matching unit at the antenna makes the line flat tells nothing of the antenna. */
public final class ReadingSaysNothingException extends IllegalArgumentException {

    ReadingSaysNothingException(double swr) {
        super("an SWR of " + swr + " read at the radio says nothing about an antenna behind a matching unit:"
                + " state the SWR or the impedance at the antenna");
    }
}
