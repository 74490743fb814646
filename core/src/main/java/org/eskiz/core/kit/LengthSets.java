package org.eskiz.core.kit;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.TreeSet;
import org.eskiz.core.unit.Require;

/**
 * Which few lengths of one cable serve several sites best. Each site takes the pieces of the set that reach it with the least
 * loss, joints between them included; pieces stay in the bag where they are not needed.
 *
 * <p>Lengths are whole steps. Where there are no more than {@value #MOST_LENGTHS} of them up to the farthest site, all are tried;
 * else those that sites need, alone or less another site, rounded up.
 */
public final class LengthSets {

    /** As many pieces as a set may have. */
    public static final int MOST_PIECES = 6;

    private static final int MOST_LENGTHS = 48;
    private static final double ROUNDING_M = 1e-9;

    /** After so many choices of pieces at a site, well under a second, a search answers the best that it found. */
    public static final long MOST_STEPS = 100_000_000;

    private final Wanted wanted;
    private final double[] lengths;
    private final long mostSteps;
    private final double farthestM;
    private final int visits;
    private boolean isEveryLengthTried;
    private boolean stopped;
    private long steps;
    private long tried;

    /**
     * What is wanted.
     *
     * @param sites at least one
     * @param lossDbPerM of the cable, on the band that decides
     * @param couplingLossDb of joining two of its pieces
     * @param massKgPerM of the cable
     * @param stepM lengths are whole steps of so many m
     * @param mostPieces in the set
     * @param lightestFirst whether least mass is wanted, and least loss among equals; else the other way round
     */
    public record Wanted(
            List<Site> sites,
            double lossDbPerM,
            double couplingLossDb,
            double massKgPerM,
            double stepM,
            int mostPieces,
            boolean lightestFirst) {

        public Wanted {
            sites = List.copyOf(sites);
            if (sites.isEmpty()) {
                throw new IllegalArgumentException("a set of lengths needs at least one site, not 0");
            }
            Require.notNegative("loss in dB per m", lossDbPerM);
            Require.notNegative("loss of a coupling in dB", couplingLossDb);
            Require.notNegative("mass in kg per m", massKgPerM);
            Require.positive("step in m", stepM);
            if (mostPieces < 1 || mostPieces > MOST_PIECES) {
                throw new IllegalArgumentException("pieces must be 1 to " + MOST_PIECES + ", not " + mostPieces);
            }
        }
    }

    /**
     * A set of lengths.
     *
     * @param lengthsM the longest first
     * @param uses one a site, in their order
     * @param meanLossDb over all visits
     * @param worstLossDb at the site that loses most
     * @param massKg of all its pieces
     */
    public record LengthSet(
            List<Double> lengthsM, List<Use> uses, double meanLossDb, double worstLossDb, double massKg) {}

    /**
     * What one site takes of a set.
     *
     * @param lengthsM the longest first
     * @param lossDb cable and couplings between pieces
     * @param leftOverM how much longer that is than needed
     */
    public record Use(List<Double> lengthsM, double lossDb, double leftOverM) {}

    /**
     * The best of each size.
     *
     * @param best one for each number of pieces, from 1 on, as long as one piece more loses less; fewer where the steps were used up before
     * @param isProven whether nothing better can be made: every length was tried, in every set
     */
    public record Result(List<LengthSet> best, boolean isProven, long setsTried) {}

    /**
     * Searches.
     *
     * @param mostSteps after which the best that was found is answered; usually {@link #MOST_STEPS}
     */
    public static Result search(Wanted wanted, long mostSteps) {
        return new LengthSets(wanted, mostSteps).run();
    }

    private LengthSets(Wanted wanted, long mostSteps) {
        this.wanted = wanted;
        this.mostSteps = mostSteps;
        this.farthestM =
                wanted.sites().stream().mapToDouble(Site::lengthM).max().orElseThrow();
        this.visits = wanted.sites().stream().mapToInt(Site::visits).sum();
        this.lengths = lengths();
    }

    private double[] lengths() {
        long steps = steps(farthestM);
        TreeSet<Long> wholeSteps = new TreeSet<>(Comparator.reverseOrder());
        isEveryLengthTried = steps <= MOST_LENGTHS;
        if (isEveryLengthTried) {
            for (long i = 1; i <= steps; i++) {
                wholeSteps.add(i);
            }
        } else {
            for (Site a : wanted.sites()) {
                wholeSteps.add(steps(a.lengthM()));
                wholeSteps.add(steps(a.lengthM() / 2));
                wanted.sites().stream()
                        .filter(b -> b.lengthM() < a.lengthM())
                        .forEach(b -> wholeSteps.add(steps(a.lengthM() - b.lengthM())));
            }
        }
        return wholeSteps.stream().mapToDouble(i -> i * wanted.stepM()).toArray();
    }

