package org.eskiz.core.kit;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.eskiz.core.unit.Require;

/**
 * Which piece to cut from which reel.
 *
 * <p>Least waste means, in this order: least bought anew; least of the reels begun that one has; the longest single rest, since one
 * long rest is worth more than several short ones.
 *
 * @param begun reels that something is cut from, in the order given
 * @param uncut what no reel is long enough for, or had room for
 * @param isProven whether nothing less is wasted by any other plan
 */
public record CutPlan(List<Begun> begun, List<Cut> uncut, boolean isProven) {

    private static final double ROUNDING_M = 1e-9;

    /** After so many looks at a reel, well under a second, the best plan found so far is answered. */
    public static final long MOST_STEPS = 10_000_000;

    public CutPlan {
        begun = List.copyOf(begun);
        uncut = List.copyOf(uncut);
    }

    /**
     * A piece to be cut.
     *
     * @param name what it is for
     * @param lengthM allowances included, above 0
     */
    public record Cut(String name, double lengthM) {

        public Cut {
            Require.positive("length in m", lengthM);
        }
    }

    /**
     * A reel.
     *
     * @param name what the operator calls it
     * @param lengthM on it, above 0
     * @param isBought whether it would have to be bought first
     */
    public record Reel(String name, double lengthM, boolean isBought) {

        public Reel {
            Require.positive("length in m", lengthM);
        }
    }

    /** A reel and what is cut from it, the longest first. */
    public record Begun(Reel reel, List<Cut> cuts, double leftM) {}

    /** What is bought anew, m. */
    public double boughtM() {
        return begun.stream()
                .filter(b -> b.reel().isBought())
                .mapToDouble(b -> b.reel().lengthM())
                .sum();
    }

    /** What is left on the reels begun, m. */
    public double leftM() {
        return begun.stream().mapToDouble(Begun::leftM).sum();
    }

    /** The longest single rest, m. */
    public double longestRestM() {
        return begun.stream().mapToDouble(Begun::leftM).max().orElse(0);
    }

    /**
     * The best plan for the cuts. What is longer than the longest reel is left uncut, and what there is no room for.
     *
     * @param owned reels at hand
     * @param soldInM length of reels that can be bought; 0 for none
     * @param mostSteps after which the best that was found is answered; usually {@link #MOST_STEPS}
     */
    public static CutPlan of(List<Cut> cuts, List<Reel> owned, double soldInM, long mostSteps) {
        double longestM = Math.max(
                soldInM, owned.stream().mapToDouble(Reel::lengthM).max().orElse(0));
        List<Cut> longestFirst = cuts.stream()
                .sorted(Comparator.comparingDouble(Cut::lengthM).reversed())
                .toList();
        List<Cut> possible = longestFirst.stream()
                .filter(c -> c.lengthM() <= longestM + ROUNDING_M)
                .toList();
        List<Reel> reels = new ArrayList<>(owned);
        for (int i = 0; soldInM > 0 && i < possible.size(); i++) {
            reels.add(new Reel("new " + (i + 1), soldInM, true));
        }
        var search = new Search(possible, reels, mostSteps);
        CutPlan plan = search.run();
        List<Cut> uncut = new ArrayList<>(longestFirst);
        plan.begun().forEach(b -> b.cuts().forEach(uncut::remove));
        return new CutPlan(plan.begun(), uncut, plan.isProven());
    }

    private static final class Search {

        private final List<Cut> cuts;
        private final List<Reel> reels;
        private final long mostSteps;
        private final double[] leftM;
        private final int[] reelOf;
        private final double[] laterM;
        private int[] best;
        private Waste least = Waste.BOUNDLESS;
        private boolean stopped;
        private long steps;

        Search(List<Cut> cuts, List<Reel> reels, long mostSteps) {
            this.cuts = cuts;
            this.reels = reels;
            this.mostSteps = mostSteps;
            this.leftM = reels.stream().mapToDouble(Reel::lengthM).toArray();
            this.reelOf = new int[cuts.size()];
            this.laterM = new double[cuts.size() + 1];
            for (int i = cuts.size() - 1; i >= 0; i--) {
                laterM[i] = laterM[i + 1] + cuts.get(i).lengthM();
            }
            this.best = new int[0];
        }

        CutPlan run() {
            place(0, Waste.NONE);
            List<Begun> begun = new ArrayList<>();
            for (int r = 0; r < reels.size(); r++) {
                List<Cut> of = new ArrayList<>();
                for (int c = 0; c < best.length; c++) {
                    if (best[c] == r) {
                        of.add(cuts.get(c));
                    }
                }
                if (!of.isEmpty()) {
                    double cutM = of.stream().mapToDouble(Cut::lengthM).sum();
                    begun.add(
                            new Begun(reels.get(r), of, Math.max(0, reels.get(r).lengthM() - cutM)));
                }
            }
            return new CutPlan(begun, List.of(), !stopped);
        }

