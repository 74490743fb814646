package org.eskiz.core.bench;

import java.util.Optional;

/** The sweeps of a test, as far as they are there. */
public sealed interface TestSweeps {

    /** None are wanted: it is a test by single readings. */
    record None() implements TestSweeps {}

    /** From one end to the other. */
    record Through(Optional<Sweep> sweep) implements TestSweeps {}

    /**
     * From one end.
     *
     * @param isTerminated whether there is one into a load, which tells places and no losses
     */
    record OneEnd(Optional<Sweep> open, Optional<Sweep> shorted, boolean isTerminated) implements TestSweeps {}
}