    private long steps(double lengthM) {
        return (long) Math.ceil(lengthM / wanted.stepM() - ROUNDING_M);
    }

    private Result run() {
        List<LengthSet> best = new ArrayList<>();
        for (int size = 1; size <= wanted.mostPieces() && !stopped; size++) {
            Best ofSize = new Best();
            choose(new double[size], 0, 0, 0, ofSize);
            if (ofSize.lengths.length > 0 && isWorthAPiece(meanLossDb(ofSize.lengths), best)) {
                best.add(set(ofSize.lengths));
            }
        }
        return new Result(best, !stopped && isEveryLengthTried, tried);
    }

    /** One piece more is carried only for less loss. */
    private static boolean isWorthAPiece(double meanLossDb, List<LengthSet> smaller) {
        return smaller.isEmpty() || meanLossDb < smaller.get(smaller.size() - 1).meanLossDb() - ROUNDING_M;
    }

    private static final class Best {
        double first = Double.POSITIVE_INFINITY;
        double second = Double.POSITIVE_INFINITY;
        double[] lengths = {};
    }

    /** Fills a set from the longest down; {@code from} is the first length that the next piece may have. */
    private void choose(double[] set, int filled, int from, double sumM, Best best) {
        if (filled == set.length) {
            weigh(set, sumM, best);
            return;
        }
        for (int i = from; i < lengths.length && !stopped; i++) {
            double mostM = sumM + lengths[i] * (set.length - filled);
            if (mostM < farthestM - ROUNDING_M) {
                return;
            }
            set[filled] = lengths[i];
            choose(set, filled + 1, i, sumM + lengths[i], best);
        }
    }

    private void weigh(double[] set, double sumM, Best best) {
        tried++;
        steps += (long) wanted.sites().size() << set.length;
        stopped = steps >= mostSteps;
        double first = wanted.lightestFirst() ? sumM : meanLossDb(set);
        if (first > best.first + ROUNDING_M) {
            return;
        }
        double second = wanted.lightestFirst() ? meanLossDb(set) : sumM;
        if (first < best.first - ROUNDING_M || second < best.second) {
            best.first = first;
            best.second = second;
            best.lengths = set.clone();
        }
    }

    private double meanLossDb(double[] set) {
        double[] sums = sums(set);
        double sum = 0;
        for (Site site : wanted.sites()) {
            sum += site.visits() * lossDb(sums, takenBy(site, sums));
        }
        return sum / visits;
    }

    /** Length of every choice of pieces; bit i of the index stands for piece i. */
    private static double[] sums(double[] set) {
        double[] sums = new double[1 << set.length];
        for (int choice = 1; choice < sums.length; choice++) {
            int lowest = Integer.numberOfTrailingZeros(choice);
            sums[choice] = sums[choice & (choice - 1)] + set[lowest];
        }
        return sums;
    }

    private int takenBy(Site site, double[] sums) {
        int best = sums.length - 1;
        for (int choice = 1; choice < sums.length; choice++) {
            if (sums[choice] >= site.lengthM() - ROUNDING_M && lossDb(sums, choice) < lossDb(sums, best)) {
                best = choice;
            }
        }
        return best;
    }

    private double lossDb(double[] sums, int choice) {
        return sums[choice] * wanted.lossDbPerM() + (Integer.bitCount(choice) - 1) * wanted.couplingLossDb();
    }

    private LengthSet set(double[] set) {
        double[] sums = sums(set);
        List<Use> uses = wanted.sites().stream()
                .map(s -> {
                    int choice = takenBy(s, sums);
                    return new Use(chosen(set, choice), lossDb(sums, choice), sums[choice] - s.lengthM());
                })
                .toList();
        return new LengthSet(
                Arrays.stream(set).boxed().toList(),
                uses,
                meanLossDb(set),
                uses.stream().mapToDouble(Use::lossDb).max().orElseThrow(),
                sums[sums.length - 1] * wanted.massKgPerM());
    }

    private static List<Double> chosen(double[] set, int choice) {
        List<Double> chosen = new ArrayList<>();
        for (int i = 0; i < set.length; i++) {
            if ((choice >> i & 1) == 1) {
                chosen.add(set[i]);
            }
        }
        return chosen;
    }
}
