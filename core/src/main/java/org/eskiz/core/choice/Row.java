package org.eskiz.core.choice;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import org.eskiz.core.unit.Decibels;

/**
 * One candidate in the place of the chosen cable.
 *
 * @param candidate the cable
 * @param suitability whether it belongs there at all
 * @param cells one a band, in order
 * @param cost cable for the replaced sections and the connector of every joint that touches one; empty when a price is
 *     missing or currencies differ
 * @param massKg mass of the replaced sections; empty when not known
 */
public record Row(
        Candidate candidate, Suitability suitability, List<Cell> cells, Optional<Money> cost, OptionalDouble massKg) {

    public Row {
        cells = List.copyOf(cells);
    }

    /** The worst of its bands. */
    public Verdict verdict() {
        return cells.stream().map(c -> c.judgement().verdict()).reduce(Verdict.PASS, Verdict::and);
    }

    /**
     * Everything that is the matter, the worst cause first; among misses, the band that misses by the most dB first,
     * because that is the one that decides.
     */
    public List<Reason> reasons() {
        return cells.stream()
                .flatMap(c -> c.judgement().reasons().stream())
                .sorted(Comparator.comparing(Reason::cause).thenComparingDouble(r -> spareDb(r.band())))
                .toList();
    }

    /**
     * Cost over the fraction that arrives on the band where least does: what the whole of the power would cost at that
     * rate. Rows compare by it as by cost per delivered watt.
     *
     * @return empty where the cost is not known, or nothing arrives
     */
    public Optional<Money> costOfWhatArrives() {
        double least = cells.stream()
                .mapToDouble(c -> c.assessment()
                        .map(a -> Decibels.fractionLeft(a.totalLossDb()))
                        .orElse(0.0))
                .min()
                .orElse(0);
        return least > 0 ? cost.map(c -> c.times(1 / least)) : Optional.empty();
    }

    /** Spare of the band that has least, dB; positive infinity where nothing is asked. */
    public double leastSpareDb() {
        return cells.stream().mapToDouble(Cell::spareDb).min().orElse(Double.POSITIVE_INFINITY);
    }

    private double spareDb(int band) {
        return cells.get(band).spareDb();
    }
}
