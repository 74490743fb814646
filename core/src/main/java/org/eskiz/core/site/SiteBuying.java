package org.eskiz.core.site;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.stream.IntStream;
import org.eskiz.core.kit.CutPlan;
import org.eskiz.core.unit.Require;

/**
 * Which cable to buy for each of several runs, so that all of them together cost least. What is sold in whole lengths is shared
 * among the runs: a cable that is not the cheapest for any of them may be for all.
 *
 * <p>A search through the options of each run, the run that needs most first; a branch is left where what it costs already, or what
 * its metres cost at least, comes to no less than the best that was found.
 */
public final class SiteBuying {

    /** After so many choices that were looked at, about a second, the best that was found is answered. */
    public static final long MOST_STEPS = 200_000;

    private static final double ROUNDING = 1e-9;

    private final List<Needed> runs;
    private final Map<String, Sold> sold;
    private final long mostSteps;
    private final Map<CutsOfCable, Double> costs = new HashMap<>();
    private final double[] laterAtLeast;
    private Option[] best = {};
    private double least = Double.POSITIVE_INFINITY;
    private boolean isEveryPackingProven = true;
    private boolean stopped;
    private long steps;

    /**
     * A run.
     *
     * @param name by which it is told from others
     * @param options at least one; each would do what is asked of the run
     */
    public record Needed(String name, List<Option> options) {

        public Needed {
            options = List.copyOf(options);
            if (options.isEmpty()) {
                throw new IllegalArgumentException("a run needs at least one option, not 0: " + name);
            }
        }
    }

    /**
     * One way to build a run.
     *
     * @param name of what is chosen
     * @param cuts what is cut for it, each in one piece
     * @param otherCost of all else that is bought for it: connectors, joints, devices
     * @param piece of the locker that is used, and by no other run; empty for none
     */
    public record Option(String name, List<Cut> cuts, double otherCost, Optional<String> piece) {

        public Option {
            cuts = List.copyOf(cuts);
            Require.notNegative("cost", otherCost);
        }
    }

    /** A piece of one cable to be cut, allowances included. */
    public record Cut(String cable, double lengthM) {

        public Cut {
            Require.positive("length in m", lengthM);
        }
    }

    /**
     * How a cable is sold.
     *
     * @param pricePerM of what is bought
     * @param inM whole lengths it is sold in; empty for by the metre
     * @param atHandM reels of it that are there already
     * @param offer a reel of it that is on offer besides; empty for none
     */
    public record Sold(double pricePerM, OptionalDouble inM, List<Double> atHandM, Optional<Offer> offer) {

        public Sold {
            Require.notNegative("price per m", pricePerM);
            atHandM = List.copyOf(atHandM);
        }

        /** Without a reel on offer. */
        public Sold(double pricePerM, OptionalDouble inM, List<Double> atHandM) {
            this(pricePerM, inM, atHandM, Optional.empty());
        }

        double leastPricePerM() {
            return offer.map(o -> Math.min(pricePerM, o.price() / o.lengthM())).orElse(pricePerM);
        }
    }

    /** A whole reel at a price of its own. */
    public record Offer(double lengthM, double price) {

        public Offer {
            Require.positive("length in m", lengthM);
            Require.notNegative("price", price);
        }
    }

    /**
     * How some cuts of one cable are bought.
     *
     * @param cost of it
     * @param boughtM by the metre or in the lengths it is sold in
     * @param reels of the offer
     * @param isProven whether nothing is cheaper
     */
    public record Way(double cost, double boughtM, int reels, boolean isProven) {}

    /**
     * What to buy.
     *
     * @param chosen one option a run, in their order
     * @param cost all together
     * @param isProven whether nothing is cheaper
     */
    public record Answer(List<Option> chosen, double cost, boolean isProven) {

        public Answer {
            chosen = List.copyOf(chosen);
        }
    }

    private record CutsOfCable(String cable, List<Double> lengthsM) {}

    private SiteBuying(List<Needed> runs, Map<String, Sold> sold, long mostSteps) {
        this.runs = runs;
        this.sold = sold;
        this.mostSteps = mostSteps;
        this.laterAtLeast = new double[runs.size() + 1];
        for (int i = runs.size() - 1; i >= 0; i--) {
            double cheapest = runs.get(i).options().stream()
                    .mapToDouble(this::costsAtLeast)
                    .min()
                    .orElseThrow();
            laterAtLeast[i] = laterAtLeast[i + 1] + cheapest;
        }
    }

