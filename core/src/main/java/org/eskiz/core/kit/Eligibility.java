package org.eskiz.core.kit;

import java.util.Optional;
import java.util.Set;
import org.eskiz.core.cable.NominalImpedance;

/**
 * Which pieces may go into a kit.
 *
 * @param stationOhm impedance that the run has where the kit goes
 * @param leftOut ids of pieces that the operator wants left out
 * @param withFailing whether pieces that fail may be taken
 */
public record Eligibility(double stationOhm, Set<String> leftOut, boolean withFailing) {

    public Eligibility {
        leftOut = Set.copyOf(leftOut);
    }

    /** How a piece stands. */
    public enum Condition {
        SOUND,
        FAILING,
        RETIRED
    }

    /**
     * A piece as far as this matters.
     *
     * @param isOut whether it is under way, at a site or with somebody
     * @param line what it is made of; empty where it was never measured and nobody knows its type
     * @param hasKnownEnds whether it is known what both its ends are
     */
    public record Candidate(String id, Condition condition, boolean isOut, Optional<Line> line, boolean hasKnownEnds) {}

    /** Balanced or coaxial, and its nominal impedance. */
    public record Line(boolean balanced, double impedanceOhm) {}

    /** Why a piece is not used. */
    public enum Exclusion {
        /** The operator said so. */
        ASKED,
        RETIRED,
        OUT,
        FAILING,
        /** Nobody knows what it ends in. */
        ENDS_UNKNOWN,
        /** It was never measured, and nobody knows its type. */
        LOSS_UNKNOWN,
        /** It is of another impedance than the run, or balanced. */
        OTHER_LINE
    }

    /** Why a piece may not go in, the plainest reason first; empty where it may. */
    public Optional<Exclusion> exclusion(Candidate piece) {
        if (leftOut.contains(piece.id)) {
            return Optional.of(Exclusion.ASKED);
        } else if (piece.condition == Condition.RETIRED) {
            return Optional.of(Exclusion.RETIRED);
        } else if (piece.isOut) {
            return Optional.of(Exclusion.OUT);
        } else if (piece.line.isEmpty()) {
            return Optional.of(Exclusion.LOSS_UNKNOWN);
        } else if (!piece.hasKnownEnds) {
            return Optional.of(Exclusion.ENDS_UNKNOWN);
        } else if (!fits(piece.line.get())) {
            return Optional.of(Exclusion.OTHER_LINE);
        }
        return piece.condition == Condition.FAILING && !withFailing ? Optional.of(Exclusion.FAILING) : Optional.empty();
    }

    private boolean fits(Line line) {
        return !line.balanced && NominalImpedance.isSame(line.impedanceOhm, stationOhm);
    }
}
