package org.eskiz.core.run;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Set;
import java.util.stream.IntStream;
import org.eskiz.core.cable.Cable;
import org.eskiz.core.cable.Ratings;

/** Finds what an operator should know about a run, and from which number on. */
public final class Findings {

    /** Above this a radio without a matching unit reduces its power, if it can. */
    public static final double RADIO_BEARS_SWR = 2;

    /** From here on there is no load at all. */
    public static final double NO_LOAD_FROM_SWR = 50;

    /** What a transformer loses above this because of the SWR is an estimate. */
    public static final double MOST_RELIABLE_TRANSFORMER_DB = 1;

    /** Where less than a tenth arrives, next to nothing does. */
    public static final double NEXT_TO_NOTHING_DB = 10;

    /** Pieces are measured to the centimetre. */
    public static final double SAME_LENGTH_M = 0.005;

    /** Less reflection than this at the radio is not worth a sentence. */
    public static final double NOTEWORTHY_REFLECTION_DB = 0.05;

    private Findings() {}

    /**
     * All of one band, in the order in which they stand along the run, then those of the whole.
     *
     * @param isBalanced of each element, whether it is a balanced line
     * @param pieceLengthsM of each element that is a piece: its length as it is known now
     * @param ratings what each element bears
     * @param unit what is known of the matching unit; of no matter where there is none
     */
    public static List<Finding> of(
            List<Boolean> isBalanced,
            List<OptionalDouble> pieceLengthsM,
            List<Ratings> ratings,
            MatchingUnit unit,
            RunAssessment a) {
        Run run = a.run();
        List<Finding> findings = new ArrayList<>();
        a.extrapolatedElements().forEach(i -> findings.add(new Finding.Extrapolated(i)));
        findings.addAll(copperCladSteel(run, a.conditions().frequencyMHz()));
        LineJunction.problems(LineJunction.parts(run, isBalanced), a.radio(), unit)
                .forEach(j -> findings.add(new Finding.Junction(j)));
        for (int i = 0; i < run.elements().size(); i++) {
            otherLength(i, run.elements().get(i), pieceLengthsM.get(i)).ifPresent(findings::add);
        }
        if (isNoLoad(a)) {
            findings.add(new Finding.NoLoad(a.swrAtAntenna(), NO_LOAD_FROM_SWR));
        }
        mismatch(unit.upToSwr(), a).ifPresent(findings::add);
        if (a.radio().matching() == Matching.AT_ANTENNA && a.reflectionLossDb() > NOTEWORTHY_REFLECTION_DB) {
            findings.add(new Finding.ReflectsAtRadio(a.reflectionLossDb(), a.swrAtRadio()));
        }
        findings.addAll(estimatedTransformers(run, a));
        if (a.radio().powerW().isPresent()) {
            findings.addAll(bypassed(run));
            findings.addAll(unknownRatings(run, ratings, unit, a.radio()));
        }
        return findings;
    }

    private static List<Finding> copperCladSteel(Run run, double frequencyMHz) {
        Set<Cable> told = new HashSet<>();
        return IntStream.range(0, run.elements().size())
                .filter(i -> run.elements().get(i) instanceof Element.Line line
                        && !line.isAbsent()
                        && line.cable().losesMoreThanTheLawAt(frequencyMHz)
                        && told.add(line.cable()))
                .<Finding>mapToObj(Finding.CopperCladSteel::new)
                .toList();
    }

    /** As far as its loss is that of the standing wave, and no figure of its own. */
    private static List<Finding> estimatedTransformers(Run run, RunAssessment a) {
        List<RunAssessment.ElementLoss> losses = a.elements();
        return IntStream.range(0, losses.size())
                .filter(i -> run.elements().get(i) instanceof Element.Transformer)
                .filter(i -> losses.get(i).lossDb() > MOST_RELIABLE_TRANSFORMER_DB
                        && losses.get(i).lossDb() > losses.get(i).matchedLossDb())
                .<Finding>mapToObj(
                        i -> new Finding.TransformerEstimated(i, losses.get(i).lossDb()))
                .toList();
    }

    private static List<Finding> bypassed(Run run) {
        return IntStream.range(0, run.elements().size())
                .filter(i -> run.elements().get(i) instanceof Element.Preamplifier)
                .<Finding>mapToObj(i -> new Finding.PreamplifierBypassed(
                        i, ((Element.Preamplifier) run.elements().get(i)).bypassLossDb()))
                .toList();
    }

    private static List<Finding> unknownRatings(Run run, List<Ratings> ratings, MatchingUnit unit, Radio radio) {
        List<Finding> unknown = new ArrayList<>();
        for (int i = 0; i < ratings.size(); i++) {
            if (!run.elements().get(i).isAbsent() && !ratings.get(i).isPowerKnown()) {
                unknown.add(new Finding.RatingUnknown(OptionalInt.of(i)));
            }
        }
        if (radio.matching() != Matching.NONE && unit.averagePowerW().isEmpty()) {
            unknown.add(new Finding.RatingUnknown(OptionalInt.empty()));
        }
        return unknown;
    }

    private static Optional<Finding> otherLength(int i, Element element, OptionalDouble pieceM) {
        return element instanceof Element.Line line
                        && pieceM.isPresent()
                        && Math.abs(pieceM.getAsDouble() - line.lengthM()) > SAME_LENGTH_M
                ? Optional.of(new Finding.OtherLength(i, pieceM.getAsDouble(), line.lengthM()))
                : Optional.empty();
    }

    /**
     * An SWR that no antenna has is deliberate where a matching unit deals with it and the run brings the power there all the
     * same: an open-wire line to a wire of any length.
     */
    private static boolean isNoLoad(RunAssessment a) {
        return a.swrAtAntenna() >= NO_LOAD_FROM_SWR
                && (a.radio().matching() == Matching.NONE || a.totalLossDb() > NEXT_TO_NOTHING_DB);
    }

    /** What the radio, or the unit that stands between it and the antenna, has to cope with. */
    private static Optional<Finding> mismatch(double upToSwr, RunAssessment a) {
        Radio radio = a.radio();
        if (radio.matching() == Matching.NONE) {
            return a.swrAtRadio() > RADIO_BEARS_SWR && radio.powerW().isPresent()
                    ? Optional.of(new Finding.RadioSeesSwr(a.swrAtRadio(), RADIO_BEARS_SWR))
                    : Optional.empty();
        }
        double seen = a.swrAtUnit().orElseThrow();
        return seen > upToSwr ? Optional.of(new Finding.BeyondMatchingUnit(seen, upToSwr)) : Optional.empty();
    }
}
