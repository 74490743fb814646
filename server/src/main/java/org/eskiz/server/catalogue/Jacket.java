package org.eskiz.server.catalogue;

import java.util.Locale;
import java.util.Set;

/** What the material of a jacket says. */
final class Jacket {

    /** Polyethylene, its thermoplastic elastomers and fluoropolymers hardly take up water. */
    private static final Set<String> TIGHT = Set.of("PE", "TPE", "FEP", "PTFE", "PUR");

    /** Polyvinyl chloride lets some through in time, whatever its plasticiser. */
    private static final Set<String> PERMEABLE = Set.of("PVC", "PVC-IIA");

    private Jacket() {}

    /** Whether it bears standing in the wet; null for a material that is not known here. */
    static Boolean keepsWaterOut(String material) {
        String known = material == null ? "" : material.toUpperCase(Locale.ROOT);
        return TIGHT.contains(known) ? Boolean.TRUE : PERMEABLE.contains(known) ? Boolean.FALSE : null;
    }
}
