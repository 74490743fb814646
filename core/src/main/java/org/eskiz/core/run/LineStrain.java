package org.eskiz.core.run;

/**
 * What one line gets at the worst angle of the load: as {@link LineTracer} has it at its peaks, in plain numbers, since a ledger
 * follows hundreds of lines at dozens of angles.
 */
final class LineStrain {

    /** Damped more than this, α over β, the hump of a wave lies beside its crest. */
    private static final double MOST_DAMPED = 0.01;

    private final double lengthM;
    private final double alpha;
    private final double beta;
    private final double ohmReal;
    private final double ohmImag;
    private final EndStates antennaEnd;
    private final double[] scale;

    /** e^{2α·length}, by which a wave grows toward the radio. */
    private final double growth;

    /**
     * A line.
     *
     * @param antennaEnd the states behind it
     * @param scale what each has to be multiplied by
     */
    LineStrain(Element.Line line, Conditions at, EndStates antennaEnd, double[] scale) {
        LineConstants constants = LineConstants.of(line.cable(), at.frequencyMHz(), at.ambientC());
        this.lengthM = line.lengthM();
        this.alpha = constants.gamma().real();
        this.beta = constants.gamma().imag();
        this.ohmReal = constants.z0().real();
        this.ohmImag = constants.z0().imag();
        this.antennaEnd = antennaEnd;
        this.scale = scale;
        this.growth = Math.exp(2 * alpha * lengthM);
    }

    /** The largest voltage, V. */
    double maxVoltageRms() {
        return Math.sqrt(greatest(1, 1));
    }

    /** The matched power that would heat the line as much as its hottest spot is heated, W; see {@link LineWaves#heat}. */
    double equivalentMatchedPowerW() {
        double squaredOhm = ohmReal * ohmReal + ohmImag * ohmImag;
        double ofCurrent = (alpha * ohmReal - beta * ohmImag) / squaredOhm;
        double ofVoltage = (alpha * ohmReal + beta * ohmImag) / squaredOhm;
        return alpha > 0 ? greatest(ofVoltage + ofCurrent, ofVoltage - ofCurrent) / (2 * alpha) : 0;
    }

    /**
     * The greatest value of what {@link LineWaves} draws along the line. Where the wave is not much damped it is worked out
     * exactly at one angle of the load only: the one at which it is greatest on its crests, not told from its neighbours by
     * less than a thousandth. An angle at which all waves together would not reach what was found is passed by.
     */
    private double greatest(double ofEach, double ofBoth) {
        boolean isDamped = alpha > MOST_DAMPED * beta;
        double most = Double.NEGATIVE_INFINITY;
        Ripple worst = null;
        for (int k = 0; k < scale.length; k++) {
            double drivenReal = antennaEnd.currentReal(k) * ohmReal - antennaEnd.currentImag(k) * ohmImag;
            double drivenImag = antennaEnd.currentReal(k) * ohmImag + antennaEnd.currentImag(k) * ohmReal;
            double half = scale[k] / 2;
            double forwardReal = half * (antennaEnd.voltageReal(k) + drivenReal);
            double forwardImag = half * (antennaEnd.voltageImag(k) + drivenImag);
            double backwardReal = half * (antennaEnd.voltageReal(k) - drivenReal);
            double backwardImag = half * (antennaEnd.voltageImag(k) - drivenImag);
            double forward = forwardReal * forwardReal + forwardImag * forwardImag;
            double backward = backwardReal * backwardReal + backwardImag * backwardImag;
            double ripple = 2 * ofBoth * Math.sqrt(forward * backward);
            if (ofEach * (forward * growth + backward) + Math.abs(ripple) > most) {
                Ripple along = new Ripple(
                        ofEach * forward,
                        ofEach * backward,
                        ripple,
                        Math.atan2(
                                forwardImag * backwardReal - forwardReal * backwardImag,
                                forwardReal * backwardReal + forwardImag * backwardImag),
                        2 * alpha,
                        2 * beta);
                double here = isDamped ? along.greatest(lengthM).value() : along.nearlyGreatest(lengthM, growth);
                if (worst == null || here > most) {
                    most = here;
                    worst = along;
                }
            }
        }
        return isDamped || worst == null ? most : worst.greatest(lengthM).value();
    }
}
