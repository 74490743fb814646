package org.eskiz.core.unit;

/** Constants of nature. */
public final class Physics {

    /** Speed of light in vacuum, metres per second: exact, by the definition of the metre (SI brochure, 9th edition). */
    public static final double SPEED_OF_LIGHT = 299_792_458;

    /** Temperature at which noise factors are stated, K (IEEE). */
    public static final double REFERENCE_TEMPERATURE_K = 290;

    /** Impedance of free space, Ω (CODATA 2022, as rounded there). */
    public static final double FREE_SPACE_OHM = 376.730313412;

    private Physics() {}
}
