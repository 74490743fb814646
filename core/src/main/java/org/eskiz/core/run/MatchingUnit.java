package org.eskiz.core.run;

import java.util.OptionalDouble;
import org.eskiz.core.unit.Require;

/**
 * What is known of a matching unit besides its loss.
 *
 * @param upToSwr the largest SWR with which it copes
 * @param isRangeStated whether the operator says so; else it is an assumption
 * @param isBalanced whether a balanced line may be joined to it as it is
 * @param averagePowerW that it bears; empty where nobody has said
 */
public record MatchingUnit(double upToSwr, boolean isRangeStated, boolean isBalanced, OptionalDouble averagePowerW) {

    /** What a unit is taken for of which nothing is said: one that is built into a radio. */
    public static final double ASSUMED_UP_TO_SWR = 3;

    /** Of which nothing is said. */
    public static final MatchingUnit UNSTATED =
            new MatchingUnit(ASSUMED_UP_TO_SWR, false, false, OptionalDouble.empty());

    public MatchingUnit {
        Require.atLeast("SWR that the matching unit copes with", upToSwr, 1);
        averagePowerW.ifPresent(p -> Require.positive("average power in W", p));
    }

    /** Of a stated range. */
    public static MatchingUnit upTo(double swr) {
        return new MatchingUnit(swr, true, false, OptionalDouble.empty());
    }
}