    /**
     * The cheapest way for all runs together; empty where a cut of one of them is longer than anything that its cables come in.
     *
     * @param sold every cable that an option names
     * @param mostSteps after which the best that was found is answered; usually {@link #MOST_STEPS}
     */
    public static Optional<Answer> together(List<Needed> runs, Map<String, Sold> sold, long mostSteps) {
        List<Integer> order = IntStream.range(0, runs.size())
                .boxed()
                .sorted(Comparator.comparingDouble(i -> -longestM(runs.get(i))))
                .toList();
        var search = new SiteBuying(order.stream().map(runs::get).toList(), sold, mostSteps);
        search.choose(0, new Option[runs.size()]);
        if (!runs.isEmpty() && search.best.length == 0) {
            return Optional.empty();
        }
        Option[] inOrder = new Option[runs.size()];
        for (int i = 0; i < order.size(); i++) {
            inOrder[order.get(i)] = search.best[i];
        }
        return Optional.of(
                new Answer(Arrays.asList(inOrder), search.least, !search.stopped && search.isEveryPackingProven));
    }

    /**
     * Each run by itself, as if there were no other: the cheapest of its options. What is left of one length serves no other run,
     * a piece serves the first run that takes it, and reels at hand are left where they are.
     */
    public static Optional<Answer> apart(List<Needed> runs, Map<String, Sold> sold) {
        List<Option> chosen = new ArrayList<>();
        Set<String> taken = new HashSet<>();
        double cost = 0;
        for (Needed run : runs) {
            List<Option> free = run.options().stream()
                    .filter(o ->
                            o.piece().isEmpty() || !taken.contains(o.piece().get()))
                    .toList();
            Optional<Answer> alone = free.isEmpty()
                    ? Optional.empty()
                    : together(List.of(new Needed(run.name(), free)), withoutReels(sold), MOST_STEPS);
            if (alone.isEmpty()) {
                return alone;
            }
            Option own = alone.get().chosen().get(0);
            chosen.add(own);
            own.piece().ifPresent(taken::add);
            cost += alone.get().cost();
        }
        return Optional.of(new Answer(chosen, cost, true));
    }

    /** One cable for all runs; empty where there is none that every run has among its options. */
    public static Optional<Answer> oneForAll(List<Needed> runs, Map<String, Sold> sold, long mostSteps) {
        return runs.stream()
                .limit(1)
                .flatMap(r -> r.options().stream())
                .filter(o -> o.piece().isEmpty())
                .map(Option::name)
                .distinct()
                .filter(name -> runs.stream().allMatch(r -> named(r, name).isPresent()))
                .flatMap(name -> together(
                        runs.stream()
                                .map(r -> new Needed(
                                        r.name(), List.of(named(r, name).get())))
                                .toList(),
                        sold,
                        mostSteps)
                        .stream())
                .min(Comparator.comparingDouble(Answer::cost));
    }

    private static Optional<Option> named(Needed run, String name) {
        return run.options().stream()
                .filter(o -> o.piece().isEmpty() && o.name().equals(name))
                .findFirst();
    }

    private static Map<String, Sold> withoutReels(Map<String, Sold> sold) {
        Map<String, Sold> without = new HashMap<>();
        sold.forEach((cable, s) -> without.put(cable, new Sold(s.pricePerM(), s.inM(), List.of(), s.offer())));
        return without;
    }

    private static double longestM(Needed run) {
        return run.options().stream()
                .flatMap(o -> o.cuts().stream())
                .mapToDouble(Cut::lengthM)
                .max()
                .orElse(0);
    }

    /** By the metre: whole lengths cost no less than what is cut from them. */
    private double costsAtLeast(Option option) {
        return option.otherCost()
                + option.cuts().stream()
                        .mapToDouble(c -> sold(c.cable()).atHandM().isEmpty()
                                ? sold(c.cable()).leastPricePerM() * c.lengthM()
                                : 0)
                        .sum();
    }

    private Sold sold(String cable) {
        return Objects.requireNonNull(sold.get(cable), () -> "nobody says how " + cable + " is sold");
    }

