package org.eskiz.core.site;

import org.eskiz.core.unit.Physics;
import org.eskiz.core.unit.Require;

/**
 * Two lines that are fed in phase, or with a stated difference, on one frequency: {@code 360·f·(l1/vf1 − l2/vf2)/c} degrees
 * (Microwave Engineering, 4th edition, section 2.1: βl, with β = 2πf/(vf·c)).
 *
 * @param frequencyMHz where they are fed
 * @param first one line
 * @param second the other, by whose phase that of the first is told
 */
public record InPhase(double frequencyMHz, Line first, Line second) {

    /** A line that is another by the temperature changes its electrical length by so much for each K; of foamed plastics. */
    public static final double USUAL_DRIFT_PER_K = 50e-6;

    public InPhase {
        Require.positive("frequency in MHz", frequencyMHz);
    }

    /**
     * A line as it is known.
     *
     * @param lengthM what it is cut to
     * @param velocityFactor its own
     * @param lengthOffM by how much the cut may be off, as one takes 95 %
     * @param velocityFactorOff likewise, as a fraction of it; that of two lines from one reel is the same
     */
    public record Line(double lengthM, double velocityFactor, double lengthOffM, double velocityFactorOff) {

        public Line {
            Require.notNegative("length in m", lengthM);
            Require.positive("velocity factor", velocityFactor);
            Require.notNegative("tolerance of the length in m", lengthOffM);
            Require.notNegative("tolerance of the velocity factor", velocityFactorOff);
        }

        /** As long as light goes meanwhile, m. */
        double electricalM() {
            return lengthM / velocityFactor;
        }
    }

    private double degreesPerElectricalM() {
        return 360 * frequencyMHz * 1e6 / Physics.SPEED_OF_LIGHT;
    }

    /** By how much the first line is electrically longer, degrees; whole turns count. */
    public double differenceDegrees() {
        return degreesPerElectricalM() * (first.electricalM() - second.electricalM());
    }

    /** How far the phase is off what is wanted, −180 to 180 degrees. */
    public double errorDegrees(double wantedDegrees) {
        return nearest(differenceDegrees() - wantedDegrees);
    }

    private static double nearest(double degrees) {
        return degrees - 360 * Math.rint(degrees / 360);
    }

    /**
     * By how much it may be off for what is not known of lengths and velocity factors, degrees; independent of each other, but
     * for one reel, whose velocity factor is off the same way in both.
     *
     * @param sameReel whether both are cut from one reel
     */
    public double toleranceDegrees(boolean sameReel) {
        double lengths = Math.hypot(first.lengthOffM / first.velocityFactor, second.lengthOffM / second.velocityFactor);
        double ofFirst = first.electricalM() * first.velocityFactorOff;
        double ofSecond = second.electricalM() * second.velocityFactorOff;
        double factors = sameReel ? Math.abs(ofFirst - ofSecond) : Math.hypot(ofFirst, ofSecond);
        return degreesPerElectricalM() * Math.hypot(lengths, factors);
    }

    /**
     * The length of the second line at which the difference is the one wanted, nearest to the one it has.
     *
     * @return m
     */
    public double secondLengthM(double wantedDegrees) {
        double off = errorDegrees(wantedDegrees);
        return second.lengthM + off / degreesPerElectricalM() * second.velocityFactor;
    }

    /**
     * How much one line drifts against the other while it is so much warmer, degrees.
     *
     * @param warmerK the first than the second; between two lines of one length side by side, 0
     * @param driftPerK of the electrical length
     */
    public double driftDegrees(double warmerK, double driftPerK) {
        return degreesPerElectricalM() * first.electricalM() * driftPerK * warmerK;
    }

    /**
     * What to cut off after both lines were measured, so that the difference is the one wanted: a line gets shorter and never
     * longer, so it is the one that is too long.
     *
     * @param firstNs what was measured of the first: its delay
     * @param secondNs likewise
     */
    public Trim trim(double firstNs, double secondNs, double wantedDegrees) {
        double degrees = nearest(360 * frequencyMHz * 1e-3 * (firstNs - secondNs) - wantedDegrees);
        Line tooLong = degrees > 0 ? first : second;
        double offM = Math.abs(degrees) / degreesPerElectricalM() * tooLong.velocityFactor;
        return new Trim(degrees > 0, offM, degrees);
    }

    /**
     * What to cut off.
     *
     * @param ofFirst whether the first line is the one that is too long
     * @param cutM how much of it
     * @param errorDegrees before it is cut
     */
    public record Trim(boolean ofFirst, double cutM, double errorDegrees) {}
}
