package org.eskiz.core.choice;

import java.util.List;
import java.util.OptionalDouble;
import java.util.stream.DoubleStream;
import org.eskiz.core.cable.Ratings;
import org.eskiz.core.run.Conditions;
import org.eskiz.core.run.Element;
import org.eskiz.core.run.LineProfile;
import org.eskiz.core.run.RunAssessment;
import org.eskiz.core.run.RunProfile;

/**
 * How many times over the parts of a run bear what they get, at the part that bears it least. Parts whose rating nobody has
 * said are left out, but not the cable that is to be chosen: as long as its rating is not known, neither is the margin.
 *
 * @param power rating over average power
 * @param voltage rating over peak voltage
 */
record Margins(OptionalDouble power, OptionalDouble voltage) {

    static final Margins UNKNOWN = new Margins(OptionalDouble.empty(), OptionalDouble.empty());

    /**
     * Works them out.
     *
     * @param duty average over peak power
     * @param ratings one for each element
     * @param chosen indices of the elements that are to be chosen
     */
    static Margins of(RunAssessment assessment, double duty, List<Ratings> ratings, List<Integer> chosen) {
        if (assessment.radio().powerW().isEmpty()) {
            return UNKNOWN;
        }
        RunProfile profile = RunProfile.worstPlacesOf(assessment);
        boolean isPowerKnown =
                chosen.stream().allMatch(i -> ratings.get(i).average().isPresent());
        boolean isVoltageKnown =
                chosen.stream().allMatch(i -> ratings.get(i).peakVoltageV().isPresent());
        return new Margins(
                isPowerKnown ? power(profile, assessment, duty, ratings) : OptionalDouble.empty(),
                isVoltageKnown ? voltage(profile, ratings) : OptionalDouble.empty());
    }

    private static OptionalDouble power(
            RunProfile profile, RunAssessment assessment, double duty, List<Ratings> ratings) {
        var ofLines = profile.lines().stream()
                .flatMapToDouble(l -> powerMargin(l, assessment, duty, ratings.get(l.element())).stream());
        double atMHz = assessment.conditions().frequencyMHz();
        var ofPads = profile.pads().stream()
                .flatMapToDouble(p -> ratings.get(p.element()).connector().stream()
                        .mapToDouble(power -> Ratings.powerMargin(power.at(atMHz), p.equivalentMatchedPowerW(), duty)));
        return DoubleStream.concat(ofLines, ofPads).min();
    }

    private static OptionalDouble powerMargin(
            LineProfile line, RunAssessment assessment, double duty, Ratings ratings) {
        if (ratings.average().isEmpty()) {
            return OptionalDouble.empty();
        }
        Conditions at = assessment.conditions();
        var standing = (Element.Line) assessment.run().elements().get(line.element());
        double ratedW = ratings.average().get().at(standing.cable().attenuation(), at.frequencyMHz(), at.ambientC());
        return OptionalDouble.of(Ratings.powerMargin(ratedW, line.equivalentMatchedPowerW(), duty));
    }

    private static OptionalDouble voltage(RunProfile profile, List<Ratings> ratings) {
        var atLines = profile.lines().stream()
                .flatMapToDouble(l ->
                        voltageMargin(ratings.get(l.element()), l.maxVoltage().value()).stream());
        var atPads = profile.pads().stream()
                .flatMapToDouble(p -> voltageMargin(ratings.get(p.element()), p.voltageRms()).stream());
        return DoubleStream.concat(atLines, atPads).min();
    }

    private static OptionalDouble voltageMargin(Ratings ratings, double voltageRms) {
        OptionalDouble rated = ratings.peakVoltageV();
        return rated.isEmpty() ? rated : OptionalDouble.of(Ratings.voltageMargin(rated.getAsDouble(), voltageRms));
    }
}
