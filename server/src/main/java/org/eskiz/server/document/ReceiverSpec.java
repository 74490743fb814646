package org.eskiz.server.document;

import org.eskiz.core.receive.NoiseEnvironment;
import org.eskiz.server.problem.Within;

/**
 * What listens, and how noisy the place is.
 *
 * @param environment default {@code RESIDENTIAL}
 * @param noiseFigureDb of the receiver, default 6
 * @param antennaTemperatureK above 250 MHz; default what is usual in the environment
 * @param preamplifierGainDb as it was stated before a preamplifier was an element of the run: read, and put at the antenna end
 * @param preamplifierNoiseFigureDb likewise
 * @param neighbourPowerW of the strongest transmitter of the same site; null for none
 * @param neighbourIsolationDb from its terminals to those of this antenna, default {@link #USUAL_ISOLATION_DB}
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
        Double preamplifierNoiseFigureDb,

        @Within(what = "power of the neighbour in W", min = 1e-3, max = 1e5)
        Double neighbourPowerW,

        @Within(what = "isolation from the neighbour in dB", min = 0, max = 200)
        Double neighbourIsolationDb) {

    /** Two antennas on one mast, a few metres from each other; an assumption until somebody measures it. */
    public static final double USUAL_ISOLATION_DB = 30;

    /** Of which nothing is stated. */
    static final ReceiverSpec UNSTATED = new ReceiverSpec(null, null, null, null, null, null, null);

    /** The same once its preamplifier stands in the run. */
    ReceiverSpec withoutPreamplifier() {
        return new ReceiverSpec(
                environment, noiseFigureDb, antennaTemperatureK, null, null, neighbourPowerW, neighbourIsolationDb);
    }
}
