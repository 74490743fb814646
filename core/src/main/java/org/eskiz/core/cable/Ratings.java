package org.eskiz.core.cable;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a part of a run bears; empty where not known.
 *
 * @param average average power of a line, with the frequency and temperature it is stated at
 * @param connector average power of a connector, with the frequency it is stated at
 * @param deviceW average power of anything else, at every frequency
 * @param peakVoltageV between the conductors
 */
public record Ratings(
        Optional<AveragePower> average,
        Optional<ConnectorPower> connector,
        OptionalDouble deviceW,
        OptionalDouble peakVoltageV) {

    public static final Ratings UNKNOWN =
            new Ratings(Optional.empty(), Optional.empty(), OptionalDouble.empty(), OptionalDouble.empty());

    /** Of a line. */
    public static Ratings ofLine(Optional<AveragePower> average, OptionalDouble peakVoltageV) {
        return new Ratings(average, Optional.empty(), OptionalDouble.empty(), peakVoltageV);
    }

    /** Of a connector. */
    public static Ratings ofConnector(Optional<ConnectorPower> power, OptionalDouble peakVoltageV) {
        return new Ratings(Optional.empty(), power, OptionalDouble.empty(), peakVoltageV);
    }

    /** Of an arrestor, a transformer and the like, as somebody states it for every frequency it is used on. */
    public static Ratings ofDevice(OptionalDouble averagePowerW, OptionalDouble peakVoltageV) {
        return new Ratings(Optional.empty(), Optional.empty(), averagePowerW, peakVoltageV);
    }

    /** Whether anybody has said what average power it bears. */
    public boolean isPowerKnown() {
        return average.isPresent() || connector.isPresent() || deviceW.isPresent();
    }

    /** Average power that a line of this law bears, W. */
    public OptionalDouble lineW(Attenuation law, double atMHz, double atC) {
        return average.map(p -> OptionalDouble.of(p.at(law, atMHz, atC))).orElse(OptionalDouble.empty());
    }

    /** Average power that a joint, device or transformer bears, W. */
    public OptionalDouble padW(double atMHz) {
        return connector.map(p -> OptionalDouble.of(p.at(atMHz))).orElse(deviceW);
    }

    /**
     * How many times over a line bears the power that heats its hottest spot.
     *
     * @param ratedW average power that it bears, W
     * @param equivalentMatchedPowerW matched power that would heat it as much, at the radio's peak power
     * @param duty average over peak power while transmitting, 0 to 1
     * @return rating over average power; infinite where there is no power
     */
    public static double powerMargin(double ratedW, double equivalentMatchedPowerW, double duty) {
        return ratedW / (equivalentMatchedPowerW * duty);
    }

    /** The r.m.s. voltage whose peak is the rating, V: that of a sine wave. */
    public static double voltageRmsAtRating(double ratedPeakV) {
        return ratedPeakV / Math.sqrt(2);
    }

    /**
     * How many times over it bears the voltage.
     *
     * @param ratedPeakV peak voltage that it bears
     * @param voltageRms largest r.m.s. voltage at the radio's peak power
     */
    public static double voltageMargin(double ratedPeakV, double voltageRms) {
        return voltageRmsAtRating(ratedPeakV) / voltageRms;
    }
}
