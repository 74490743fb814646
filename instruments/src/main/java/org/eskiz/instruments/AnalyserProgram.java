package org.eskiz.instruments;

import java.io.IOException;

/** The analyser as a program: {@code AnalyserProgram PORT}. */
public final class AnalyserProgram {

    private AnalyserProgram() {}

    public static void main(String[] args) throws IOException {
        try (ScpiServer socket = new ScpiServer(new Analyser(), Integer.parseInt(args[0]))) {
            socket.serve();
        }
    }
}
