package org.eskiz.core.kit;

import org.eskiz.core.unit.Require;

/**
 * A place that a set of lengths shall serve.
 *
 * @param name what the operator calls it
 * @param lengthM least length of the run there, above 0
 * @param visits how often it is set up there, at least 1: its loss counts so many times
 */
public record Site(String name, double lengthM, int visits) {

    public Site {
        Require.positive("length in m", lengthM);
        if (visits < 1) {
            throw new IllegalArgumentException("visits must be at least 1, not " + visits);
        }
    }
}
