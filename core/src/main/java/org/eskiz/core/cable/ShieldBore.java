package org.eskiz.core.cable;

import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import org.eskiz.core.unit.Require;

/**
 * How wide the shield of a coaxial cable is within, as well as it is known.
 *
 * @param mm above 0
 */
public record ShieldBore(double mm, Known known) {

    /** Jacket and braid take the rest: a rule of thumb, for where nobody says. */
    private static final double SHARE_OF_A_BRAIDED_CABLE = 0.65;

    /** Where the figure comes from. */
    public enum Known {
        /** Somebody says so. */
        STATED,
        /** A usual share of the outer diameter of a braided cable. */
        USUAL_OF_BRAIDED,
        /** No more than the outer diameter is known: the shield is thinner still. */
        AT_MOST
    }

    public ShieldBore {
        Require.positive("bore of the shield in mm", mm);
    }

    /** As far as it is known: stated, a usual share of a braided cable, or the outer diameter; empty where that is not known. */
    public static Optional<ShieldBore> of(OptionalDouble statedMm, OptionalDouble outerDiameterMm, String shield) {
        if (statedMm.isPresent()) {
            return Optional.of(new ShieldBore(statedMm.getAsDouble(), Known.STATED));
        }
        if (outerDiameterMm.isEmpty()) {
            return Optional.empty();
        }
        double across = outerDiameterMm.getAsDouble();
        return Optional.of(
                shield.toLowerCase(Locale.ROOT).contains("braid")
                        ? new ShieldBore(SHARE_OF_A_BRAIDED_CABLE * across, Known.USUAL_OF_BRAIDED)
                        : new ShieldBore(across, Known.AT_MOST));
    }
}
