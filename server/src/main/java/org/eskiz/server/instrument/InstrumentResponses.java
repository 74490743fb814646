package org.eskiz.server.instrument;

import java.util.List;
import org.jspecify.annotations.Nullable;

/** What instruments answer. */
final class InstrumentResponses {

    private InstrumentResponses() {}

    /** What stands at an address. */
    enum InstrumentKind {
        ANALYSER,
        WATTMETER
    }

    /**
     * An instrument.
     *
     * @param calibrated whether an analyser is; null for a wattmeter
     * @param shelf labels of the pieces that a stand-in can measure; empty for a real one
     * @param cable label of the connected one; null for a real one
     */
    record IdentityResponse(
            String identity,
            InstrumentKind kind,
            @Nullable Boolean calibrated,
            List<String> shelf,
            @Nullable String cable) {}

    /** Ports on this machine; null for one that was not started. */
    record StandInsResponse(
            @Nullable Integer analyserPort, @Nullable Integer wattmeterPort) {}

    record CalibrationResponse(boolean calibrated) {}

    record SweepProgressResponse(int percent) {}

    /**
     * A reading.
     *
     * @param text power, as one would note it: {@code 97.8-98.9}
     * @param transmitterOff always true: a radio that does not confirm that it is off is an error
     */
    record ReadingTakenResponse(String text, boolean transmitterOff) {}

    /**
     * Radios that were keyed and did not confirm that they are off.
     *
     * @param addresses where they are; empty when all are off
     */
    record KeyedResponse(List<String> addresses) {}

    /** What a piece of the shelf really is. */
    record RevealedResponse(String label, String truth) {}
}
