package org.eskiz.core.choice;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.DoubleFunction;
import java.util.function.DoubleSupplier;
import java.util.function.Predicate;
import org.eskiz.core.cable.Ratings;
import org.eskiz.core.run.Conditions;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.Matching;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.core.run.Strain;
import org.eskiz.core.run.StrainBound;
import org.eskiz.core.unit.Decibels;

/**
 * How many times over the parts of a run bear what they get. Parts whose rating nobody has said are left out; but where the
 * margin itself is asked for, as long as that of the cable that is to be chosen is not known, neither is the margin.
 *
 * @param heat the part that bears the heat least; empty where no part has a rating, or all bear far more
 * @param voltage likewise
 * @param isChosenHeatKnown whether the rating of the cable to be chosen is
 * @param isChosenVoltageKnown likewise
 */
record Margins(
        Optional<Bearing> heat, Optional<Bearing> voltage, boolean isChosenHeatKnown, boolean isChosenVoltageKnown) {

    static final Margins UNKNOWN = new Margins(Optional.empty(), Optional.empty(), false, false);

    /**
     * What a part bears over what it gets.
     *
     * @param element its index in the run; empty for the matching unit
     */
    record Bearing(OptionalInt element, double margin) {

        private static Bearing of(int element, double margin) {
            return new Bearing(OptionalInt.of(element), margin);
        }
    }

    /** What is known of the parts. */
    record Rated(double duty, List<Ratings> ratings, List<Integer> chosen, OptionalDouble unitW) {}

    OptionalDouble power() {
        return isChosenHeatKnown ? margin(heat) : OptionalDouble.empty();
    }

    OptionalDouble voltageMargin() {
        return isChosenVoltageKnown ? margin(voltage) : OptionalDouble.empty();
    }

    private static OptionalDouble margin(Optional<Bearing> worst) {
        return worst.map(b -> OptionalDouble.of(b.margin())).orElse(OptionalDouble.empty());
    }

    /**
     * Works them out.
     *
     * @param isAsked whether the margins themselves are asked for; else they are not worked out where all bear far more
     */
    static Margins of(RunAssessment assessment, Rated rated, boolean isAsked) {
        if (assessment.radio().powerW().isEmpty()) {
            return UNKNOWN;
        }
        StrainBound[] most = StrainBound.of(assessment);
        Strain strain = Strain.on(assessment);
        Optional<Bearing> heat = unit(assessment, rated);
        Optional<Bearing> voltage = Optional.empty();
        for (int i = 0; i < most.length; i++) {
            if (!assessment.run().elements().get(i).isAbsent()) {
                int part = i;
                DoubleFunction<OptionalDouble> ofHeat = w -> powerMargin(assessment, rated, part, w);
                heat = least(
                        heat,
                        bearing(
                                i,
                                isAsked,
                                most[i].equivalentMatchedPowerW(),
                                ofHeat,
                                () -> strain.equivalentMatchedPowerW(part)));
                DoubleFunction<OptionalDouble> ofVoltage = v -> voltageMargin(rated, part, v);
                voltage = least(
                        voltage, bearing(i, isAsked, most[i].voltageRms(), ofVoltage, () -> strain.voltageRms(part)));
            }
        }
        return new Margins(
                heat,
                voltage,
                isKnown(assessment, rated, r -> r.average().isPresent()),
                isKnown(assessment, rated, r -> r.peakVoltageV().isPresent()));
    }

    /**
     * A part is followed along its waves only where that is asked for, or where it may come near to its rating.
     *
     * @param margin from a strain; empty where nobody has rated the part
     * @return empty likewise, and for a part that bears far more than it gets
     */
    private static Optional<Bearing> bearing(
            int element,
            boolean isAsked,
            double strainAtMost,
            DoubleFunction<OptionalDouble> margin,
            DoubleSupplier strain) {
        OptionalDouble least = margin.apply(strainAtMost);
        boolean isFollowed = least.isPresent() && (isAsked || !(least.getAsDouble() >= SpareThreshold.AMPLE_RATING));
        return isFollowed
                ? Optional.of(
                        Bearing.of(element, margin.apply(strain.getAsDouble()).getAsDouble()))
                : Optional.empty();
    }

    private static Optional<Bearing> least(Optional<Bearing> one, Optional<Bearing> other) {
        if (one.isEmpty() || other.isEmpty()) {
            return one.isEmpty() ? other : one;
        }
        return other.get().margin() < one.get().margin() ? other : one;
    }

    private static boolean isKnown(RunAssessment assessment, Rated rated, Predicate<Ratings> isStated) {
        for (int section : rated.chosen()) {
            if (!assessment.run().elements().get(section).isAbsent()
                    && !isStated.test(rated.ratings().get(section))) {
                return false;
            }
        }
        return true;
    }

    private static OptionalDouble voltageMargin(Rated rated, int element, double voltageRms) {
        OptionalDouble peakV = rated.ratings().get(element).peakVoltageV();
        return peakV.isEmpty() ? peakV : OptionalDouble.of(Ratings.voltageMargin(peakV.getAsDouble(), voltageRms));
    }

    private static OptionalDouble powerMargin(RunAssessment a, Rated rated, int element, double strainW) {
        OptionalDouble ratedW = ratedW(a, rated.ratings().get(element), element);
        return ratedW.isEmpty()
                ? ratedW
                : OptionalDouble.of(Ratings.powerMargin(ratedW.getAsDouble(), strainW, rated.duty()));
    }

    private static OptionalDouble ratedW(RunAssessment a, Ratings ratings, int element) {
        Conditions at = a.conditions();
        return a.run().elements().get(element) instanceof Element.Line line
                ? ratings.lineW(line.cable().attenuation(), at.frequencyMHz(), at.ambientC())
                : ratings.padW(at.frequencyMHz());
    }

    /** A unit at the radio passes all of its power, one at the antenna what arrives there. */
    private static Optional<Bearing> unit(RunAssessment a, Rated rated) {
        if (rated.unitW().isEmpty() || a.radio().matching() == Matching.NONE) {
            return Optional.empty();
        }
        double throughW = a.radio().powerW().orElseThrow();
        if (a.radio().matching() == Matching.AT_ANTENNA) {
            throughW *= Decibels.fractionLeft(a.totalLossDb() - a.matchingLossDb());
        }
        return Optional.of(new Bearing(
                OptionalInt.empty(), Ratings.powerMargin(rated.unitW().getAsDouble(), throughW, rated.duty())));
    }
}
