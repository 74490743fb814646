package org.eskiz.server.exchange;

import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a file says at the frequencies asked for.
 *
 * @param rows how many it has
 * @param loads one for each frequency, in order
 */
public record LoadFileResponse(int rows, double lowestMHz, double highestMHz, List<ReadLoadResponse> loads) {

    /**
     * The antenna at one frequency: an impedance, or an SWR where the file has no more; nothing where the file does not
     * reach.
     *
     * @param resistanceOhm null where only an SWR is known, or nothing
     * @param swr at the antenna; null where an impedance is known, or nothing
     * @param referenceOhm impedance in which the SWR is meant
     * @param whyNot null where something is known
     */
    public record ReadLoadResponse(
            double frequencyMHz,
            @Nullable Double resistanceOhm,
            @Nullable Double reactanceOhm,
            @Nullable Double swr,
            @Nullable Double referenceOhm,
            @Nullable String whyNot) {}
}
