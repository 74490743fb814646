package org.eskiz.server.document;

/** The names under which ranges are spoken of in errors, so that the same number is always called the same. */
public final class Ranges {

    static final String POWER = "power in W";
    static final String IMPEDANCE = "impedance in ohm";
    public static final String LOSS = "loss in dB";
    public static final String LENGTH = "length in m";
    public static final String FREQUENCY = "frequency in MHz";
    static final String SWR = "SWR";
    static final String AVERAGE_POWER = "average power in W";
    static final String PEAK_VOLTAGE = "peak voltage in V";

    private Ranges() {}
}
