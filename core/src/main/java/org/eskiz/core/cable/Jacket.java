package org.eskiz.core.cable;

import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** What the material of a jacket says. */
public final class Jacket {

    /** Polyethylene, its thermoplastic elastomers and fluoropolymers hardly take up water. */
    private static final Set<String> TIGHT = Set.of("PE", "TPE", "FEP", "PTFE", "PUR");

    /** Polyvinyl chloride lets some through in time, whatever its plasticiser. */
    private static final Set<String> PERMEABLE = Set.of("PVC", "PVC-IIA");

    private Jacket() {}

    /** Whether it bears standing in the wet; empty for a material that is not known here. */
    public static Optional<Boolean> keepsWaterOut(String material) {
        String known = material.toUpperCase(Locale.ROOT);
        return TIGHT.contains(known)
                ? Optional.of(true)
                : PERMEABLE.contains(known) ? Optional.of(false) : Optional.empty();
    }
}
