package org.eskiz.core.choice;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.Iterator;
import java.util.List;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * The best ways to fill the sections of a run with different cables.
 *
 * @param rows the best first, no more than were wanted
 * @param proven whether every mix was tried or could be left out without trying
 * @param tried how many were worked out
 */
public record Mixes(List<Row> rows, boolean proven, int tried) {

    /** As many as can be ordered by cost before the first is worked out. */
    private static final long MOST_ORDERED = 200_000;

    public Mixes {
        rows = List.copyOf(rows);
    }

    /**
     * How many mixes.
     *
     * @param wanted as many are answered at most
     * @param tried as many are worked out at most; ten times as many are looked at without
     */
    public record Bounds(int wanted, int tried) {

        private static final int LOOKED_AT = 10;

        private boolean areMet(int triedSoFar, long lookedAt) {
            return triedSoFar >= tried || lookedAt >= (long) LOOKED_AT * tried;
        }
    }

    /**
     * Tries mixes, the cheapest first where there are few enough of them to be put in order, until all are tried or as many as
     * there may be: the same on every machine.
     *
     * @param comparison a run with at least two sections
     * @param candidates what may fill them; those of another impedance are left out
     * @param beforeEach run before each; what it throws ends the search
     */
    public static Mixes search(
            Comparison comparison,
            List<Candidate> candidates,
            Preference preference,
            Bounds bounds,
            Runnable beforeEach) {
        int wanted = bounds.wanted();
        Comparator<Row> order = preference.order();
        List<Candidate> suited = candidates.stream()
                .filter(c -> comparison.offer(comparison.place().everywhere(c)).suitability() == Suitability.SUITED)
                .toList();
        List<Row> best = new ArrayList<>();
        int tried = 0;
        long lookedAt = 0;
        Iterator<List<Candidate>> fillings = fillings(comparison, suited).iterator();
        while (fillings.hasNext()) {
            List<Candidate> filling = fillings.next();
            if (bounds.areMet(tried, lookedAt++)) {
                return new Mixes(best, false, tried);
            }
            beforeEach.run();
            if (canStillBeBest(comparison, filling, best, preference, wanted)) {
                tried++;
                best.add(comparison.row(filling));
                best.sort(order);
                if (best.size() > wanted) {
                    best.remove(wanted);
                }
            }
        }
        return new Mixes(best, true, tried);
    }

    private static Stream<List<Candidate>> fillings(Comparison comparison, List<Candidate> candidates) {
        int sections = comparison.place().sections().size();
        double all = Math.pow(candidates.size(), sections);
        Stream<List<Candidate>> mixes = IntStream.iterate(0, i -> i < all, i -> i + 1)
                .mapToObj(i -> filling(candidates, sections, i))
                .filter(f -> f.stream().distinct().count() > 1);
        return all > MOST_ORDERED
                ? mixes
                : mixes.sorted(Comparator.comparing(f -> comparison.offer(f).cost(), Costs.KNOWN_AND_LEAST_FIRST));
    }

    /** The digits of a number to the base of how many candidates there are. */
    private static List<Candidate> filling(List<Candidate> candidates, int sections, int number) {
        List<Candidate> filling = new ArrayList<>();
        int rest = number;
        for (int i = 0; i < sections; i++) {
            filling.add(candidates.get(rest % candidates.size()));
            rest /= candidates.size();
        }
        return filling;
    }

    /** Whether a mix is worth working out, by what is known without its loss. */
    private static boolean canStillBeBest(
            Comparison comparison, List<Candidate> filling, List<Row> best, Preference preference, int wanted) {
        if (best.size() < wanted || best.get(wanted - 1).verdict() != Verdict.PASS) {
            return true;
        }
        Quotation offer = comparison.offer(filling);
        boolean isRefused =
                comparison.judged(offer).stream().anyMatch(r -> r.cause().verdict() != Verdict.PASS);
        boolean isDearer = preference.isByCost()
                && Costs.KNOWN_AND_LEAST_FIRST.compare(
                                offer.cost(), best.get(wanted - 1).cost())
                        > 0;
        return !isRefused && !isDearer;
    }
}
