package org.eskiz.core.bench;

import java.util.OptionalDouble;

/** A row of readings as it was noted, which may not be complete yet. */
public sealed interface TestRow {

    OptionalDouble frequencyMHz();

    /** Where it was another length than that of the test. */
    OptionalDouble lengthM();

    /** A loss that another instrument has told. */
    record OfLoss(OptionalDouble frequencyMHz, OptionalDouble lengthM, OptionalDouble lossDb) implements TestRow {}

    /**
     * Return losses of one end that another instrument has told, with the far end open and with it shorted: the way there and
     * back, so half of one, or a quarter of both, is the loss.
     */
    record OfReturnLoss(
            OptionalDouble frequencyMHz, OptionalDouble lengthM, OptionalDouble openDb, OptionalDouble shortedDb)
            implements TestRow {}

    /**
     * A wattmeter, without the cable and through it.
     *
     * @param baseline as it was typed, empty for not yet
     * @param through likewise
     * @param baselineAfter the baseline once more after that; empty where it was not read again
     */
    record OfPower(
            OptionalDouble frequencyMHz, OptionalDouble lengthM, String baseline, String through, String baselineAfter)
            implements TestRow {}
}
