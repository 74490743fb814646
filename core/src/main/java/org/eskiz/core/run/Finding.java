package org.eskiz.core.run;

import java.util.OptionalInt;

/** What an operator should know about a run that can be computed and still may not work as it stands. */
public sealed interface Finding {

    /** An element is used above what is known of it. */
    record Extrapolated(int element) implements Finding {}

    /** Neighbours do not belong together. */
    record Junction(LineJunction junction) implements Finding {}

    /** A piece is of another length than it stands with in the run: it has a new end since. */
    record OtherLength(int element, double lengthM, double inRunM) implements Finding {}

    /** A cable with a centre of copper-clad steel loses more here than the square-root law says. */
    record CopperCladSteel(int element) implements Finding {}

    /** What a transformer loses at this SWR is an estimate: a real core is limited by its own voltage and current. */
    record TransformerEstimated(int element, double lossDb) implements Finding {}

    /**
     * Nobody has said what a part bears.
     *
     * @param element its index; empty for the matching unit
     */
    record RatingUnknown(OptionalInt element) implements Finding {}

    /** An SWR that no antenna has: nothing is connected, or something is broken. */
    record NoLoad(double swr, double fromSwr) implements Finding {}

    /** A radio without a matching unit sees an SWR at which many reduce their power. */
    record RadioSeesSwr(double swr, double bearsSwr) implements Finding {}

    /** An SWR with which the matching unit does not cope. */
    record BeyondMatchingUnit(double swr, double upToSwr) implements Finding {}

    /** The line is flat behind a unit at the antenna, but not of the radio's impedance. */
    record ReflectsAtRadio(double reflectionLossDb, double swrAtRadio) implements Finding {}

    /** What is sent goes round a preamplifier, and loses so much there. */
    record PreamplifierBypassed(int element, double lossDb) implements Finding {}
}
