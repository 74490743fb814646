package org.eskiz.server.http;

import java.io.IOException;

/** A body beyond {@link BodySizeFilter#MOST_BYTES}. Answered with 413. */
final class TooLargeException extends IOException {

    private static final long serialVersionUID = 1;

    TooLargeException() {
        super("the body is larger than " + BodySizeFilter.MOST_BYTES + " bytes");
    }
}