    private void choose(int run, Option[] chosen) {
        steps++;
        stopped |= steps >= mostSteps;
        if (run == chosen.length) {
            double cost = cost(chosen, run);
            if (cost < least - ROUNDING) {
                least = cost;
                best = chosen.clone();
            }
            return;
        }
        List<Option> cheapestFirst = runs.get(run).options().stream()
                .sorted(Comparator.comparingDouble(this::costsAtLeast))
                .toList();
        for (Option option : cheapestFirst) {
            if (stopped && best.length > 0) {
                return;
            }
            if (isFree(option, chosen, run)) {
                chosen[run] = option;
                if (atLeast(chosen, run + 1) < least - ROUNDING) {
                    choose(run + 1, chosen);
                }
            }
        }
    }

    private static boolean isFree(Option option, Option[] chosen, int run) {
        return option.piece().isEmpty()
                || IntStream.range(0, run).noneMatch(i -> chosen[i].piece().equals(option.piece()));
    }

    private double atLeast(Option[] chosen, int run) {
        double byMetres = laterAtLeast[run];
        for (int i = 0; i < run; i++) {
            byMetres += costsAtLeast(chosen[i]);
        }
        return Math.max(byMetres, cost(chosen, run));
    }

    private double cost(Option[] chosen, int run) {
        double cost = 0;
        Map<String, List<Double>> cuts = new HashMap<>();
        for (int i = 0; i < run; i++) {
            cost += chosen[i].otherCost();
            chosen[i]
                    .cuts()
                    .forEach(c -> cuts.computeIfAbsent(c.cable(), name -> new ArrayList<>())
                            .add(c.lengthM()));
        }
        for (Map.Entry<String, List<Double>> of : cuts.entrySet()) {
            of.getValue().sort(Comparator.reverseOrder());
            cost += costs.computeIfAbsent(new CutsOfCable(of.getKey(), List.copyOf(of.getValue())), this::cost);
        }
        return cost;
    }

    private double cost(CutsOfCable cuts) {
        Way way = cheapest(sold(cuts.cable()), cuts.lengthsM());
        isEveryPackingProven &= way.isProven();
        return way.cost();
    }

    /**
     * The cheapest way to buy some cuts of one cable: with none of the reels on offer, with one, and so on. It costs infinitely
     * much where a cut is longer than any length that there is.
     */
    public static Way cheapest(Sold from, List<Double> cutsM) {
        Way best = way(from, cutsM, 0);
        for (int reels = 1; from.offer().isPresent() && reels <= cutsM.size(); reels++) {
            Way more = way(from, cutsM, reels);
            boolean isProven = best.isProven() && more.isProven();
            Way cheaper = more.cost() < best.cost() - ROUNDING ? more : best;
            best = new Way(cheaper.cost(), cheaper.boughtM(), cheaper.reels(), isProven);
        }
        return best;
    }

    private static Way way(Sold from, List<Double> cutsM, int reels) {
        List<CutPlan.Reel> there = new ArrayList<>();
        from.atHandM().forEach(m -> there.add(new CutPlan.Reel("", m, false)));
        for (int i = 0; i < reels; i++) {
            there.add(new CutPlan.Reel("", from.offer().orElseThrow().lengthM(), false));
        }
        double ofReels = reels * from.offer().map(Offer::price).orElse(0.0);
        if (there.isEmpty() && from.inM().isEmpty()) {
            double wholeM = cutsM.stream().mapToDouble(m -> m).sum();
            return new Way(from.pricePerM() * wholeM, wholeM, 0, true);
        }
        CutPlan plan = CutPlan.of(
                cutsM.stream().map(m -> new CutPlan.Cut("", m)).toList(),
                there,
                from.inM().orElse(0),
                CutPlan.MOST_STEPS / 100);
        double uncutM = plan.uncut().stream().mapToDouble(CutPlan.Cut::lengthM).sum();
        boolean isImpossible = from.inM().isPresent() && uncutM > 0;
        double boughtM = from.inM().isEmpty() ? uncutM : plan.boughtM();
        return new Way(
                isImpossible ? Double.POSITIVE_INFINITY : ofReels + from.pricePerM() * boughtM,
                boughtM,
                reels,
                plan.isProven());
    }
}
