package org.eskiz.core.receive;

import java.util.Optional;
import org.eskiz.core.unit.Decibels;
import org.eskiz.core.unit.Require;

/**
 * What listens at the end of the run.
 *
 * @param noiseFigureDb its noise figure, at least 0
 * @param preamplifier at the antenna end of the run; empty for none
 */
public record Receiver(double noiseFigureDb, Optional<Preamplifier> preamplifier) {

    public Receiver {
        Require.notNegative("noise figure in dB", noiseFigureDb);
    }

    public Receiver(double noiseFigureDb) {
        this(noiseFigureDb, Optional.empty());
    }

    /** An amplifier at the antenna. */
    public record Preamplifier(double gainDb, double noiseFigureDb) {

        public Preamplifier {
            Require.notNegative("gain in dB", gainDb);
            Require.notNegative("noise figure in dB", noiseFigureDb);
        }
    }

    /**
     * What a run costs in signal-to-noise ratio against a lossless one and the bare receiver:
     * {@code 10·log10[(f_a − 1 + f_s) / (f_a − 1 + f_r)]}, where f_s is the noise factor of everything behind the antenna:
     * l·f_r for a run of loss l at 290 K, and by the formula for stages in cascade with a preamplifier before it (ITU-R
     * P.372-8, 2003, equations 2 to 5; Microwave Engineering, 4th edition, section 10.2).
     *
     * @param externalFactor f_a
     * @param runLossDb run and matching unit; not reflection or foldback
     * @return dB; negative where a preamplifier brings more than the run takes
     */
    public double penaltyDb(double externalFactor, double runLossDb) {
        double receiver = fromDb(noiseFigureDb);
        double throughRun = fromDb(runLossDb) * receiver;
        double behindAntenna = preamplifier
                .map(p -> fromDb(p.noiseFigureDb) + (throughRun - 1) / fromDb(p.gainDb))
                .orElse(throughRun);
        return Decibels.ofPower((externalFactor - 1 + behindAntenna) / (externalFactor - 1 + receiver));
    }

    /**
     * The loss of run and matching unit at which the penalty comes to a given figure: {@link #penaltyDb} turned round.
     *
     * @return dB; negative where not even a lossless run would do, negative infinity where no run could
     */
    public double lossAtPenaltyDb(double externalFactor, double penaltyDb) {
        double receiver = fromDb(noiseFigureDb);
        double behindAntenna = fromDb(penaltyDb) * (externalFactor - 1 + receiver) - (externalFactor - 1);
        double throughRun = preamplifier
                .map(p -> 1 + (behindAntenna - fromDb(p.noiseFigureDb)) * fromDb(p.gainDb))
                .orElse(behindAntenna);
        return throughRun > 0 ? Decibels.ofPower(throughRun / receiver) : Double.NEGATIVE_INFINITY;
    }

    private static double fromDb(double db) {
        return Math.pow(10, db / 10);
    }
}
