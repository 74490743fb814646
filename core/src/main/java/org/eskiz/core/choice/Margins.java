package org.eskiz.core.choice;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.function.Predicate;
import java.util.stream.Stream;
import org.eskiz.core.cable.Ratings;
import org.eskiz.core.run.Conditions;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.LineProfile;
import org.eskiz.core.run.Matching;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.core.run.RunProfile;
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
        if (!isAsked && isAmple(assessment, rated)) {
            return UNKNOWN;
        }
        RunProfile profile = RunProfile.worstPlacesOf(assessment);
        return new Margins(
                Stream.concat(heat(profile, assessment, rated), unit(assessment, rated).stream())
                        .min(Comparator.comparingDouble(Bearing::margin)),
                voltage(profile, assessment, rated).min(Comparator.comparingDouble(Bearing::margin)),
                isKnown(assessment, rated, r -> r.average().isPresent()),
                isKnown(assessment, rated, r -> r.peakVoltageV().isPresent()));
    }

    private static boolean isKnown(RunAssessment assessment, Rated rated, Predicate<Ratings> isStated) {
        return rated.chosen().stream()
                .filter(i -> !isAbsent(assessment, i))
                .allMatch(i -> isStated.test(rated.ratings().get(i)));
    }

    private static boolean isAbsent(RunAssessment assessment, int element) {
        return assessment.run().elements().get(element) instanceof Element.Line line && line.isAbsent();
    }

    /** Whether no part can come near to its rating, at any angle of the load. */
    private static boolean isAmple(RunAssessment a, Rated rated) {
        for (StrainBound most : StrainBound.of(a)) {
            int i = most.element();
            double heat =
                    powerMargin(a, rated, i, most.equivalentMatchedPowerW()).orElse(Double.POSITIVE_INFINITY);
            double volts = voltageMargin(rated, i, most.voltageRms()).orElse(Double.POSITIVE_INFINITY);
            if (!isAbsent(a, i) && !(Math.min(heat, volts) >= SpareThreshold.AMPLE_RATING)) {
                return false;
            }
        }
        return unit(a, rated).stream().allMatch(b -> b.margin() >= SpareThreshold.AMPLE_RATING);
    }

    private static Stream<Bearing> heat(RunProfile profile, RunAssessment a, Rated rated) {
        return Stream.concat(
                profile.lines().stream()
                        .filter(l -> !isAbsent(a, l.element()))
                        .flatMap(l ->
                                bearing(l.element(), powerMargin(a, rated, l.element(), l.equivalentMatchedPowerW()))),
                profile.pads().stream()
                        .flatMap(p ->
                                bearing(p.element(), powerMargin(a, rated, p.element(), p.equivalentMatchedPowerW()))));
    }

    private static Stream<Bearing> voltage(RunProfile profile, RunAssessment a, Rated rated) {
        return Stream.concat(
                profile.lines().stream()
                        .filter(l -> !isAbsent(a, l.element()))
                        .flatMap(l -> bearing(l.element(), voltageMargin(rated, l))),
                profile.pads().stream()
                        .flatMap(p -> bearing(p.element(), voltageMargin(rated, p.element(), p.voltageRms()))));
    }

    private static Stream<Bearing> bearing(int element, OptionalDouble margin) {
        return margin.stream().mapToObj(m -> Bearing.of(element, m));
    }

    private static OptionalDouble voltageMargin(Rated rated, LineProfile line) {
        return voltageMargin(rated, line.element(), line.maxVoltage().value());
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
