package org.eskiz.core.receive;

import org.eskiz.core.run.Radio;
import org.eskiz.core.run.Run;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.core.unit.Decibels;
import org.eskiz.core.unit.Require;

/**
 * What listens at the end of the run.
 *
 * @param noiseFigureDb its noise figure, at least 0
 */
public record Receiver(double noiseFigureDb) {

    public Receiver {
        Require.notNegative("noise figure in dB", noiseFigureDb);
    }

    /** The same as a factor. */
    public double noiseFactor() {
        return Decibels.ratio(noiseFigureDb);
    }

    /** The loss that, before this receiver, would cost as much as a run does: see {@link Cascade}. */
    public double equivalentLossDb(RunAssessment a) {
        return Cascade.equivalentLossDb(a, this);
    }

    /** The same at the angle of the load that is worst. */
    public double equivalentLossAtWorstAngleDb(RunAssessment a) {
        return Cascade.equivalentLossAtWorstAngleDb(a, this);
    }

    /**
     * The same of runs that are drawn again and again, as what is left of the power in each draw.
     *
     * @param run on the branch at hand
     * @param leftOfEach what is left behind each element, a row an element
     */
    public double[] equivalentLeft(Run run, Radio radio, double[][] leftOfEach) {
        return Cascade.equivalentLeft(run, radio, leftOfEach, this);
    }

    /**
     * What a run costs in signal-to-noise ratio against a lossless one: {@code 10·log10[(f_a − 1 + f) / (f_a − 1 + f_r)]}, where
     * f is the noise factor of everything behind the antenna, l·f_r for a loss l at 290 K (ITU-R P.372-8, 2003, equations 2 to
     * 5; Microwave Engineering, 4th edition, section 10.2).
     *
     * @param externalFactor f_a
     * @param lossDb of run and matching unit; not reflection or foldback. With amplifiers what is equivalent to them
     * @return dB; negative where an amplifier brings more than the run takes
     */
    public double penaltyDb(double externalFactor, double lossDb) {
        double behindAntenna = Decibels.ratio(lossDb) * noiseFactor();
        return Decibels.ofPower((externalFactor - 1 + behindAntenna) / (externalFactor - 1 + noiseFactor()));
    }

    /**
     * The loss at which the penalty comes to a given figure: {@link #penaltyDb} turned round.
     *
     * @return dB; negative where not even a lossless run would do, negative infinity where no run could
     */
    public double lossAtPenaltyDb(double externalFactor, double penaltyDb) {
        double behindAntenna = Decibels.ratio(penaltyDb) * (externalFactor - 1 + noiseFactor()) - (externalFactor - 1);
        return behindAntenna > 0 ? Decibels.ofPower(behindAntenna / noiseFactor()) : Double.NEGATIVE_INFINITY;
    }
}
