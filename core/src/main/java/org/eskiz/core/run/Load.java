package org.eskiz.core.run;

import java.util.Optional;
import java.util.OptionalDouble;
import org.eskiz.core.unit.Require;

/** What is known of the antenna on one band. */
public sealed interface Load {

    /**
     * A measured or computed impedance.
     *
     * @param resistanceOhm above 0
     * @param reactanceOhm any finite number; positive is inductive
     */
    record Impedance(double resistanceOhm, double reactanceOhm) implements Load {

        public Impedance {
            Require.positive("resistance in ohm", resistanceOhm);
            Require.finite("reactance in ohm", reactanceOhm);
        }
    }

    /**
     * An SWR measured at the antenna: the reflection's angle is unknown.
     *
     * @param swr at least 1
     * @param referenceOhm impedance it is measured in; empty for the radio's
     */
    record SwrAtAntenna(double swr, OptionalDouble referenceOhm) implements Load {

        public SwrAtAntenna {
            Require.atLeast("SWR", swr, 1);
            referenceOhm.ifPresent(z -> Require.positive("reference in ohm", z));
        }

        /** In the radio's impedance. */
        public SwrAtAntenna(double swr) {
            this(swr, OptionalDouble.empty());
        }
    }

    /**
     * An SWR read at the radio's end of a run; a lossy run flatters it. The reading belongs to the run that hung there on the
     * day: the antenna does not change because a cable does.
     *
     * @param swr at least 1
     * @param referenceOhm impedance it is measured in; empty for the radio's
     * @param through the run it was read through; empty for the run at hand
     */
    record SwrAtRadio(double swr, OptionalDouble referenceOhm, Optional<Run> through) implements Load {

        public SwrAtRadio {
            Require.atLeast("SWR", swr, 1);
            referenceOhm.ifPresent(z -> Require.positive("reference in ohm", z));
        }

        /** In the radio's impedance, through the run at hand. */
        public SwrAtRadio(double swr) {
            this(swr, OptionalDouble.empty(), Optional.empty());
        }
    }
}
