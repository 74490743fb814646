package org.eskiz.core.run;

import java.util.Locale;

/** What was measured would be an antenna that sends back more than it gets. */
public final class ImpossibleLoadException extends IllegalArgumentException {

    private ImpossibleLoadException(String message) {
        super(message);
    }

    static ImpossibleLoadException behindTheRun(Load.Impedance atRadio, double frequencyMHz) {
        return new ImpossibleLoadException(String.format(
                Locale.ROOT,
                "%.4g Ω and %.4g Ω at the radio cannot be at %s MHz: behind this run no antenna shows that. It loses more than it should, or was measured elsewhere",
                atRadio.resistanceOhm(),
                atRadio.reactanceOhm(),
                frequencyMHz));
    }

    static ImpossibleLoadException inTheTable(double reflection, double frequencyMHz) {
        return new ImpossibleLoadException(String.format(
                Locale.ROOT,
                "at %s MHz the table has a reflection of %.3f, where an antenna must stay below 1",
                frequencyMHz,
                reflection));
    }
}
