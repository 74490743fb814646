package org.eskiz.instruments;

import java.io.IOException;

/** The wattmeter as a program: {@code WattmeterProgram PORT}. */
public final class WattmeterProgram {

    private WattmeterProgram() {}

    public static void main(String[] args) throws IOException {
        try (ScpiServer socket = new ScpiServer(new Wattmeter(), Integer.parseInt(args[0]))) {
            socket.serve();
        }
    }
}
