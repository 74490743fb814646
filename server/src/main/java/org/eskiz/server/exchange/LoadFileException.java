package org.eskiz.server.exchange;

/** What is wrong with a file, and in which line. */
final class LoadFileException extends RuntimeException {

    private static final long serialVersionUID = 1;

    LoadFileException(long line, String what) {
        super("line " + line + ": " + what);
    }

    LoadFileException(String what) {
        super(what);
    }
}
