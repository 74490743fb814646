package org.eskiz.core.choice;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.UnaryOperator;
import org.eskiz.core.run.Matching;
import org.eskiz.core.run.Radio;
import org.eskiz.core.run.RunAssessment;

/**
 * What would change the answer, seen from one row.
 *
 * @param nextCheaper the dearest of what costs less; empty where nothing does, or costs are not known
 * @param shortening the shortest cut of the run after which the next cheaper would get through; empty where it does
 *     already, or no shortening helps
 * @param stepUp the cheapest of what loses less and costs more
 * @param farthest how far the row goes; empty where nothing is asked that loss could miss, or it fails already
 * @param highest up to which frequency the row still does what is asked of the highest band; empty likewise, and where it is
 *     used beyond a data sheet already
 * @param matchingMoved what moving the matching unit would do; empty where there is none
 */
public record Changes(
        Optional<Row> nextCheaper,
        Optional<Shortening> shortening,
        Optional<StepUp> stepUp,
        Optional<Comparison.NearestReach> farthest,
        Optional<Highest> highest,
        Optional<MatchingMoved> matchingMoved) {

    /** Nobody plans for a higher frequency, MHz. */
    public static final double HIGHEST_MHZ = 30_000;

    /** Each frequency tried is this many times the one before. */
    private static final double FREQUENCY_STEP = Math.pow(2, 1.0 / 12);

    /** Relative agreement to which the frequency is found. */
    private static final double RELATIVE = 1e-6;

    /**
     * A shorter run.
     *
     * @param toM length of the sections together at which the next cheaper gets through, m
     * @param row the next cheaper at that length
     */
    public record Shortening(double toM, Row row) {}

    /**
     * Up to where a row does.
     *
     * @param frequencyMHz the highest frequency at which it still does
     * @param isEndOfSheet whether no more than a data sheet ends there: what is beyond is not known
     */
    public record Highest(double frequencyMHz, boolean isEndOfSheet) {}

    /**
     * A better cable, and what else would bring as much.
     *
     * @param onTransmitDb less lost on the band in focus: so many dB more antenna gain, or power, would do as much
     * @param onReceiveDb smaller penalty there; empty where nothing is known of the noise
     * @param powerInsteadW the radio power that would bring as much through the row as it is; empty for a receiver
     */
    public record StepUp(Row row, double onTransmitDb, OptionalDouble onReceiveDb, OptionalDouble powerInsteadW) {}

    /**
     * The matching unit at the other end of the run.
     *
     * @param to where it would stand, on every band that has one at the end it is at now
     * @param row the row as it then is
     * @param first what would then be first among those that get through; empty where nothing does
     */
    public record MatchingMoved(Matching to, Row row, Optional<Row> first) {}

    /**
     * Works them out.
     *
     * @param comparison where the rows come from
     * @param candidates all that may be chosen
     * @param chosen the row to start from
     * @param band index of the band in focus
     */
    public static Changes of(
            Comparison comparison, List<Candidate> candidates, Preference preference, Row chosen, int band) {
        List<Row> priced = comparison.rows(candidates, preference).stream()
                .filter(r -> isSameCurrency(r, chosen))
                .sorted(Comparator.comparing(Changes::amount))
                .toList();
        Optional<Row> cheaper =
                priced.stream().filter(r -> amount(r) < amount(chosen)).reduce((first, last) -> last);
        boolean isThrough = chosen.verdict() != Verdict.FAIL;
        return new Changes(
                cheaper,
                cheaper.flatMap(r -> shortening(comparison, r)),
                stepUp(comparison, priced, chosen, band),
                isThrough ? comparison.nearestReach(chosen) : Optional.empty(),
                isThrough ? highest(comparison, chosen) : Optional.empty(),
                matchingMoved(comparison, candidates, preference, chosen));
    }

    private static boolean isSameCurrency(Row row, Row chosen) {
        return row.cost().isPresent()
                && chosen.cost().isPresent()
                && row.cost().get().currency().equals(chosen.cost().get().currency());
    }

    private static double amount(Row row) {
        return row.cost().orElseThrow().amount().doubleValue();
    }

    private static Optional<Shortening> shortening(Comparison comparison, Row cheaper) {
        if (cheaper.verdict() != Verdict.FAIL) {
            return Optional.empty();
        }
        return comparison
                .nearestReach(cheaper)
                .map(n -> n.reach().lengthM() * (1 - RELATIVE))
                .filter(toM -> toM > 0 && toM < comparison.place().lengthM())
                .map(toM -> new Shortening(toM, comparison.ofLength(toM).row(cheaper.filling())))
                .filter(s -> s.row().verdict() != Verdict.FAIL);
    }

    private static Optional<StepUp> stepUp(Comparison comparison, List<Row> priced, Row chosen, int band) {
        Optional<RunAssessment> now = chosen.cells().get(band).assessment();
        return now.flatMap(a -> priced.stream()
                .filter(r -> amount(r) > amount(chosen))
                .filter(r -> r.cells().get(band).totalLossDb() < a.totalLossDb())
                .findFirst()
                .map(r -> stepUp(comparison.bands().get(band), a, r, band)));
    }

    private static StepUp stepUp(Band at, RunAssessment now, Row up, int band) {
        RunAssessment then = up.cells().get(band).assessment().orElseThrow();
        double onTransmitDb = now.totalLossDb() - then.totalLossDb();
        OptionalDouble powerW = at.radio().powerW();
        return new StepUp(
                up,
                onTransmitDb,
                at.listening().isEmpty()
                        ? OptionalDouble.empty()
                        : OptionalDouble.of(BandOutcome.atTheMean(at, now, Margins.UNKNOWN)
                                        .receivePenaltyDb()
                                        .getAsDouble()
                                - BandOutcome.atTheMean(at, then, Margins.UNKNOWN)
                                        .receivePenaltyDb()
                                        .getAsDouble()),
                powerW.isEmpty() ? powerW : OptionalDouble.of(powerW.getAsDouble() * Math.pow(10, onTransmitDb / 10)));
    }

    /** The first frequency above the highest band at which something asked of that band fails. */
    private static Optional<Highest> highest(Comparison comparison, Row chosen) {
        double from = comparison.bands().stream()
                .mapToDouble(b -> b.conditions().frequencyMHz())
                .max()
                .orElseThrow();
        int band = comparison.nearestBand(from);
        if (chosen.cells().get(band).judgement().leastSpareDb().isEmpty()) {
            return Optional.empty();
        }
        if (!doesKnowably(comparison, chosen, band, from)) {
            return Optional.empty();
        }
        double passing = from;
        while (passing < HIGHEST_MHZ) {
            double next = Math.min(HIGHEST_MHZ, passing * FREQUENCY_STEP);
            if (!doesKnowably(comparison, chosen, band, next)) {
                double highest = bisected(comparison, chosen, band, passing, next);
                return Optional.of(new Highest(
                        highest, spareDb(comparison, chosen, band, highest * (1 + 2 * RELATIVE)) >= 0));
            }
            passing = next;
        }
        return Optional.empty();
    }

    private static double bisected(Comparison comparison, Row chosen, int band, double passing, double failing) {
        double low = passing;
        double high = failing;
        while (high - low > RELATIVE * high) {
            double middle = (low + high) / 2;
            if (doesKnowably(comparison, chosen, band, middle)) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return low;
    }

    /** Whether it does what is asked at a frequency, and nothing of it lies beyond a data sheet. */
    private static boolean doesKnowably(Comparison comparison, Row row, int band, double frequencyMHz) {
        return at(comparison, row, band, frequencyMHz)
                .filter(a -> !a.isExtrapolated())
                .filter(a -> comparison.leastSpareDb(a, band) >= 0)
                .isPresent();
    }

    private static Optional<RunAssessment> at(Comparison comparison, Row row, int band, double frequencyMHz) {
        return comparison.assessment(
                comparison.place().filledWith(row.filling()), band, comparison.near(band, frequencyMHz));
    }

    private static double spareDb(Comparison comparison, Row row, int band, double frequencyMHz) {
        return at(comparison, row, band, frequencyMHz)
                .map(a -> comparison.leastSpareDb(a, band))
                .orElse(Double.NEGATIVE_INFINITY);
    }

    private static Optional<MatchingMoved> matchingMoved(
            Comparison comparison, List<Candidate> candidates, Preference preference, Row chosen) {
        List<Matching> now =
                comparison.bands().stream().map(b -> b.radio().matching()).toList();
        if (now.contains(Matching.AT_RADIO)) {
            return Optional.of(
                    moved(comparison, candidates, preference, chosen, Matching.AT_RADIO, Matching.AT_ANTENNA));
        }
        return now.contains(Matching.AT_ANTENNA)
                ? Optional.of(moved(comparison, candidates, preference, chosen, Matching.AT_ANTENNA, Matching.AT_RADIO))
                : Optional.empty();
    }

    private static MatchingMoved moved(
            Comparison comparison,
            List<Candidate> candidates,
            Preference preference,
            Row chosen,
            Matching from,
            Matching to) {
        UnaryOperator<Radio> change = r -> r.matching() == from ? r.matchedAt(to) : r;
        Comparison then = comparison.withRadios(change);
        Optional<Row> first = then.rows(candidates, preference).stream()
                .filter(r -> r.verdict() != Verdict.FAIL)
                .findFirst();
        return new MatchingMoved(to, then.row(chosen.filling()), first);
    }
}
