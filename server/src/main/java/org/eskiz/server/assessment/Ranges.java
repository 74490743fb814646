package org.eskiz.server.assessment;

/** The names under which ranges are spoken of in errors, so that the same number is always called the same. */
final class Ranges {

    static final String POWER = "power in W";
    static final String IMPEDANCE = "impedance in ohm";
    static final String LOSS = "loss in dB";
    static final String LENGTH = "length in m";
    static final String FREQUENCY = "frequency in MHz";
    static final String SWR = "SWR";

    private Ranges() {}
}
