package org.eskiz.core.choice;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.core.unit.Decibels;

/**
 * One way to fill the place of the chosen cable: with one cable throughout, or in a mix with another in each section.
 *
 * @param filling the cable in each section, radio's end first
 * @param suitability whether they belong there at all
 * @param cells one a band, in order
 * @param ofRun what is the matter with the run as a whole
 * @param cost cable for the replaced sections and their ends, as often as it is bought; empty when a price is missing or
 *     currencies differ
 * @param massKg mass of the replaced sections; empty when not known
 * @param chance how sure it is; empty where nobody has asked
 */
public record Row(
        List<Candidate> filling,
        Suitability suitability,
        List<Cell> cells,
        List<Reason> ofRun,
        Optional<Money> cost,
        OptionalDouble massKg,
        Optional<Chance> chance) {

    public Row {
        filling = List.copyOf(filling);
        cells = List.copyOf(cells);
        ofRun = List.copyOf(ofRun);
    }

    /** The same with how sure it is. */
    Row withChance(Chance drawn) {
        return new Row(filling, suitability, cells, ofRun, cost, massKg, Optional.of(drawn));
    }

    /** The share of runs like it that would pass; 0 where nobody has asked. */
    double chanceShare() {
        return chance.map(Chance::share).orElse(0.0);
    }

    /** Whether it fails for what no deviation makes good: what it costs or weighs, what it fits, what its parts bear. */
    boolean isRuledOut() {
        return allReasons().anyMatch(r -> r.cause().verdict() == Verdict.FAIL && !r.isOfWhatArrives());
    }

    /** Whether it is marginal for what arrives, which is another in every run like it, and not for what it costs or bears. */
    public boolean isMarginalByChance() {
        return verdict() == Verdict.MARGINAL
                && reasons().stream().limit(1).anyMatch(r -> r.isOfWhatArrives() && r.cause() != Reason.Cause.UNKNOWN);
    }

    /** How the caller knows it: by its cables, each once. */
    public String id() {
        return id(filling);
    }

    /** What a row of these cables would be known by. */
    public static String id(List<Candidate> filling) {
        return filling.stream().map(Candidate::id).distinct().collect(Collectors.joining("+"));
    }

    /** The worst of its bands and of the run as a whole. */
    public Verdict verdict() {
        Verdict worst = Judgement.worstOf(ofRun);
        for (Cell cell : cells) {
            worst = worst.and(cell.judgement().verdict());
        }
        return worst;
    }

    /**
     * Everything that is the matter, the worst cause first; among misses, what concerns the run as a whole, then the band
     * that misses by the most dB, because that is the one that decides.
     */
    public List<Reason> reasons() {
        return allReasons()
                .sorted(Comparator.comparing(Reason::cause).thenComparingDouble(this::spareDb))
                .toList();
    }

    private Stream<Reason> allReasons() {
        return Stream.concat(ofRun.stream(), cells.stream().flatMap(c -> c.judgement().reasons().stream()));
    }

    /**
     * Cost over the fraction that arrives on the band where least does: what the whole of the power would cost at that
     * rate. Rows compare by it as by cost per delivered watt.
     *
     * @return empty where the cost is not known, or nothing arrives
     */
    public Optional<Money> costOfWhatArrives() {
        double least = Decibels.fractionLeft(greatestLossDb());
        return least > 0 ? cost.map(c -> c.times(1 / least)) : Optional.empty();
    }

    /**
     * What each watt costs that arrives on a band, in the currency of the cost.
     *
     * @return empty for a receiver, where the cost is not known, or where nothing arrives
     */
    public OptionalDouble costPerDeliveredW(int band) {
        OptionalDouble watts =
                cells.get(band).assessment().map(RunAssessment::powerAtAntennaW).orElse(OptionalDouble.empty());
        return cost.isEmpty() || watts.isEmpty() || watts.getAsDouble() == 0
                ? OptionalDouble.empty()
                : OptionalDouble.of(cost.get().amount().doubleValue() / watts.getAsDouble());
    }

    /**
     * What is lost of the radio's power for every metre of the candidate lines, W.
     *
     * @param lengthM of those lines together
     * @return empty for a receiver, or where nothing can be assessed
     */
    public OptionalDouble lostWPerM(int band, double lengthM) {
        Optional<RunAssessment> assessment = cells.get(band).assessment();
        return assessment.isEmpty() || assessment.get().powerAtAntennaW().isEmpty() || lengthM == 0
                ? OptionalDouble.empty()
                : OptionalDouble.of((assessment.get().radio().powerW().orElseThrow()
                                - assessment.get().powerAtAntennaW().getAsDouble())
                        / lengthM);
    }

    /**
     * What is paid a metre for every watt that is lost, in the currency of the cost: cost over lost watts and length.
     *
     * @param lengthM as for {@link #lostWPerM}
     * @return empty as there, and where the cost is not known or nothing is lost
     */
    public OptionalDouble costPerLostWAndM(int band, double lengthM) {
        OptionalDouble lost = lostWPerM(band, lengthM);
        return cost.isEmpty() || lost.isEmpty() || lost.getAsDouble() <= 0
                ? OptionalDouble.empty()
                : OptionalDouble.of(cost.get().amount().doubleValue() / (lost.getAsDouble() * lengthM) / lengthM);
    }

    /** Total loss on the band that loses most, dB; infinite where one loses more than can be assessed. */
    public double greatestLossDb() {
        return cells.stream().mapToDouble(Cell::totalLossDb).max().orElse(0);
    }

    /**
     * Index of the band that decides: the one that the first reason is about; else the one with least to spare; where nothing
     * is asked, the one that loses most.
     */
    public int decidingBand() {
        OptionalInt first =
                reasons().stream().flatMapToInt(r -> r.band().stream()).findFirst();
        Comparator<Integer> leastSpareThenMostLost = Comparator.<Integer>comparingDouble(
                        band -> cells.get(band).spareDb())
                .thenComparingDouble(band -> -cells.get(band).totalLossDb());
        return first.orElseGet(() -> IntStream.range(0, cells.size())
                .boxed()
                .min(leastSpareThenMostLost)
                .orElseThrow());
    }

    /** Spare of the band that has least, dB; positive infinity where nothing is asked. */
    public double leastSpareDb() {
        double least = Double.POSITIVE_INFINITY;
        for (Cell cell : cells) {
            least = Math.min(least, cell.spareDb());
        }
        return least;
    }

    private double spareDb(Reason reason) {
        return reason.band().isEmpty()
                ? Double.NEGATIVE_INFINITY
                : cells.get(reason.band().getAsInt()).spareDb();
    }
}
