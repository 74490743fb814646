package org.eskiz.core.choice;

/** Whether a cable belongs into the place that is to be filled, whatever its loss; the best first. */
public enum Suitability {
    /** Coaxial, of the impedance that stands there. */
    SUITED,
    /** Coaxial, of another impedance: the line will transform the load. */
    OTHER_IMPEDANCE,
    /** A balanced line: it needs a transformer or a balanced matching unit at an unbalanced radio. */
    BALANCED;

    /** Nominal impedances this near to each other count as one: 50 and 52 Ω are sold as the same. */
    private static final double SAME_WITHIN = 0.1;

    static Suitability of(Candidate candidate, double nominalOhm) {
        if (candidate.balanced()) {
            return BALANCED;
        }
        double apart = Math.abs(candidate.cable().impedanceOhm() - nominalOhm);
        return apart <= SAME_WITHIN * nominalOhm ? SUITED : OTHER_IMPEDANCE;
    }
}
