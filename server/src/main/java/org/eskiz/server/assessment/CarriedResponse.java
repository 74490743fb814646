package org.eskiz.server.assessment;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** What was measured at the radio, carried through the run to the antenna: one for each band, in order. */
public record CarriedResponse(List<CarriedLoadResponse> loads) {

    /**
     * The antenna at one frequency.
     *
     * @param resistanceOhm of the antenna; null where only an SWR was measured, or nothing can be said
     * @param swrAtRadio as it was measured
     * @param swrAtAntenna of the antenna; where only an SWR was measured, that of the mean over all angles
     * @param whyNot null where something can be said
     */
    public record CarriedLoadResponse(
            double frequencyMHz,
            @Nullable Double resistanceOhm,
            @Nullable Double reactanceOhm,
            @Nullable Double swrAtRadio,
            @Nullable Double swrAtAntenna,
            @Nullable String whyNot) {}
}
