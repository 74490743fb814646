package org.eskiz.server.bench;

/** The ways to measure. */
public enum BenchMethod {
    /** Wattmeter and dummy load, without the cable and through it. */
    WATTMETER,
    /** A sweep from one end to the other. */
    THROUGH_SWEEP,
    /** Two sweeps of one end, the far one open and then shorted, or one of the two. */
    ONE_END_SWEEP,
    /** Losses that were read or computed elsewhere. */
    LOSSES
}