        /** Puts a cut on every reel that has room for it, those begun first; and, if all else is worse, on none. */
        private void place(int cut, Waste waste) {
            steps += reels.size();
            stopped |= steps >= mostSteps;
            if (cut == cuts.size()) {
                keep(waste);
                return;
            }
            Set<Double> triedLeft = new HashSet<>();
            for (boolean begun : new boolean[] {true, false}) {
                for (int r = 0; r < reels.size() && !stopped; r++) {
                    if (isBegun(r) == begun
                            && leftM[r] >= cuts.get(cut).lengthM() - ROUNDING_M
                            && isNew(r, triedLeft)) {
                        put(cut, r, waste);
                    }
                }
            }
            Waste without = waste.plus(Waste.uncut(cuts.get(cut)));
            if (!stopped && without.withRest(longestPossibleRest()).isLessThan(least)) {
                reelOf[cut] = -1;
                place(cut + 1, without);
            }
        }

        /** Two reels alike are one choice: as much left, begun or not, bought or not. */
        private boolean isNew(int reel, Set<Double> triedLeft) {
            double sign = reels.get(reel).isBought() ? -1 : 1;
            return triedLeft.add(isBegun(reel) ? sign * leftM[reel] : sign * (leftM[reel] + 1e7));
        }

        private void put(int cut, int reel, Waste waste) {
            Waste after = isBegun(reel) ? waste : waste.plus(Waste.begun(reels.get(reel)));
            double before = leftM[reel];
            leftM[reel] = before - cuts.get(cut).lengthM();
            reelOf[cut] = reel;
            if (after.plus(atLeast(cut + 1)).withRest(longestPossibleRest()).isLessThan(least)) {
                place(cut + 1, after);
            }
            leftM[reel] = before;
        }

        /** What has to be begun yet, since the room on the reels begun is less than what is still to be cut. */
        private Waste atLeast(int from) {
            double room = 0;
            Waste cheapest = Waste.BOUNDLESS;
            for (int r = 0; r < reels.size(); r++) {
                if (isBegun(r)) {
                    room += leftM[r];
                } else if (Waste.begun(reels.get(r)).isLessThan(cheapest)) {
                    cheapest = Waste.begun(reels.get(r));
                }
            }
            boolean isBeginning = laterM[from] > room + ROUNDING_M && cheapest != Waste.BOUNDLESS;
            return isBeginning ? cheapest : Waste.NONE;
        }

        private double longestPossibleRest() {
            double most = 0;
            for (double left : leftM) {
                most = Math.max(most, left);
            }
            return most;
        }

        private boolean isBegun(int reel) {
            return leftM[reel] < reels.get(reel).lengthM();
        }

        private void keep(Waste waste) {
            double rest = 0;
            for (int r = 0; r < reels.size(); r++) {
                rest = isBegun(r) ? Math.max(rest, leftM[r]) : rest;
            }
            Waste whole = waste.withRest(rest);
            if (whole.isLessThan(least)) {
                least = whole;
                best = reelOf.clone();
            }
        }
    }

    /**
     * What a plan wastes, worst first: only where plans are equal in one is the next looked at.
     *
     * @param restM the longest single rest, which is no waste
     */
    private record Waste(double uncutM, double boughtM, double begunM, double restM) {

        static final Waste NONE = new Waste(0, 0, 0, 0);
        static final Waste BOUNDLESS = new Waste(Double.POSITIVE_INFINITY, 0, 0, 0);

        static Waste uncut(Cut cut) {
            return new Waste(cut.lengthM(), 0, 0, 0);
        }

        static Waste begun(Reel reel) {
            return reel.isBought() ? new Waste(0, reel.lengthM(), 0, 0) : new Waste(0, 0, reel.lengthM(), 0);
        }

        Waste plus(Waste other) {
            return new Waste(uncutM + other.uncutM, boughtM + other.boughtM, begunM + other.begunM, 0);
        }

        Waste withRest(double longestM) {
            return new Waste(uncutM, boughtM, begunM, longestM);
        }

        boolean isLessThan(Waste other) {
            double[] mine = {uncutM, boughtM, begunM, -restM};
            double[] theirs = {other.uncutM, other.boughtM, other.begunM, -other.restM};
            for (int i = 0; i < mine.length; i++) {
                if (Math.abs(mine[i] - theirs[i]) > ROUNDING_M) {
                    return mine[i] < theirs[i];
                }
            }
            return false;
        }
    }
}
