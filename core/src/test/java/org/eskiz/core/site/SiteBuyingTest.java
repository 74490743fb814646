package org.eskiz.core.site;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class SiteBuyingTest {

    private static final SiteBuying.Sold BY_THE_METRE = new SiteBuying.Sold(2, OptionalDouble.empty(), List.of());

    private static SiteBuying.Option cable(String name, double... cutsM) {
        List<SiteBuying.Cut> cuts = new ArrayList<>();
        for (double m : cutsM) {
            cuts.add(new SiteBuying.Cut(name, m));
        }
        return new SiteBuying.Option(name, cuts, 0, Optional.empty());
    }

    private static SiteBuying.Needed run(String name, SiteBuying.Option... options) {
        return new SiteBuying.Needed(name, List.of(options));
    }

    private static SiteBuying.Answer together(List<SiteBuying.Needed> runs, Map<String, SiteBuying.Sold> sold) {
        return SiteBuying.together(runs, sold, SiteBuying.MOST_STEPS).orElseThrow();
    }

    /** A reel of 100 m at 1.50 is dearer than 40 m by the metre at 2, and cheaper than 95 m. */
    @Test
    void aReelThatIsTooMuchForOneRunIsEnoughForAll() {
        Map<String, SiteBuying.Sold> sold =
                Map.of("metre", BY_THE_METRE, "reel", new SiteBuying.Sold(1.5, OptionalDouble.of(100), List.of()));
        List<SiteBuying.Needed> runs = List.of(
                run("a", cable("metre", 40), cable("reel", 40)),
                run("b", cable("metre", 30), cable("reel", 30)),
                run("c", cable("metre", 25), cable("reel", 25)));
        assertThat(SiteBuying.apart(runs, sold).orElseThrow().cost()).isCloseTo(190, within(1e-9));
        SiteBuying.Answer together = together(runs, sold);
        assertThat(together.cost()).isCloseTo(150, within(1e-9));
        assertThat(together.chosen()).extracting(SiteBuying.Option::name).containsOnly("reel");
        assertThat(together.isProven()).isTrue();
        assertThat(SiteBuying.oneForAll(runs, sold, SiteBuying.MOST_STEPS)
                        .orElseThrow()
                        .cost())
                .isCloseTo(150, within(1e-9));
    }

    /** 95 m by the metre are 190; a reel of 100 m on offer at 170 is less, and for 30 m alone too much. */
    @Test
    void aReelOnOfferIsBoughtWhereItPays() {
        var offered =
                new SiteBuying.Sold(2, OptionalDouble.empty(), List.of(), Optional.of(new SiteBuying.Offer(100, 170)));
        assertThat(SiteBuying.cheapest(offered, List.of(40.0, 30.0, 25.0)))
                .isEqualTo(new SiteBuying.Way(170, 0, 1, true));
        assertThat(SiteBuying.cheapest(offered, List.of(30.0)).reels()).isZero();
        assertThat(SiteBuying.cheapest(offered, List.of(80.0, 40.0)).cost()).isCloseTo(240, within(1e-9));
        assertThat(SiteBuying.cheapest(offered, List.of(70.0, 30.0, 10.0)).cost())
                .isCloseTo(190, within(1e-9));
    }

    @Test
    void whatIsThereIsNotBought() {
        var piece = new SiteBuying.Option("old", List.of(), 3, Optional.of("p1"));
        List<SiteBuying.Needed> runs =
                List.of(run("a", cable("metre", 10), piece), run("b", cable("metre", 20), piece));
        SiteBuying.Answer answer = together(runs, Map.of("metre", BY_THE_METRE));
        // the piece saves 40 less 3 in b and 20 less 3 in a, and can lie in one of them only
        assertThat(answer.cost()).isCloseTo(23, within(1e-9));
        assertThat(answer.chosen()).extracting(SiteBuying.Option::name).containsExactly("metre", "old");
        var withReel = Map.of("metre", new SiteBuying.Sold(2, OptionalDouble.empty(), List.of(25.0)));
        assertThat(together(List.of(run("a", cable("metre", 10)), run("b", cable("metre", 20))), withReel)
                        .cost())
                .isCloseTo(20, within(1e-9));
    }

    @Test
    void whatIsLongerThanAnyLengthCannotBeCut() {
        var sold = Map.of("reel", new SiteBuying.Sold(1, OptionalDouble.of(25), List.of()));
        assertThat(SiteBuying.together(List.of(run("a", cable("reel", 26))), sold, 1000))
                .isEmpty();
        assertThat(SiteBuying.apart(List.of(run("a", cable("reel", 26))), sold)).isEmpty();
    }

    static List<Long> seeds() {
        return IntStream.range(0, 50).mapToObj(i -> 7919L * i + 17).toList();
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void nothingIsCheaperThanWhatIsFound(long seed) {
        var random = new Random(seed);
        Map<String, SiteBuying.Sold> sold = new HashMap<>();
        for (String name : List.of("x", "y", "z")) {
            sold.put(
                    name,
                    new SiteBuying.Sold(
                            1 + random.nextInt(20) / 10.0,
                            random.nextBoolean()
                                    ? OptionalDouble.of(20 + 5 * random.nextInt(5))
                                    : OptionalDouble.empty(),
                            random.nextInt(4) == 0 ? List.of(5.0 + random.nextInt(15)) : List.of(),
                            random.nextInt(2) == 0
                                    ? Optional.of(
                                            new SiteBuying.Offer(15 + random.nextInt(30), 10 + random.nextInt(40)))
                                    : Optional.empty()));
        }
        List<SiteBuying.Needed> runs = new ArrayList<>();
        for (int i = 0; i < 2 + random.nextInt(3); i++) {
            double m = 1 + random.nextInt(19);
            double second = random.nextBoolean() ? 1 + random.nextInt(6) : 0;
            List<SiteBuying.Option> options = new ArrayList<>();
            for (String name : sold.keySet()) {
                List<SiteBuying.Cut> cuts = new ArrayList<>(List.of(new SiteBuying.Cut(name, m)));
                if (second > 0) {
                    cuts.add(new SiteBuying.Cut("x", second));
                }
                options.add(new SiteBuying.Option(name, cuts, random.nextInt(5), Optional.empty()));
            }
            if (random.nextInt(3) == 0) {
                options.add(new SiteBuying.Option("piece", List.of(), 1, Optional.of("p")));
            }
            runs.add(new SiteBuying.Needed("r" + i, options));
        }
        SiteBuying.Answer found = together(runs, sold);
        assertThat(found.isProven()).isTrue();
        assertThat(found.cost()).isCloseTo(cheapest(runs, sold, 0, new ArrayList<>()), within(1e-9));
    }

    /** Every choice of options, every way to cut. */
    private static double cheapest(
            List<SiteBuying.Needed> runs, Map<String, SiteBuying.Sold> sold, int run, List<SiteBuying.Option> chosen) {
        if (run == runs.size()) {
            return cost(chosen, sold);
        }
        double least = Double.POSITIVE_INFINITY;
        for (SiteBuying.Option option : runs.get(run).options()) {
            boolean isTaken = option.piece().isPresent()
                    && chosen.stream().anyMatch(c -> c.piece().equals(option.piece()));
            if (!isTaken) {
                List<SiteBuying.Option> more = new ArrayList<>(chosen);
                more.add(option);
                least = Math.min(least, cheapest(runs, sold, run + 1, more));
            }
        }
        return least;
    }

    private static double cost(List<SiteBuying.Option> chosen, Map<String, SiteBuying.Sold> sold) {
        double cost = chosen.stream().mapToDouble(SiteBuying.Option::otherCost).sum();
        for (Map.Entry<String, SiteBuying.Sold> cable : sold.entrySet()) {
            List<Double> cutsM = chosen.stream()
                    .flatMap(o -> o.cuts().stream())
                    .filter(c -> c.cable().equals(cable.getKey()))
                    .map(SiteBuying.Cut::lengthM)
                    .sorted(Comparator.reverseOrder())
                    .toList();
            cost += cheapest(
                    cable.getValue(), cutsM, 0, new ArrayList<>(cable.getValue().atHandM()));
        }
        return cost;
    }

    /** Each cut from each reel with room, from a new length or a reel on offer, or by the metre. */
    private static double cheapest(SiteBuying.Sold from, List<Double> cutsM, int cut, List<Double> leftM) {
        if (cut == cutsM.size()) {
            return 0;
        }
        double m = cutsM.get(cut);
        double least = Double.POSITIVE_INFINITY;
        for (int r = 0; r < leftM.size(); r++) {
            if (leftM.get(r) >= m) {
                List<Double> after = new ArrayList<>(leftM);
                after.set(r, leftM.get(r) - m);
                least = Math.min(least, cheapest(from, cutsM, cut + 1, after));
            }
        }
        if (from.inM().isEmpty()) {
            least = Math.min(least, from.pricePerM() * m + cheapest(from, cutsM, cut + 1, leftM));
        } else if (m <= from.inM().getAsDouble()) {
            List<Double> after = new ArrayList<>(leftM);
            after.add(from.inM().getAsDouble() - m);
            double length = from.pricePerM() * from.inM().getAsDouble();
            least = Math.min(least, length + cheapest(from, cutsM, cut + 1, after));
        }
        if (from.offer().isPresent() && m <= from.offer().get().lengthM()) {
            List<Double> after = new ArrayList<>(leftM);
            after.add(from.offer().get().lengthM() - m);
            least = Math.min(least, from.offer().get().price() + cheapest(from, cutsM, cut + 1, after));
        }
        return least;
    }
}
