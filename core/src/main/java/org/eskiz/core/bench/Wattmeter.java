package org.eskiz.core.bench;

/**
 * The meter that powers were read with.
 *
 * @param repeatability how well the same thing reads the same twice
 * @param meterClass share of a reading by which it may be wrong
 */
public record Wattmeter(PowerReading.Repeatability repeatability, double meterClass, Lead lead) {

    /** Of a meter that is not made for a laboratory. */
    public static final double USUAL_CLASS = 0.05;
}
