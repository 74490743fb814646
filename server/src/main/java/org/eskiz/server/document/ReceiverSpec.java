package org.eskiz.server.document;

import org.eskiz.core.receive.NoiseEnvironment;
import org.eskiz.server.problem.Within;

/**
 * What listens, and how noisy the place is.
 *
 * @param environment default {@code RESIDENTIAL}
 * @param noiseFigureDb of the receiver, default 6
 * @param antennaTemperatureK above 250 MHz; default what is usual in the environment
 * @param preamplifierGainDb of a preamplifier at the antenna; null for none
 * @param preamplifierNoiseFigureDb its noise figure, default 1
 */
public record ReceiverSpec(
        NoiseEnvironment environment,

        @Within(what = "noise figure in dB", min = 0, max = 40)
        Double noiseFigureDb,

        @Within(what = "antenna temperature in K", min = 3, max = 100_000)
        Double antennaTemperatureK,

        @Within(what = "gain of the preamplifier in dB", min = 0, max = 60)
        Double preamplifierGainDb,

        @Within(what = "noise figure of the preamplifier in dB", min = 0, max = 40)
        Double preamplifierNoiseFigureDb) {}
