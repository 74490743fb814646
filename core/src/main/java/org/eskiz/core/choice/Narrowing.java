package org.eskiz.core.choice;

import java.util.ArrayList;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.function.Predicate;

/**
 * What is left of very many candidates once those are left out that could not be a plain pass, whatever else is asked: a line
 * of quite another impedance, and one whose sheet ends below what it is for. Of a few, all are worth a row.
 *
 * @param left those that are worth a row
 * @param leftOut how many are not, and why
 */
public record Narrowing(List<Candidate> left, Map<Why, Integer> leftOut) {

    /** Of so many all are worth a row. */
    public static final int FEW = 200;

    /** Farther than by this part from the line that it would replace, a line is another kind of line. */
    private static final double OTHER_KIND = 0.25;

    /** Why a candidate is left out. */
    public enum Why {
        /** Its impedance is more than a quarter off that of the line that stands there. */
        OTHER_IMPEDANCE,
        /** Its figures on the highest band are a guess from beyond its sheet. */
        SHEET_ENDS_BELOW
    }

    /**
     * Narrows what may be chosen; where a reason would leave nothing, it leaves out nothing.
     *
     * @param stays what is worth a row in any case
     * @param lineOhm impedance of the line that stands there
     */
    public static Narrowing of(
            List<Candidate> candidates, Predicate<Candidate> stays, double lineOhm, double highestMHz) {
        if (candidates.size() <= FEW) {
            return new Narrowing(candidates, Map.of());
        }
        Map<Why, Integer> leftOut = new EnumMap<>(Why.class);
        List<Candidate> left = candidates;
        left = without(
                left,
                stays,
                Why.OTHER_IMPEDANCE,
                c -> Math.abs(c.cable().impedanceOhm() / lineOhm - 1) > OTHER_KIND,
                leftOut);
        left = without(
                left,
                stays,
                Why.SHEET_ENDS_BELOW,
                c -> c.cable().sheet().filter(s -> s.endsBelow(highestMHz)).isPresent(),
                leftOut);
        return new Narrowing(left, leftOut);
    }

    private static List<Candidate> without(
            List<Candidate> some,
            Predicate<Candidate> stays,
            Why why,
            Predicate<Candidate> cannotPass,
            Map<Why, Integer> leftOut) {
        List<Candidate> left = new ArrayList<>(some);
        left.removeIf(c -> !stays.test(c) && cannotPass.test(c));
        boolean isAnyLeft = left.stream().anyMatch(c -> !stays.test(c));
        if (!isAnyLeft || left.size() == some.size()) {
            return some;
        }
        leftOut.put(why, some.size() - left.size());
        return left;
    }
}
