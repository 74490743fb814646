package org.eskiz.core.bench;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.eskiz.core.unit.Require;

/**
 * What a measured loss does not know of itself: independent terms, each as a standard uncertainty, added in squares and
 * expanded by 2 (Guide to the Expression of Uncertainty in Measurement, JCGM 100:2008, chapters 5 and 6).
 *
 * @param terms in the order in which they are told
 */
public record Uncertainty(List<Term> terms) {

    /** By which a standard uncertainty is expanded, so that about 95 of 100 lie within. */
    public static final double EXPANSION = 2;

    /** No wider than this, no term is worth a word, dB. */
    private static final double NOTHING_DB = 1e-12;

    /** Where an uncertainty comes from. */
    public enum Source {
        /** The last digit as it was read. */
        RESOLUTION,
        /** The reading flickered between two values. */
        FLICKER,
        /** The same thing does not read the same twice. */
        REPEATABILITY,
        /** The radio does not make the same power at both readings. */
        DRIFT,
        /** The meter, which errs alike at like levels only. */
        METER_CLASS,
        /** What source, cable and load reflect between them. */
        MISMATCH,
        /** Joints that nobody entered may be in it. */
        JOINTS_NOT_ENTERED,
        /** Readings of the same thing at other powers differ. */
        LEVELS,
        /** The losses lie less smoothly over frequency than their readings allow: something drifted more than is usual. */
        SCATTER,
        /** A loss was taken from another instrument's screen. */
        AS_READ,
        /** Connecting an analyser, and its leads. */
        CONNECTING,
        /** The calibration of an analyser. */
        CALIBRATION,
        /** The trace of a sweep wavers from point to point. */
        NOISE,
        /** One look into one end tells the loss only roughly. */
        ESTIMATE,
        /** What joints reflect at both ends ripples over the sweep. */
        RIPPLE
    }

    /**
     * One of them.
     *
     * @param standardDb standard uncertainty, at least 0
     */
    public record Term(Source source, double standardDb) {

        /** It alone, to either side, dB. */
        public double expandedDb() {
            return EXPANSION * standardDb;
        }

        public Term {
            Require.notNegative("standard uncertainty in dB", standardDb);
        }
    }

    public Uncertainty {
        terms = terms.stream().filter(t -> t.standardDb > NOTHING_DB).toList();
    }

    static Uncertainty of(Term... terms) {
        return new Uncertainty(List.of(terms));
    }

    /** The same with one more term. */
    Uncertainty with(Source source, double standardDb) {
        List<Term> all = new ArrayList<>(terms);
        all.add(new Term(source, standardDb));
        return new Uncertainty(all);
    }

    /** All terms together, as a standard uncertainty, dB. */
    public double standardDb() {
        return Math.sqrt(
                terms.stream().mapToDouble(t -> t.standardDb * t.standardDb).sum());
    }

    /** The same expanded: to either side, dB. */
    public double expandedDb() {
        return EXPANSION * standardDb();
    }

    /** What would be left without a term, expanded: to either side, dB. */
    public double expandedWithoutDb(Term term) {
        return new Uncertainty(terms.stream().filter(t -> t != term).toList()).expandedDb();
    }

    /** The term that counts for most; empty where nothing is uncertain. */
    public Optional<Term> dominating() {
        return terms.stream().max(Comparator.comparingDouble(Term::standardDb));
    }

    /** Standard uncertainty of some sources together, dB. */
    double standardDb(List<Source> of) {
        return Math.sqrt(terms.stream()
                .filter(t -> of.contains(t.source))
                .mapToDouble(t -> t.standardDb * t.standardDb)
                .sum());
    }

    /** Of a value that may lie anywhere in an interval, half as wide as this: a rectangular distribution. */
    static double ofHalfWidth(double halfWidth) {
        return halfWidth / Math.sqrt(3);
    }
}
