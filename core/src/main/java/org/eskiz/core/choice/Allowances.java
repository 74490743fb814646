package org.eskiz.core.choice;

import org.eskiz.core.unit.Require;

/**
 * What is cut longer than the run.
 *
 * @param eachEndM for stripping and a second try, at either end
 * @param dripLoopM so that water runs off before the entry
 * @param serviceLoopM so that an end can be renewed
 */
public record Allowances(double eachEndM, double dripLoopM, double serviceLoopM) {

    public static final Allowances NONE = new Allowances(0, 0, 0);

    public Allowances {
        Require.notNegative("allowance at each end in m", eachEndM);
        Require.notNegative("drip loop in m", dripLoopM);
        Require.notNegative("service loop in m", serviceLoopM);
    }

    /** What to cut for a run of so many m. */
    public double toCutM(double runM) {
        return runM + 2 * eachEndM + dripLoopM + serviceLoopM;
    }
}
