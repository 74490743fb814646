package org.eskiz.server.http;

import java.io.IOException;

/** A body beyond what {@link BodySizeFilter} lets pass. Answered with 413. */
final class TooLargeException extends IOException {

    private static final long serialVersionUID = 1;

    TooLargeException(int mostBytes) {
        super("the body is larger than " + mostBytes + " bytes");
    }
}
