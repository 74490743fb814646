package org.eskiz.core.bench;

import java.util.List;

/**
 * A test as it was noted.
 *
 * @param rows in their order
 * @param bandsMHz at which a sweep is asked for its losses; empty for no special ones
 */
public record BenchTest(
        TestSubject subject, List<TestRow> rows, Wattmeter meter, TestSweeps sweeps, List<Double> bandsMHz) {

    public BenchTest {
        rows = List.copyOf(rows);
        bandsMHz = List.copyOf(bandsMHz);
    }
}
