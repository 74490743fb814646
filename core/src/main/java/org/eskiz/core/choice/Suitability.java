package org.eskiz.core.choice;

import org.eskiz.core.cable.NominalImpedance;

/** Whether a cable belongs into the place that is to be filled, whatever its loss; the best first. */
public enum Suitability {
    /** Coaxial, of the impedance that stands there. */
    SUITED,
    /** Coaxial, of another impedance: the line will transform the load. */
    OTHER_IMPEDANCE,
    /** A balanced line: it needs a transformer or a balanced matching unit at an unbalanced radio. */
    BALANCED;

    static Suitability of(Candidate candidate, double nominalOhm) {
        if (candidate.balanced()) {
            return BALANCED;
        }
        return NominalImpedance.isSame(candidate.cable().impedanceOhm(), nominalOhm) ? SUITED : OTHER_IMPEDANCE;
    }
}
